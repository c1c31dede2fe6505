import type { Indication } from '../indication/indication.ts';
import { writtenReading } from '../indication/written.ts';
import type { CorrectionSlip, SlipIdentity } from './slip.ts';

/** The first of the two readings that an answer is the difference of; null where it is none. */
type InitialOf<R> = (indication: R) => number | null;

/** Powers of ten of the columns out of which a one is borrowed when two readings are subtracted in writing: 27.18 − 3.42 borrows from the ones. */
function borrowedFrom(final: string, initial: string, place: number): number[] {
  const columns = (text: string): string => {
    const digits = text.replace(/[-.]/g, '').replace(/^0+(?=\d)/, '');
    return place > 0 ? digits.slice(0, -place) : digits;
  };
  const [upper, lower] = [columns(final), columns(initial)];
  const digit = (text: string, column: number): number => Number(text.at(-1 - column) ?? 0);
  const from: number[] = [];
  let borrowed = 0;
  for (let column = 0; column < upper.length; column += 1) {
    borrowed = digit(upper, column) - borrowed < digit(lower, column) ? 1 : 0;
    if (borrowed === 1) from.push(place + column + 1);
  }
  return from;
}

/** What comes out, for each one that was borrowed and then not taken off. */
type WithoutBorrow<R> = (indication: R, final: number, initial: number) => number[];

/** 27.18 − 3.42 → 24.76. */
function withoutBorrow(indication: Indication, final: number, initial: number): number[] {
  const texts = [writtenReading(indication, final), writtenReading(indication, initial)] as const;
  return borrowedFrom(...texts, indication.resolution.place).map((power) => final - initial + 10 ** power);
}

function slipOfDifference<R extends Indication>(
  identity: SlipIdentity,
  initialOf: InitialOf<R>,
  words: { readonly why: string; readonly lookAt: string },
  values: (indication: R, final: number, initial: number) => number[],
): CorrectionSlip<R> {
  return {
    ...identity,
    stage: 'correction',
    why: () => words.why,
    lookAt: () => words.lookAt,
    corrected: (indication, reading) => {
      const initial = initialOf(indication);
      const wrong = initial === null ? [] : values(indication, reading, initial);
      return wrong.map((value) => ({ value, part: 1 / wrong.length }));
    },
  };
}

/**
 * What goes wrong where one reading is to be taken off another: 3.42 and 27.18 → 30.60, −23.76 or 24.76.
 * @param unborrowed for numbers that are not written in tens.
 */
export function differenceSlips<R extends Indication>(
  initialOf: InitialOf<R>,
  unborrowed: WithoutBorrow<R> = withoutBorrow,
): readonly CorrectionSlip<R>[] {
  return [
    slipOfDifference(
      { id: 'difference-added', name: 'The two readings were added', baseRate: 0.03 },
      initialOf,
      {
        why: 'You added the two readings. The answer is their difference.',
        lookAt: 'both readings: subtract the first one from the second',
      },
      (_, final, initial) => [final + initial],
    ),
    slipOfDifference(
      { id: 'difference-turned', name: 'Subtracted the wrong way round', baseRate: 0.03 },
      initialOf,
      {
        why: 'You subtracted the second reading from the first, so the difference came out negative.',
        lookAt: 'which reading came first: that one is subtracted',
      },
      (_, final, initial) => [initial - final],
    ),
    slipOfDifference(
      { id: 'difference-borrowed', name: 'A borrowed one was forgotten', baseRate: 0.06 },
      initialOf,
      {
        why: 'You borrowed a one from the next column and forgot to take it off there.',
        lookAt: 'the subtraction, column by column from the right',
      },
      unborrowed,
    ),
  ];
}

/** Only the first reading was written. @param identity in the words of a family. */
export function initialAlone<R extends Indication>(
  identity: SlipIdentity,
  initialOf: InitialOf<R>,
  words: { readonly why: string; readonly lookAt: string },
): CorrectionSlip<R> {
  return slipOfDifference(identity, initialOf, words, (_, __, initial) => [initial]);
}
