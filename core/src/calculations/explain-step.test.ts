import { describe, expect, it } from 'vitest';
import type { HouseRules } from '../rules/house-rules.ts';
import { calculate } from './calculate.ts';
import { counted, placeInWords } from './explain-step.ts';

/** Question and answer of the last step of an expression. */
function asked(expression: string, rules = {}): readonly [string, string] {
  const { question, answer } = calculate(expression, rules).steps.at(-1)!;
  return [question, answer];
}

describe('why a result has the digits it has', () => {
  it.each([
    [
      '18.6 mL - 9.25 mL',
      'Why one decimal?',
      'A sum or difference ends at the place of its least certain term: 18.6 ends at the tenths.',
    ],
    [
      '27 g - 25.48 g',
      'Why no decimals?',
      'A sum or difference ends at the place of its least certain term: 27 ends at the ones.',
    ],
    [
      '1.2e3 g + 38.4 g',
      'Why only as far as the hundreds?',
      'A sum or difference ends at the place of its least certain term: 1.2e3 ends at the hundreds.',
    ],
    [
      '0.1234 g + 0.00071 g',
      'Why four decimals?',
      'A sum or difference ends at the place of its least certain term: 0.1234 ends at the ten-thousandths.',
    ],
    [
      '14.2 cm * 23.65 cm',
      'Why three figures?',
      'A product or quotient has as many figures as the factor with the fewest: 14.2 has 3.',
    ],
    [
      '3.28 g / 4.1 mL',
      'Why two figures?',
      'A product or quotient has as many figures as the factor with the fewest: 4.1 has 2.',
    ],
    ['sqrt(8.41 cm^2)', 'Why three figures?', 'A power or root has as many figures as its base: 8.41 has 3.'],
    ['(1.2 cm)^3', 'Why two figures?', 'A power or root has as many figures as its base: 1.2 has 2.'],
    [
      'log10(4.52e3)',
      'Why three decimals?',
      'A logarithm has as many decimals as its argument has figures: 4.52e3 has 3.',
    ],
    ['10^2.31', 'Why two figures?', 'An antilogarithm has as many figures as the logarithm has decimals: 2.31 has 2.'],
    ['exp(1.5)', 'Why one figure?', 'An antilogarithm has as many figures as the logarithm has decimals: 1.5 has 1.'],
    [
      'mean(9.4 mL; 9.62 mL)',
      'Why one decimal?',
      'A mean is written to the place of its least certain reading: 9.4 ends at the tenths.',
    ],
    [
      'abs(9.4 mL - 9.62 mL)',
      'Why one decimal?',
      'Without its sign a number keeps its places: -0.2 ends at the tenths.',
    ],
    [
      'max(9.4 mL; 9.62 mL)',
      'Why two decimals?',
      'The largest of several readings keeps its own place: 9.62 ends at the hundredths.',
    ],
    [
      'min(9.4 mL; 9.62 mL)',
      'Why one decimal?',
      'The least of several readings keeps its own place: 9.4 ends at the tenths.',
    ],
    [
      'exact(3) * exact(4)',
      'Why are all digits kept?',
      'Every number in it is exact. Exact numbers do not limit the result.',
    ],
    [
      'mean(4.7, 4.72)',
      'Why one decimal?',
      'A mean is written to the place of its least certain reading: 4.7 ends at the tenths.',
    ],
    [
      '12:41:20 - 12:09:47',
      'Why no decimals?',
      'A sum or difference ends at the place of its least certain term: 12:41:20 ends at the seconds.',
    ],
    [
      '12:41:20.5 - 12:09:47.25',
      'Why one decimal?',
      'A sum or difference ends at the place of its least certain term: 12:41:20.5 ends at the tenths of a second.',
    ],
    [
      'exact(2) * 3.14 cm',
      'Why three figures?',
      'A product or quotient has as many figures as the factor with the fewest: 3.14 has 3.',
    ],
  ])('%s', (expression, question, answer) => {
    expect(asked(expression)).toEqual([question, answer]);
  });

  it('a difference that leaves nothing says so, and so does what follows from it', () => {
    expect(asked('11 g - 10.6 g')).toEqual([
      'Why is no figure left?',
      'A sum or difference ends at the place of its least certain term: 11 ends at the ones. The result is smaller than that, so no certain figure is left.',
    ]);
    const [question, answer] = asked('(11 g - 10.6 g) / 2.5 mL');
    expect(question).toBe('Why is no figure left?');
    expect(answer).toMatch(/ has no figure left, and nothing that is multiplied by it has one\.$/);
  });

  it('a defined factor leaves the digits as they were', () => {
    const { steps } = calculate('1.00 in + 2.0 cm');
    const [converted, added] = steps;
    expect(converted).toMatchObject({
      operation: 'convert',
      answer: expect.stringMatching(/^The factor is exact, so the result has the same certain digits as /),
    });
    expect(added?.operation).toBe('+');
  });

  it('an angle’s last place is carried along the slope', () => {
    const [question, answer] = asked('sin(0.524)');
    expect(question).toMatch(/^Why \w+ decimals\?$/);
    expect(answer).toMatch(
      /^The last place of the angle, .*, times the slope there gives the last place of the result\.$/,
    );
  });

  it('a mean by its standard error names that place', () => {
    const [question, answer] = asked('mean(9.01 mL; 9.62 mL; 10.24 mL; 8.75 mL)', { meanPlace: 'by-uncertainty' });
    expect(question).toBe('Why one decimal?');
    expect(answer).toBe('This class writes a mean to the place of its standard error: the tenths.');
  });
});

describe('which numbers decide', () => {
  it.each<[string, Partial<HouseRules>, number[]]>([
    ['18.6 mL - 9.25 mL', {}, [0]],
    ['84.93 g - 47.56 g', {}, [0, 1]],
    ['14.2 cm * 23.65 cm', {}, [0]],
    ['14.2 cm * 0.0236 cm', {}, [0, 1]],
    ['exact(3) * 2.41 g', {}, [1]],
    ['exact(3) * exact(4)', {}, []],
    ['10^2.31', {}, [1]],
    ['(1.2 cm)^2', {}, [0]],
    ['mean(9.4 mL; 9.62 mL; 9.5 mL)', {}, [0, 2]],
    ['mean(9.01 mL; 9.62 mL; 10.24 mL; 8.75 mL)', { meanPlace: 'by-uncertainty' }, []],
  ])('%s %j: %j', (expression, rules, deciding) => {
    expect(calculate(expression, rules).steps.at(-1)!.deciding).toEqual(deciding);
  });
});

it.each([
  [3, 'the thousands'],
  [0, 'the ones'],
  [-1, 'the tenths'],
  [-3, 'the thousandths'],
  [7, 'the place of 10^7'],
  [-6, 'the place of 10^-6'],
])('place %d is %s', (place, words) => {
  expect(placeInWords(place)).toBe(words);
});

it.each([
  [0, 'no figures'],
  [1, 'one figure'],
  [2, 'two figures'],
  [10, 'ten figures'],
  [11, '11 figures'],
])('%d: %s', (count, words) => {
  expect(counted(count, 'figure')).toBe(words);
});
