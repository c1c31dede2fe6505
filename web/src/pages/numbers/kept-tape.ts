/** A density over three lines, to begin with: a tile of the harbour kit. */
export const EXAMPLE: readonly string[] = ['m = 24.31 g', 'V = 18.6 mL - 9.2 mL', 'm / V'];

const placeOf = (personId: string | null): string => `green-beam-tape-${personId ?? 'visitor'}`;

/** The tape a person left in this browser, or the example. */
export function keptTape(personId: string | null): readonly string[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(placeOf(personId)) ?? 'null');
    if (Array.isArray(kept) && kept.length > 0 && kept.every((line) => typeof line === 'string')) return kept as string[];
  } catch {
    // A browser without storage begins with the example.
  }
  return EXAMPLE;
}

export function keepTape(personId: string | null, lines: readonly string[]): void {
  try {
    localStorage.setItem(placeOf(personId), JSON.stringify(lines));
  } catch {
    // A full or missing storage keeps nothing; the tape itself goes on.
  }
}
