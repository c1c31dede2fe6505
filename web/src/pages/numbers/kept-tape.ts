import { newId } from '../../outbox/new-id.ts';

/** A density over three lines, to begin with: a tile of the harbour kit. */
export const EXAMPLE: readonly string[] = ['m = 24.31 g', 'V = 18.6 mL - 9.2 mL', 'm / V'];

/** A tape with its id, under which the server keeps it for who is signed in. */
export interface KeptTape {
  readonly id: string;
  readonly lines: readonly string[];
}

export function newTape(lines: readonly string[] = ['']): KeptTape {
  return { id: newId(), lines };
}

const placeOf = (personId: string | null): string => `green-beam-tape-${personId ?? 'visitor'}`;

const isLines = (value: unknown): value is string[] =>
  Array.isArray(value) && value.length > 0 && value.every((line) => typeof line === 'string');

/** The tape a person left in this browser; null where there is none. */
export function keptTape(personId: string | null): KeptTape | null {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(placeOf(personId)) ?? 'null');
    if (
      typeof kept === 'object' &&
      kept !== null &&
      'id' in kept &&
      'lines' in kept &&
      typeof kept.id === 'string' &&
      isLines(kept.lines)
    )
      return { id: kept.id, lines: kept.lines };
    // Tapes were kept without an id once.
    return isLines(kept) ? newTape(kept) : null;
  } catch {
    // A browser without storage begins anew.
    return null;
  }
}

export function keepTape(personId: string | null, tape: KeptTape): void {
  try {
    localStorage.setItem(placeOf(personId), JSON.stringify(tape));
  } catch {
    // A full or missing storage keeps nothing; the tape itself goes on.
  }
}
