import type { SkillId } from '../instruments/instrument.ts';
import { shortened } from '../numbers/written-number.ts';

const CHOICES = {
  estimate: ['tenths', 'half-division', 'nearest-division'],
  acceptance: [2, 1, 3],
  readingUncertainty: ['half-division', 'tenth-division', 'whole-division', 'maker-tolerance'],
  digitalUncertainty: ['one-last-digit', 'half-last-digit'],
  burettePlace: ['hundredth', 'half'],
  opaqueLiquids: ['upper-edge', 'lowest-point'],
  hydrometerMark: ['liquid-level', 'meniscus-top'],
  micrometerEstimate: ['tenth-of-thimble', 'nearest-line'],
  precisionMeasure: ['sample-standard-deviation', 'average-deviation', 'range', 'standard-error'],
  percentError: ['signed', 'absolute'],
  combine: ['quadrature', 'plain-sum', 'extremes', 'simulation'],
  repeatUncertainty: ['standard-error', 'larger-of-the-two', 'half-range'],
  coverage: ['one-standard-uncertainty', 'expanded-k-2', 'students-t-95'],
  uncertaintyFigures: ['one-two-after-leading-1', 'one', 'two'],
  rounding: ['half-up', 'half-even'],
  bareTrailingZeros: ['flag', 'not-significant', 'want-point', 'want-scientific'],
  meanPlace: ['by-readings', 'by-uncertainty'],
  waterDensity: ['from-temperature', 'one'],
  zeroWording: ['subtract-the-zero-error', 'add-the-zero-correction'],
  volumeUnit: ['mL', 'cm³'],
  decimalMark: ['point', 'comma'],
  replicates: ['fresh-vessel', 'added-on-top'],
} as const;

type Chosen = { readonly [Rule in keyof typeof CHOICES]: (typeof CHOICES)[Rule][number] };
export type Estimate = Chosen['estimate'];

/** The school of thought a class works by: one immutable object, stored with whatever was judged by it. */
export interface HouseRules extends Chosen {
  /** The percent error a class calls good. */
  readonly goodPercentError: number;
  /** Where a family is estimated otherwise than `estimate` says. */
  readonly estimateByFamily: Readonly<Partial<Record<SkillId, Estimate>>>;
}

/** A rule has a value it cannot have; `rule` names it. */
export class HouseRuleError extends Error {
  override readonly name = 'HouseRuleError';
  constructor(
    readonly rule: string,
    reason: string,
  ) {
    super(`${rule}: ${reason}`);
  }
}

/** The preset *Estimate one digit*: every rule at its default. */
export const DEFAULT_RULES: HouseRules = {
  ...(Object.fromEntries(Object.entries(CHOICES).map(([rule, choices]) => [rule, choices[0]])) as unknown as Chosen),
  goodPercentError: 5,
  estimateByFamily: {},
};

/** The named schools a class can start from. */
export const PRESETS: readonly { readonly id: string; readonly name: string; readonly rules: HouseRules }[] = [
  { id: 'estimate-one-digit', name: 'Estimate one digit', rules: DEFAULT_RULES },
  {
    id: 'half-a-division',
    name: 'Half a division',
    rules: { ...DEFAULT_RULES, estimate: 'half-division', burettePlace: 'half', volumeUnit: 'cm³', percentError: 'absolute', repeatUncertainty: 'half-range' },
  },
  {
    id: 'least-count',
    name: 'Least count',
    rules: { ...DEFAULT_RULES, estimate: 'nearest-division', micrometerEstimate: 'nearest-line', readingUncertainty: 'whole-division', combine: 'plain-sum', meanPlace: 'by-readings' },
  },
];

function checkRule(rule: string, value: unknown): void {
  if (rule === 'goodPercentError') {
    if (typeof value !== 'number' || !(value > 0 && value <= 100)) throw new HouseRuleError(rule, `${String(value)} is not a percentage between 0 and 100.`);
  } else if (rule === 'estimateByFamily') {
    for (const [family, estimate] of Object.entries(value ?? {})) checkChoice(`${rule}.${family}`, CHOICES.estimate, estimate);
  } else if (Object.hasOwn(CHOICES, rule)) checkChoice(rule, CHOICES[rule as keyof typeof CHOICES], value);
  else throw new HouseRuleError(shortened(rule), 'there is no such rule.');
}

function checkChoice(rule: string, choices: readonly unknown[], value: unknown): void {
  if (!choices.includes(value)) throw new HouseRuleError(rule, `“${shortened(String(value))}” is not one of ${choices.join(', ')}.`);
}

/**
 * Fills in the defaults of rules given in part.
 * @throws HouseRuleError naming the rule.
 */
export function completeRules(given: Partial<HouseRules> = DEFAULT_RULES): HouseRules {
  if (given === DEFAULT_RULES) return DEFAULT_RULES;
  const stated = Object.entries(given).filter(([, value]) => value !== undefined);
  stated.forEach(([rule, value]) => checkRule(rule, value));
  return { ...DEFAULT_RULES, ...Object.fromEntries(stated) };
}
