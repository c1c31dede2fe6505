/** The number in an entry in which somebody has also written how they came to it: `after - before = 6.2 mL`, `sleeve 5.5 + thimble 32 = 5.82`. */
export function resultIn(text: string): string {
  return text.slice(text.lastIndexOf('=') + 1).trim();
}
