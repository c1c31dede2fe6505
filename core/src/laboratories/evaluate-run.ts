import type { HouseRules } from '../rules/house-rules.ts';
import type { PropagationSchool } from '../uncertainty/propagate.ts';
import type { Finding } from './checks/finding.ts';
import { findingsIn } from './checks/find.ts';
import type { Compared } from './engine/compare.ts';
import { workOut, type WorkedRun } from './engine/evaluate.ts';
import type { ComparisonFound, ResultFound } from './engine/results.ts';
import type { Protocol } from './protocol/protocol.ts';
import type { Members } from './run/address.ts';
import type { Run } from './run/run.ts';

/** A result’s uncertainty by one method. `size` is in the result’s unit, and is what is quoted after ±. */
export interface MethodOfResult {
  readonly method: PropagationSchool;
  readonly size: number;
  readonly quoted: string | null;
  /** Shares of the whole, largest first. */
  readonly budget: readonly { readonly name: string; readonly share: number }[];
}

/** One result of a run, as plain data. */
export interface EvaluatedResult {
  readonly quantity: string;
  readonly members: Members;
  /** To its place, in its unit. */
  readonly text: string;
  readonly value: number;
  readonly unit: string;
  /** By the class’s method: `8.7 ± 0.6`; null while nothing of it is uncertain. */
  readonly quoted: string | null;
  readonly methods: readonly MethodOfResult[];
  readonly comparison: Compared | null;
}

/** What the numbers of a run say. */
export interface EvaluatedRun {
  readonly results: readonly EvaluatedResult[];
  readonly comparisons: readonly ComparisonFound[];
  readonly findings: readonly Finding[];
}

function asData(result: ResultFound): EvaluatedResult {
  const { quantity, members, text, value, unit, quoted, methods, comparison } = result;
  return {
    quantity,
    members,
    text,
    value,
    unit,
    quoted,
    methods: methods.map(({ method, size, quoted: by, budget }) => ({
      method,
      size,
      quoted: by && `${by.value} ± ${by.uncertainty}`,
      budget: budget.map(({ name, share }) => ({ name, share })),
    })),
    comparison,
  };
}

/** A run that has been worked out, as plain data. */
export function evaluatedRun(run: WorkedRun): EvaluatedRun {
  return { results: run.results.map(asData), comparisons: run.comparisons, findings: findingsIn(run) };
}

/**
 * Works out a run: its results with their uncertainty by each method, how they compare, and what a careful teacher would point at.
 * @throws ProtocolError when the protocol cannot be worked out; HouseRuleError for the rules.
 */
export function evaluateRun(protocol: Protocol, run: Run, rules?: Partial<HouseRules>): EvaluatedRun {
  return evaluatedRun(workOut(protocol, run, rules));
}
