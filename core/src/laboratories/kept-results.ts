import type { PropagationSchool } from '../uncertainty/propagate.ts';
import { toolsCompared, type ToolCompared } from './comparing/tools-compared.ts';
import type { WorkedRun } from './engine/evaluate.ts';
import type { MethodResult, ResultFound } from './engine/results.ts';
import { placesOf, toolAt } from './engine/setting.ts';
import type { Members } from './run/address.ts';

/** A result as it is kept beside a run, to be put together with those of other groups. */
export interface KeptResult {
  readonly quantity: string;
  readonly members: Members;
  /** `Volume, fine`. */
  readonly name: string;
  readonly unit: string;
  readonly value: number;
  /** Power of ten of the last digit it is written to; null where it is exact. */
  readonly place: number | null;
  /** Effective degrees of freedom by quadrature: infinite where nothing comes from repeats, null where it cannot be told. */
  readonly degreesOfFreedom: number | null;
  /** What is quoted after ±, by each method that has a result, in the unit of the result. */
  readonly sizes: Readonly<Partial<Record<PropagationSchool, number>>>;
  /** The variance by quadrature, in parts; null where quadrature has no result. */
  readonly variance: KeptVariance | null;
  /** What it was compared with; null where nothing was chosen. */
  readonly accepted: { readonly least: number; readonly most: number } | null;
}

/** What is kept of a run. */
export interface KeptRun {
  readonly results: readonly KeptResult[];
  /** Codes of the cabinet’s tools it was read on. */
  readonly tools: readonly string[];
  /** The choice of each of the laboratory’s options, by its id. */
  readonly choices: Readonly<Record<string, string>>;
  /** The tools whose readings of one thing were compared, with their repeats; none where the laboratory compares no tools. */
  readonly compared: readonly ToolCompared[];
}

/** Parts of a variance, in the unit squared. They add up to the whole; a part may be below zero where scatters go against each other. */
export interface KeptVariance {
  /** The group’s own: its readings and repeats. */
  readonly own: number;
  /** What groups that use the same tool of the cabinet share, by its code. */
  readonly tools: Readonly<Record<string, number>>;
  /** What groups that were given the same value share, by the quantity. */
  readonly given: Readonly<Record<string, number>>;
}

/** Codes of the cabinet’s tools that a run was read on. */
function codesIn({ setting }: WorkedRun): ReadonlySet<string> {
  const codes = [...setting.layout.quantities.values()].flatMap((quantity) =>
    quantity.kind === 'read'
      ? placesOf(setting, quantity.over, quantity.only).flatMap((at) => toolAt(setting, quantity, at)?.code ?? [])
      : [],
  );
  return new Set(codes);
}

function varianceOf({ uncertainty, budget }: MethodResult, codes: ReadonlySet<string>): KeptVariance {
  let own = 0;
  const tools: Record<string, number> = {};
  const given: Record<string, number> = {};
  for (const { label, share } of budget) {
    const part = share * uncertainty ** 2;
    const { kind, tool, quantity } = label;
    if ((kind === 'zero' || kind === 'tolerance') && tool !== null && codes.has(tool))
      tools[tool] = (tools[tool] ?? 0) + part;
    else if ((kind === 'given' || kind === 'looked-up') && quantity !== null)
      given[quantity] = (given[quantity] ?? 0) + part;
    else own += part;
  }
  return { own, tools, given };
}

function kept(
  { quantity, members, name, unit, value, place, methods, comparison }: ResultFound,
  codes: ReadonlySet<string>,
): KeptResult {
  const quadrature = methods.find(({ method }) => method === 'quadrature');
  return {
    quantity,
    members,
    name,
    unit,
    value,
    place: place === -Infinity ? null : place,
    degreesOfFreedom: quadrature?.degreesOfFreedom ?? null,
    sizes: Object.fromEntries(methods.map(({ method, size }) => [method, size])),
    variance: quadrature ? varianceOf(quadrature, codes) : null,
    accepted: comparison ? { least: comparison.accepted.least, most: comparison.accepted.most } : null,
  };
}

/** What is kept of a run: its results, and what they were made with. */
export function keptOf(run: WorkedRun): KeptRun {
  const codes = codesIn(run);
  return {
    results: run.results.map((result) => kept(result, codes)),
    tools: [...codes].sort(),
    choices: { ...run.setting.layout.chosen },
    compared: toolsCompared(run) ?? [],
  };
}
