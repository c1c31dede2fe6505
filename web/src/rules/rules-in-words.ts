import { instrumentById, instrumentIds, SKILLS, type HouseRules } from '@green-beam/core';

/** One rule as a class would say it. */
export interface RuleInWords {
  readonly topic: string;
  readonly rule: string;
}

const ESTIMATES = {
  tenths: 'to a tenth of a division (fifths where divisions count by five)',
  'half-division': 'to half a division',
  'nearest-division': 'to the nearest division',
} as const;

const DISPLAYS = {
  'one-last-digit': 'one of its last digit',
  'half-last-digit': 'half its last digit',
  'two-last-digits': 'two of its last digit',
} as const;

const WIDTHS = {
  'half-division': 'half a division',
  'tenth-division': 'a tenth of a division',
  'whole-division': 'a whole division',
  'maker-tolerance': 'the maker’s tolerance',
} as const;

const COMBINED = {
  quadrature: 'in quadrature (root of the sum of squares)',
  'plain-sum': 'by plain sum',
  extremes: 'by the extremes',
  simulation: 'by simulation',
} as const;

const REPEATS = {
  'standard-error': 'the standard error of the repeats stands beside the instrument’s uncertainty',
  'larger-of-the-two': 'the larger of repeats and instrument counts',
  'half-range': 'half the range of the repeats stands beside the instrument’s uncertainty',
} as const;

const COVERAGE = {
  'one-standard-uncertainty': 'One standard uncertainty is quoted',
  'expanded-k-2': 'The expanded uncertainty is quoted, k = 2',
  'students-t-95': 'A 95 % interval by Student’s t is quoted',
} as const;

const FIGURES = {
  'one-two-after-leading-1': 'one figure, two when it starts with 1',
  one: 'one figure',
  two: 'two figures',
} as const;

/** A tool or a family of tools by its name. */
function toolOrFamily(id: string): string {
  const family = SKILLS.find((skill) => skill.id === id);
  return family?.name ?? (instrumentIds().includes(id) ? instrumentById(id).name : id);
}

/** The rules that matter for reading and for the notebook, in the order of the work. */
export function rulesInWords(rules: HouseRules): RuleInWords[] {
  return [
    { topic: 'Estimating', rule: `Scales are read ${ESTIMATES[rules.estimate]}.` },
    {
      topic: 'Accepted',
      rule: `A reading within ${rules.acceptance} tenths of a division of the true value is right.`,
    },
    { topic: 'Volumes', rule: `Volumes are written in ${rules.volumeUnit}.` },
    {
      topic: 'One reading',
      rule: `It is known to ± ${WIDTHS[rules.readingUncertainty]}; a display to ± ${DISPLAYS[rules.digitalUncertainty]}.`,
    },
    ...Object.entries(rules.readingUncertaintyOf).map(([tool, known]) => ({
      topic: toolOrFamily(tool),
      rule: `A reading is known to ± ${{ ...WIDTHS, ...DISPLAYS }[known]}.`,
    })),
    {
      topic: 'The tool itself',
      rule: `What its maker allows it to be off by is ${rules.toolTolerance === 'counted' ? 'counted beside the reading' : 'not counted'}.`,
    },
    { topic: 'Repeats', rule: `${REPEATS[rules.repeatUncertainty].replace(/^./, (c) => c.toUpperCase())}.` },
    { topic: 'Combining', rule: `Uncertainties are combined ${COMBINED[rules.combine]}.` },
    { topic: 'Coverage', rule: `${COVERAGE[rules.coverage]}.` },
    {
      topic: 'Writing ±',
      rule: `An uncertainty has ${FIGURES[rules.uncertaintyFigures]}; the value ends at the same place.`,
    },
    {
      topic: 'Rounding',
      rule:
        rules.rounding === 'half-up'
          ? 'Halves are rounded away from zero.'
          : 'Halves are rounded to the even neighbour.',
    },
    ...(rules.quotedFactors.length === 0
      ? []
      : [{ topic: 'Conversions', rule: `Quoted as ${rules.quotedFactors.join(', ')}; all others are exact.` }]),
    {
      topic: 'Percent error',
      rule: `${rules.percentError === 'signed' ? 'With its sign' : 'Without a sign'}; up to ${rules.goodPercentError} % is called good.`,
    },
    {
      topic: 'Water',
      rule:
        rules.waterDensity === 'from-temperature'
          ? 'Its density is taken from its temperature.'
          : 'Its density is taken as 1.00 g/mL.',
    },
  ];
}
