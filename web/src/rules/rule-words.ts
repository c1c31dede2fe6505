import type { HouseRules, RULE_CHOICES } from '@green-beam/core';

/** Rules that are a choice among words. */
export type ChoiceRule = keyof typeof RULE_CHOICES;

/** A rule as it is set: what it is about, and what each choice says. */
interface RuleWords<Rule extends ChoiceRule> {
  readonly label: string;
  readonly choices: Readonly<Record<HouseRules[Rule], string>>;
}

/** Every rule in the words of a class. */
export const RULE_WORDS: { readonly [Rule in ChoiceRule]: RuleWords<Rule> } = {
  estimate: {
    label: 'Scales are read',
    choices: {
      tenths: 'to a tenth of a division (fifths where they count by five)',
      'half-division': 'to half a division',
      'nearest-division': 'to the nearest division',
    },
  },
  acceptance: {
    label: 'A reading is right within',
    choices: { 2: '2 tenths of a division', 1: '1 tenth of a division', 3: '3 tenths of a division' },
  },
  burettePlace: { label: 'Burettes are written', choices: { hundredth: 'to 0.01 mL', half: 'to 0.05 mL' } },
  opaqueLiquids: {
    label: 'Liquids that hide their curve are read',
    choices: { 'upper-edge': 'at their upper edge', 'lowest-point': 'at their lowest point, as judged' },
  },
  hydrometerMark: {
    label: 'Hydrometers are read',
    choices: { 'liquid-level': 'at the level of the liquid', 'meniscus-top': 'at the top of the climb' },
  },
  micrometerEstimate: {
    label: 'Micrometers are read',
    choices: { 'tenth-of-thimble': 'to a tenth of a thimble division', 'nearest-line': 'to the nearest line' },
  },
  zeroWording: {
    label: 'A tool that is off',
    choices: {
      'subtract-the-zero-error': 'has its zero error subtracted',
      'add-the-zero-correction': 'has its zero correction added',
    },
  },
  volumeUnit: { label: 'Volumes are written in', choices: { mL: 'mL', 'cm³': 'cm³' } },
  decimalMark: { label: 'The decimal mark is', choices: { point: 'a point', comma: 'a comma' } },
  bareTrailingZeros: {
    label: 'Zeros at the end of a whole number',
    choices: {
      flag: 'are pointed out',
      'not-significant': 'do not count',
      'want-point': 'count with a point after them',
      'want-scientific': 'are written with a power of ten',
    },
  },
  rounding: {
    label: 'A half is rounded',
    choices: { 'half-up': 'away from zero', 'half-even': 'to the even neighbour' },
  },
  meanPlace: {
    label: 'A mean is written to',
    choices: { 'by-readings': 'the place of its readings', 'by-uncertainty': 'the place of its uncertainty' },
  },
  readingUncertainty: {
    label: 'One reading of a scale is known to ±',
    choices: {
      'half-division': 'half a division',
      'tenth-division': 'a tenth of a division',
      'whole-division': 'a whole division',
      'maker-tolerance': 'the maker’s tolerance',
    },
  },
  digitalUncertainty: {
    label: 'A display is known to ±',
    choices: {
      'one-last-digit': 'one of its last digit',
      'half-last-digit': 'half of its last digit',
      'two-last-digits': 'two of its last digit',
    },
  },
  toolTolerance: {
    label: 'What a tool’s maker allows it to be off by',
    choices: { 'not-counted': 'is not counted', counted: 'is counted beside the reading' },
  },
  repeatUncertainty: {
    label: 'Repeats',
    choices: {
      'standard-error': 'add their standard error to the instrument’s',
      'larger-of-the-two': 'or the instrument, whichever is larger',
      'half-range': 'add half their range',
    },
  },
  precisionMeasure: {
    label: 'Precision is told by',
    choices: {
      'sample-standard-deviation': 'the sample standard deviation',
      'average-deviation': 'the average deviation',
      range: 'the range',
      'standard-error': 'the standard error',
    },
  },
  combine: {
    label: 'Uncertainties are combined',
    choices: {
      quadrature: 'in quadrature',
      'plain-sum': 'by plain sum',
      extremes: 'by the extremes',
      simulation: 'by simulation',
    },
  },
  coverage: {
    label: 'What is quoted is',
    choices: {
      'one-standard-uncertainty': 'one standard uncertainty',
      'expanded-k-2': 'the expanded uncertainty, k = 2',
      'students-t-95': 'a 95 % interval by Student’s t',
    },
  },
  uncertaintyFigures: {
    label: 'An uncertainty has',
    choices: {
      'one-two-after-leading-1': 'one figure, two when it starts with 1',
      one: 'one figure',
      two: 'two figures',
    },
  },
  percentError: { label: 'Percent error is written', choices: { signed: 'with its sign', absolute: 'without a sign' } },
  waterDensity: {
    label: 'Water’s density is',
    choices: { 'from-temperature': 'taken from its temperature', one: 'taken as 1.00 g/mL' },
  },
  replicates: {
    label: 'Repeated pours go',
    choices: { 'fresh-vessel': 'into a fresh dry vessel', 'added-on-top': 'on top of each other' },
  },
};

/** The four questions on which classes differ most; the others are folded under them. */
export const FIRST_QUESTIONS: readonly ChoiceRule[] = ['estimate', 'burettePlace', 'percentError', 'combine'];

/** The rules in the order of the work, under the part of it they belong to. */
export const RULE_GROUPS: readonly { readonly title: string; readonly rules: readonly ChoiceRule[] }[] = [
  {
    title: 'Reading',
    rules: [
      'estimate',
      'acceptance',
      'burettePlace',
      'opaqueLiquids',
      'hydrometerMark',
      'micrometerEstimate',
      'zeroWording',
    ],
  },
  { title: 'Writing', rules: ['volumeUnit', 'decimalMark', 'bareTrailingZeros', 'rounding', 'meanPlace'] },
  {
    title: 'Uncertainty',
    rules: [
      'readingUncertainty',
      'digitalUncertainty',
      'toolTolerance',
      'repeatUncertainty',
      'precisionMeasure',
      'combine',
      'coverage',
      'uncertaintyFigures',
    ],
  },
  { title: 'Judging', rules: ['percentError', 'waterDensity', 'replicates'] },
];
