import type { SkillId } from '../skills/skills.ts';
import { shortened } from '../numbers/written-number.ts';
import { parseQuotedFactor, QuotedFactorError } from '../units/quoted-factor.ts';

/** Every rule that is a choice, with its choices, the default first. */
export const RULE_CHOICES = {
  estimate: ['tenths', 'half-division', 'nearest-division'],
  acceptance: [2, 1, 3],
  readingUncertainty: ['half-division', 'tenth-division', 'whole-division', 'maker-tolerance'],
  digitalUncertainty: ['one-last-digit', 'half-last-digit', 'two-last-digits'],
  toolTolerance: ['not-counted', 'counted'],
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

type Chosen = { readonly [Rule in keyof typeof RULE_CHOICES]: (typeof RULE_CHOICES)[Rule][number] };
export type Estimate = Chosen['estimate'];
/** What one reading is known to, of a scale or of a display. */
export type ReadingUncertainty = Chosen['readingUncertainty'] | Chosen['digitalUncertainty'];

/** The method a class works by: one immutable object, stored with whatever was judged by it. */
export interface HouseRules extends Chosen {
  /** The percent error a class calls good. */
  readonly goodPercentError: number;
  /** Where a family is estimated otherwise than `estimate` says. */
  readonly estimateByFamily: Readonly<Partial<Record<SkillId, Estimate>>>;
  /** Where a reading is known otherwise than the two rules of reading say: by the family of a tool, or by its id, which comes first. */
  readonly readingUncertaintyOf: Readonly<Record<string, ReadingUncertainty>>;
  /** Rounded relations the class quotes instead of exact ones, `1 lb = 454 g`; their digits count as written. */
  readonly quotedFactors: readonly string[];
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
export const DEFAULT_RULES: HouseRules = Object.freeze({
  ...(Object.fromEntries(
    Object.entries(RULE_CHOICES).map(([rule, choices]) => [rule, choices[0]]),
  ) as unknown as Chosen),
  goodPercentError: 5,
  estimateByFamily: {},
  readingUncertaintyOf: {},
  quotedFactors: [],
});

/** The named methods a class can start from. */
export const PRESETS: readonly { readonly id: string; readonly name: string; readonly rules: HouseRules }[] = [
  { id: 'estimate-one-digit', name: 'Estimate one digit', rules: DEFAULT_RULES },
  {
    id: 'half-a-division',
    name: 'Half a division',
    rules: {
      ...DEFAULT_RULES,
      estimate: 'half-division',
      burettePlace: 'half',
      volumeUnit: 'cm³',
      percentError: 'absolute',
      repeatUncertainty: 'half-range',
    },
  },
  {
    id: 'least-count',
    name: 'Least count',
    rules: {
      ...DEFAULT_RULES,
      estimate: 'nearest-division',
      micrometerEstimate: 'nearest-line',
      readingUncertainty: 'whole-division',
      combine: 'plain-sum',
      meanPlace: 'by-readings',
    },
  },
];

function checkRule(rule: string, value: unknown): void {
  if (rule === 'goodPercentError') {
    if (typeof value !== 'number' || !(value > 0 && value <= 100))
      throw new HouseRuleError(rule, `${String(value)} is not a percentage between 0 and 100.`);
  } else if (rule === 'estimateByFamily') {
    for (const [family, estimate] of Object.entries(value ?? {}))
      checkChoice(`${rule}.${family}`, RULE_CHOICES.estimate, estimate);
  } else if (rule === 'readingUncertaintyOf') checkReadings(value);
  else if (rule === 'quotedFactors') checkQuoted(value);
  else if (Object.hasOwn(RULE_CHOICES, rule)) checkChoice(rule, RULE_CHOICES[rule as keyof typeof RULE_CHOICES], value);
  else throw new HouseRuleError(shortened(rule), 'there is no such rule.');
}

/** Of as many families and tools a reading can be known otherwise. */
const MOST_READINGS = 100;

function checkReadings(value: unknown): void {
  const rule = 'readingUncertaintyOf';
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    throw new HouseRuleError(rule, 'that is not a list of tools.');
  const stated = Object.entries(value);
  if (stated.length > MOST_READINGS) throw new HouseRuleError(rule, `that is more than ${MOST_READINGS} tools.`);
  const choices = [...RULE_CHOICES.readingUncertainty, ...RULE_CHOICES.digitalUncertainty];
  for (const [tool, choice] of stated) checkChoice(`${rule}.${shortened(tool)}`, choices, choice);
}

const MOST_QUOTED = 20;

function checkQuoted(value: unknown): void {
  if (!Array.isArray(value) || value.length > MOST_QUOTED)
    throw new HouseRuleError('quotedFactors', `that is not a list of at most ${MOST_QUOTED} relations.`);
  for (const text of value as unknown[]) {
    try {
      parseQuotedFactor(String(text));
    } catch (error) {
      if (error instanceof QuotedFactorError) throw new HouseRuleError('quotedFactors', error.message);
      throw error;
    }
  }
}

function checkChoice(rule: string, choices: readonly unknown[], value: unknown): void {
  if (!choices.includes(value))
    throw new HouseRuleError(rule, `“${shortened(String(value))}” is not one of ${choices.join(', ')}.`);
}

/** Rules that were checked and completed before; they are frozen, so they need not be checked again. */
const COMPLETE = new WeakSet<object>([DEFAULT_RULES]);

/** Equal rules are one object, so that what is worked out from rules is worked out once for every class that has them. */
const BY_CONTENT = new Map<string, HouseRules>([[contentOf(DEFAULT_RULES), DEFAULT_RULES]]);
const MOST_KEPT = 500;

function contentOf(rules: HouseRules): string {
  const inOrder = (part: object): [string, unknown][] => Object.entries(part).sort(([a], [b]) => (a < b ? -1 : 1));
  const { estimateByFamily, readingUncertaintyOf, ...others } = rules;
  return JSON.stringify([...inOrder(others), inOrder(estimateByFamily), inOrder(readingUncertaintyOf)]);
}

function shared(rules: HouseRules): HouseRules {
  const content = contentOf(rules);
  const known = BY_CONTENT.get(content);
  if (known) return known;
  const frozen = Object.freeze(rules);
  if (BY_CONTENT.size >= MOST_KEPT) BY_CONTENT.clear();
  BY_CONTENT.set(content, frozen);
  COMPLETE.add(frozen);
  return frozen;
}

/**
 * Fills in the defaults of rules given in part.
 * @throws HouseRuleError naming the rule.
 */
export function completeRules(given: Partial<HouseRules> = DEFAULT_RULES): HouseRules {
  if (COMPLETE.has(given)) return given as HouseRules;
  const stated = Object.entries<unknown>(given).filter(([, value]) => value !== undefined);
  stated.forEach(([rule, value]) => checkRule(rule, value));
  const complete: HouseRules = { ...DEFAULT_RULES, ...Object.fromEntries(stated) };
  return shared(complete);
}

/** Where two rules cannot both be followed, the one to blame, with why; null where they agree. */
export function contradictionIn(rules: HouseRules): HouseRuleError | null {
  const limits = rules.combine === 'plain-sum' || rules.combine === 'extremes';
  if (limits && rules.coverage !== 'one-standard-uncertainty')
    return new HouseRuleError(
      'coverage',
      'plain sums and extremes add half-widths, which are limits already and are not widened again.',
    );
  if (rules.toolTolerance === 'counted' && rules.readingUncertainty === 'maker-tolerance')
    return new HouseRuleError(
      'toolTolerance',
      'the maker’s tolerance is what a reading is known to already, and is not counted a second time.',
    );
  if (rules.repeatUncertainty === 'half-range' && rules.coverage === 'students-t-95')
    return new HouseRuleError('coverage', 'Student’s t needs the standard error of the repeats, not half their range.');
  return null;
}
