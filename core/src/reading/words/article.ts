/** A name with its indefinite article, as in “an acrylic rod”. Names of the bench that begin with a vowel are also spoken with one. */
export function withArticle(name: string): string {
  return `${/^[aeiou]/i.test(name) ? 'an' : 'a'} ${name}`;
}
