import { readingStep } from '../../reading/expected-reading.ts';
import type { Instrument } from '../../instruments/instrument.ts';
import type { HouseRules, ReadingUncertainty } from '../../rules/house-rules.ts';
import { widthPerStandard, type UncertainInput } from '../../uncertainty/input.ts';
import type { Graph } from '../../uncertainty/graph/graph.ts';
import type { Members } from '../run/address.ts';
import type { ToolInRun } from '../run/tool-in-run.ts';

/** What an error comes from. */
export type InputKind =
  'reading' | 'zero' | 'tolerance' | 'repeats' | 'line' | 'given' | 'looked-up' | 'counted' | 'adjustment';

/** What people call an error by. */
export interface InputLabel {
  readonly kind: InputKind;
  /** The quantity it comes in by; null for what is the tool’s own. */
  readonly quantity: string | null;
  readonly members: Members;
  /** The tool as people call it: `C-01`, `the 50 mL cylinder`; null where none is used. */
  readonly tool: string | null;
}

/** An error that results depend on, with its identity. */
export interface BaseInput extends UncertainInput {
  readonly label: InputLabel;
  /** Has no degrees of freedom, and says nothing of how well it is known: half a range. */
  readonly unknownFreedom: boolean;
}

type NewInput = Omit<BaseInput, 'name'>;

/** All errors of one run, each with its identity: who asks twice for one gets the same. */
export class BaseInputs {
  private readonly byKey = new Map<string, number>();
  readonly all: BaseInput[] = [];

  constructor(private readonly graph: Graph) {}

  /** The index of the input of that identity, made when it is asked for first. */
  at(key: string, make: () => NewInput): number {
    const known = this.byKey.get(key);
    if (known !== undefined) return known;
    const index = this.graph.input();
    this.byKey.set(key, index);
    this.all[index] = { name: key, ...make() };
    return index;
  }
}

/** A rectangle of that half-width. @param width what plain sum and extremes take, where it is another. */
export function rectangle(label: InputLabel, halfWidth: number, width = halfWidth): NewInput {
  return {
    label,
    shape: 'rectangular',
    standard: halfWidth / widthPerStandard('rectangular'),
    width,
    degreesOfFreedom: Infinity,
    unknownFreedom: false,
  };
}

/** How many divisions, or steps of the last digit that a display shows. */
const DIVISIONS = {
  'half-division': 0.5,
  'tenth-division': 0.1,
  'whole-division': 1,
  'one-last-digit': 1,
  'half-last-digit': 0.5,
  'two-last-digits': 2,
} as const;

/** What the class says of readings on a tool: of this tool, else of its family, else of scales or of displays. */
export function readingRule(instrument: Instrument, rules: HouseRules): ReadingUncertainty {
  const own = rules.readingUncertaintyOf[instrument.id] ?? rules.readingUncertaintyOf[instrument.skill];
  if (own !== undefined) return own;
  return readingStep(instrument, rules).lastDigit === 'displayed' ? rules.digitalUncertainty : rules.readingUncertainty;
}

/** The half-width a class quotes for one reading on a tool, in the tool’s unit. */
export function readingHalfWidth({ instrument, tolerance }: ToolInRun, rules: HouseRules): number {
  const rule = readingRule(instrument, rules);
  if (rule === 'maker-tolerance') return tolerance;
  return instrument.division * DIVISIONS[rule];
}
