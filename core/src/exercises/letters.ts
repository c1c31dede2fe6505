const FIRST = 'a'.charCodeAt(0);

/** The letter by which one of several is chosen: 0 → `a`. */
export function letterOf(index: number): string {
  return String.fromCharCode(FIRST + index);
}

/** Which of several a letter stands for, large or small; −1 for what is no single letter. */
export function indexOfLetter(letter: string): number {
  return /^[a-z]$/i.test(letter) ? letter.toLowerCase().charCodeAt(0) - FIRST : -1;
}
