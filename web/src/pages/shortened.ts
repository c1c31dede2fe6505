/** A text of anybody's, cut where it would fill a page: what was typed may be as long as a book. */
export function shortened(text: string, most = 24): string {
  const letters = Array.from(text);
  return letters.length <= most ? text : `${letters.slice(0, most - 1).join('')}…`;
}
