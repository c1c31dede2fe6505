import type { Picture } from '../../src/index.ts';
import { steady, type Habit, type Habits } from './prove-readers.ts';

export function bare(text: string): { readonly digits: string; readonly unit: string } {
  const [digits = '', unit = ''] = text.split(' ');
  return { digits, unit };
}

const decimalsOf = (digits: string): number => digits.split('.')[1]?.length ?? 0;

/** The first two neighbours that differ are exchanged; the last digit is left alone where there are others. */
function exchangedEarly(digits: string): string {
  const early = digits.replace(/(\d)(\.?)(?!\1)(\d)(?=.*\d)/, '$3$2$1');
  return early === digits ? digits.replace(/(\d)(\.?)(?!\1)(\d)/, '$3$2$1') : early;
}

/** The last two neighbours that differ are exchanged. */
export function exchangedLate(text: string): string {
  const { digits, unit } = bare(text);
  const late = digits.replace(/(\d)(\.?)(?!\1)(\d)$/, '$3$2$1');
  return `${late === digits ? digits.replace(/(\d)(\.?)(?!\1)(\d)(?=\d*$)/, '$3$2$1') : late} ${unit}`;
}

/** Slips that are made with digits and units on any tool, from what a careful reader would have written. */
const ON_PAPER: Readonly<Record<string, (careful: string) => string>> = {
  'power-of-ten': (careful) => {
    const { digits, unit } = bare(careful);
    return `${(Number(digits) * 10).toFixed(Math.max(0, decimalsOf(digits) - 1))} ${unit}`;
  },
  transposed: (careful) => `${exchangedEarly(bare(careful).digits)} ${bare(careful).unit}`,
  'dropped-digit': (careful) => `${bare(careful).digits.slice(0, -1).replace(/\.$/, '')} ${bare(careful).unit}`,
  'extra-digit': (careful) => {
    const { digits, unit } = bare(careful);
    return `${digits}${digits.includes('.') ? '5' : '.5'} ${unit}`;
  },
  'unit-missing': (careful) => bare(careful).digits,
  'unit-wrong': (careful) => `${bare(careful).digits} ${bare(careful).unit === 'g' ? 'mL' : 'g'}`,
};

/** Habits of the hand that writes, for readers who otherwise take care. */
export function onPaper<P extends Picture>(careful: Habit<P>): Habits<P> {
  return {
    ...Object.fromEntries(
      Object.entries(ON_PAPER).map(([slip, spoil]): [string, Habit<P>] => [slip, (reader) => spoil(careful(reader))]),
    ),
    // The zero that is not written has been seen.
    'trailing-zero-dropped': (reader) => {
      const { digits, unit } = bare(careful(steady(reader)));
      return `${digits.replace(/\.?0$/, '')} ${unit}`;
    },
  };
}
