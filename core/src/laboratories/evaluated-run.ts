import type { Summary } from '../statistics/summarise.ts';
import type { Cell } from './cells.ts';
import type { NamedTool } from './named-tool.ts';
import type { Compared, Quoted } from './engine/compare.ts';
import type { Combined } from './result.ts';
import type { SlotState } from './run.ts';

/** One trial of the table. */
export interface TrialRow {
  readonly trial: number;
  readonly cells: Readonly<Record<string, Cell>>;
  /** Why it does not count, when somebody has excluded it. */
  readonly excluded: { readonly reason: string; readonly by: string } | null;
}

/** What the trials say together. */
export interface RunResult {
  readonly summary: Summary;
  /** The mean as the class writes a mean, to the place of the trials' results. */
  readonly meanText: string;
  readonly unit: string;
  readonly schools: readonly (Combined & { readonly quoted: Quoted | null })[];
  /** The school the class works by. */
  readonly school: Combined['school'];
  readonly comparison: Compared | null;
}

/** Something in a run that a teacher would point at. */
export interface Finding {
  readonly kind: 'cell' | 'note' | 'conflict' | 'order' | 'repeats' | 'identical' | 'resolvable' | 'sink-or-float';
  readonly severity: 'wrong' | 'look';
  readonly trial: number | null;
  readonly quantity: string | null;
  readonly message: string;
}

export interface EvaluatedRun {
  readonly rows: readonly TrialRow[];
  /** What stands in the slots that belong to the whole run. */
  readonly notes: Readonly<Record<string, SlotState>>;
  /** The tool of each read quantity. */
  readonly instruments: Readonly<Record<string, string>>;
  /** The very tool, of those read quantities for which one of the cabinet is named. */
  readonly tools: Readonly<Record<string, NamedTool>>;
  /** Null until one trial is complete. */
  readonly result: RunResult | null;
  readonly findings: readonly Finding[];
}
