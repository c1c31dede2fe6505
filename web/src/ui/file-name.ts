/** A name that every system takes as the name of a file. @param otherwise what it is called where nothing is left of the words. */
export function fileNameOf(words: string, otherwise: string): string {
  return (
    words
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .replace(/^-|-$/g, '') || otherwise
  );
}
