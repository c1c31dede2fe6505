import { indexOfLetter, letterOf } from './letters.ts';

/** What can be wrong in a table or a working. */
export interface FaultKind {
  readonly id: string;
  /** As it is chosen from. */
  readonly name: string;
  /** Only tables that somebody has handed in have it; none that is drawn. */
  readonly isHandedOnly?: true;
  /** The slip of not seeing it. */
  readonly overlooked: { readonly id: string; readonly name: string; readonly lookAt: string };
}

export const FAULT_KINDS: readonly FaultKind[] = [
  {
    id: 'heading-without-unit',
    name: 'no unit in the heading',
    overlooked: {
      id: 'unit-overlooked',
      name: 'A missing unit overlooked',
      lookAt: 'every heading: does it give the unit of the column?',
    },
  },
  {
    id: 'uneven-decimals',
    name: 'fewer decimals than the rest',
    overlooked: {
      id: 'decimals-overlooked',
      name: 'Uneven decimals overlooked',
      lookAt: 'the last digits of a column, one under the other',
    },
  },
  {
    id: 'wrong-result',
    name: 'calculated wrongly',
    overlooked: {
      id: 'wrong-result-overlooked',
      name: 'A wrong result overlooked',
      lookAt: 'each result: calculate it again',
    },
  },
  {
    id: 'zero-dropped',
    name: 'a zero dropped',
    overlooked: {
      id: 'zero-overlooked',
      name: 'A dropped zero overlooked',
      lookAt: 'the last certain place of each result',
    },
  },
  {
    id: 'rounded-on-the-way',
    name: 'rounded too early',
    overlooked: {
      id: 'rounding-overlooked',
      name: 'Early rounding overlooked',
      lookAt: 'whether each line uses all the digits of the line before',
    },
  },
  {
    id: 'wrong-factor',
    name: 'wrong factor',
    overlooked: {
      id: 'factor-overlooked',
      name: 'A wrong factor overlooked',
      lookAt: 'the factors: are they correct, and do the units cancel?',
    },
  },
  {
    id: 'wrong-base',
    name: 'percent of the wrong value',
    overlooked: {
      id: 'base-overlooked',
      name: 'Wrong base of the percentage overlooked',
      lookAt: 'the value that the difference is divided by',
    },
  },
  {
    id: 'impossible-value',
    name: 'impossible value',
    overlooked: {
      id: 'impossible-overlooked',
      name: 'An impossible value overlooked',
      lookAt: 'each value by itself: is it possible?',
    },
  },
  {
    id: 'wrong-unit',
    name: 'wrong unit',
    isHandedOnly: true,
    overlooked: {
      id: 'wrong-unit-overlooked',
      name: 'A wrong unit overlooked',
      lookAt: 'the units: does each fit its tool, and the columns it is worked out from?',
    },
  },
  {
    id: 'start-end-exchanged',
    name: 'start and end exchanged',
    isHandedOnly: true,
    overlooked: {
      id: 'exchange-overlooked',
      name: 'Exchanged values overlooked',
      lookAt: 'each line: is the start where a start can be?',
    },
  },
  {
    id: 'not-continued',
    name: 'does not go on from the line before',
    isHandedOnly: true,
    overlooked: {
      id: 'break-overlooked',
      name: 'A break between two lines overlooked',
      lookAt: 'the end of each line, and the start of the next',
    },
  },
  {
    id: 'digits-exchanged',
    name: 'two digits exchanged',
    isHandedOnly: true,
    overlooked: {
      id: 'exchanged-digits-overlooked',
      name: 'Exchanged digits overlooked',
      lookAt: 'each result: which two digits would make it right?',
    },
  },
  {
    id: 'copied-line',
    name: 'copied from another line',
    isHandedOnly: true,
    overlooked: {
      id: 'copy-overlooked',
      name: 'A copied line overlooked',
      lookAt: 'the lines: are two of them the same in every digit?',
    },
  },
  {
    id: 'too-many-digits',
    name: 'too many digits',
    isHandedOnly: true,
    overlooked: {
      id: 'too-many-overlooked',
      name: 'Too many digits overlooked',
      lookAt: 'each result: has it more digits than its readings allow?',
    },
  },
];

/** What is said to be wrong in a cell. */
export interface Marked {
  readonly cell: number;
  readonly fault: string;
}

/** The letter under which a fault is chosen on paper. */
function letterOfFault(fault: string): string {
  return letterOf(FAULT_KINDS.findIndex(({ id }) => id === fault));
}

/** Marks as they are entered: `7c 12a`. */
export function writtenMarks(marks: readonly Marked[]): string {
  return [...marks]
    .sort((a, b) => a.cell - b.cell)
    .map(({ cell, fault }) => `${cell}${letterOfFault(fault)}`)
    .join(' ');
}

/** The entry names a cell or a fault that is not there, or is no list of them. */
export class UnreadableMarksError extends Error {
  override readonly name = 'UnreadableMarksError';
}

const LONGEST = 400;

/**
 * Reads marks such as `7c, 12 a`; each cell once.
 * @throws UnreadableMarksError naming what cannot be read.
 */
export function parseMarks(typed: string, cells: number): Marked[] {
  const plain = typed.normalize('NFKC').trim().toLowerCase();
  if (plain === '')
    throw new UnreadableMarksError('You have marked nothing yet. Mark a cell and say what is wrong with it.');
  if (plain.length > LONGEST)
    throw new UnreadableMarksError(`That is ${plain.length} characters; marks have at most ${LONGEST}.`);
  const parts = plain.match(/\d+\s*[a-z]|[^\s,;]+/g) ?? [];
  const marks = parts.map((part): Marked => {
    const [, number = '', letter = ''] = /^(\d+)\s*([a-z])$/.exec(part) ?? [];
    const kind = FAULT_KINDS[indexOfLetter(letter)];
    if (number === '' || !kind)
      throw new UnreadableMarksError(
        `“${part.slice(0, 20)}” is not the number of a cell and a letter from a to ${letterOfFault(FAULT_KINDS.at(-1)?.id ?? '')}.`,
      );
    if (Number(number) < 1 || Number(number) > cells)
      throw new UnreadableMarksError(`There is no cell ${number.slice(0, 6)}; they go from 1 to ${cells}.`);
    return { cell: Number(number), fault: kind.id };
  });
  const twice = marks.find(({ cell }, i) => marks.findIndex((other) => other.cell === cell) !== i);
  if (twice) throw new UnreadableMarksError(`Cell ${twice.cell} is marked twice.`);
  return marks;
}
