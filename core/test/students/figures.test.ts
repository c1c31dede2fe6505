import Fraction from 'fraction.js';
import { describe, expect, it } from 'vitest';
import { diagnoseExercise, slipsIn } from '../../src/index.ts';
import { exerciseTask, type CountingExercise, type RoundingExercise } from '../../src/exercises/exercise.ts';
import { exchanged } from './calculating.ts';
import { expectNamed, expectSound } from './prove-students.ts';
import { rounded, withFigures, written } from './reckoning.ts';

const mantissa = (number: string): string => number.split(' × ')[0]!;

/** Crossing off from the left until a digit other than zero comes, and counting what is left. */
function count(number: string): number {
  const shown = mantissa(number);
  const left = shown.replace('.', '').replace(/^0+/, '');
  return shown.includes('.') ? left.length : left.replace(/0+$/, '').length;
}

const COUNTING: Record<string, (number: string) => number> = {
  'leading-zeros-counted': (number) => mantissa(number).split('.')[1]!.length,
  'trailing-zeros-left-out': (number) =>
    mantissa(number)
      .replace('.', '')
      .replace(/^0+|0+$/g, '').length,
  'inner-zeros-left-out': (number) => {
    const digits = mantissa(number).replace('.', '').replace(/^0+/, '');
    const end = /0*$/.exec(digits)![0];
    return digits.slice(0, digits.length - end.length).replaceAll('0', '').length + end.length;
  },
  'decimals-counted': (number) => mantissa(number).split('.')[1]!.length,
  'bare-zeros-counted': (number) => mantissa(number).length,
  'power-counted': (number) => mantissa(number).replace('.', '').length + 2,
};

describe('counting figures', () => {
  it.each(slipsIn('count-figures', { bareTrailingZeros: 'not-significant' }))('%s: is named first', (slip) => {
    expectNamed(slip, ({ number }: CountingExercise) => String(COUNTING[slip]!(number)), {
      kind: 'count-figures',
      many: 200,
      rules: { bareTrailingZeros: 'not-significant' },
    });
  });

  it.each(['flag', 'not-significant', 'want-point', 'want-scientific'] as const)(
    'the careful are judged sound, with %s',
    (bareTrailingZeros) => {
      expectSound(({ number }: CountingExercise) => `${count(number)} figures`, {
        kind: 'count-figures',
        many: 300,
        rules: { bareTrailingZeros },
      });
    },
  );
});

interface Asked {
  readonly value: Fraction;
  readonly decimals: number;
}

function asked({ number, to }: RoundingExercise): Asked {
  const value = new Fraction(number);
  return { value, decimals: 'decimals' in to ? to.decimals : withFigures(value, to.figures).decimals };
}

const carefully = (exercise: RoundingExercise): string => {
  const { value, decimals } = asked(exercise);
  return `${written(value, decimals)} ${exercise.unit}`;
};

/** Half to even, by hand: up only when what is left is more than a half, or a half after an odd digit. */
function toEven({ value, decimals }: Asked): string {
  const scale = new Fraction(10).pow(decimals);
  const whole = value.mul(scale).floor();
  const rest = value.mul(scale).sub(whole).compare(new Fraction(1, 2));
  const up = rest > 0 || (rest === 0 && whole.mod(2).equals(1));
  return written(whole.add(up ? 1 : 0).div(scale), decimals);
}

const ROUNDING: Record<string, (exercise: RoundingExercise) => string> = {
  'calculator-digits': ({ number, unit }) => `${number} ${unit}`,
  'zero-lost': (exercise) =>
    carefully(exercise)
      .replace(/(\.\d*?)0+(?=e| )/, '$1')
      .replace(/\.(?=e| )/, ''),
  'cut-off': (exercise) => {
    const { value, decimals } = asked(exercise);
    const scale = new Fraction(10).pow(decimals);
    return `${written(value.mul(scale).floor().div(scale), decimals)} ${exercise.unit}`;
  },
  'rounded-twice': (exercise) => {
    const { value, decimals } = asked(exercise);
    return `${written(rounded(value, decimals + 1), decimals)} ${exercise.unit}`;
  },
  'figures-for-decimals': (exercise) => {
    const { value } = asked(exercise);
    const { to, unit } = exercise;
    return `${'decimals' in to ? written(value, withFigures(value, to.decimals).decimals) : written(value, to.figures)} ${unit}`;
  },
  'place-lost': (exercise) => {
    const { value, decimals } = asked(exercise);
    return `${rounded(value, decimals).mul(new Fraction(10).pow(decimals)).toString()} ${exercise.unit}`;
  },
  'bare-zeros': (exercise) => {
    const { value, decimals } = asked(exercise);
    return `${rounded(value, decimals).toString()} ${exercise.unit}`;
  },
  'too-many-figures': (exercise) => {
    const { value, decimals } = asked(exercise);
    return `${written(value, decimals + 1)} ${exercise.unit}`;
  },
  'too-few-figures': (exercise) => {
    const { value, decimals } = asked(exercise);
    return `${written(value, decimals - 1)} ${exercise.unit}`;
  },
  'power-of-ten': (exercise) =>
    carefully(exercise)
      .replace(/^(\d+)\.(\d)/, '$1$2.')
      .replace(/\.(?= )/, ''),
  transposed: (exercise) => exchanged(carefully(exercise)),
  'unit-missing': (exercise) => carefully(exercise).split(' ')[0]!,
  'unit-wrong': (exercise) => `${carefully(exercise).split(' ')[0]!} s`,
};

describe('rounding', () => {
  it.each(slipsIn('round-number'))('%s: is named first', (slip) => {
    expectNamed(slip, ROUNDING[slip] ?? (() => ''), { kind: 'round-number', many: 200 });
  });

  it('the careful are judged sound, half up and half to even', () => {
    expectSound(carefully, { kind: 'round-number', many: 600 });
    expectSound((exercise: RoundingExercise) => `${toEven(asked(exercise))} ${exercise.unit}`, {
      kind: 'round-number',
      many: 600,
      rules: { rounding: 'half-even' },
    });
  });

  it('a half rounded up is named where the class rounds to even', () => {
    const task = exerciseTask(
      { kind: 'round-number', level: 2, story: '', question: '', number: '22.45', unit: 'g', to: { figures: 3 } },
      { rounding: 'half-even' },
    );
    expect(diagnoseExercise(task, '22.4 g').verdict).toBe('sound');
    expect(diagnoseExercise(task, '22.5 g').slips[0]!.ids).toEqual(['half-other-way']);
  });
});
