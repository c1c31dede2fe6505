import { Decimal } from '../numbers/decimal.ts';
import type { Expression } from '../calculations/expression/expression.ts';
import { writtenAtPlace } from '../numbers/rounding.ts';
import { completeRules, type HouseRules } from '../rules/house-rules.ts';
import { computedCell, formulaOf, readingCell, type Cell, type Formula } from './cells.ts';
import { checkRun } from './checks.ts';
import { acceptedFrom, compareWith, quote, type Quoted } from './engine/compare.ts';
import type { EvaluatedRun, RunResult, TrialRow } from './evaluated-run.ts';
import type { ComputedQuantity, Protocol, ReadQuantity } from './protocol.ts';
import { namedToolFrom, type NamedTool } from './named-tool.ts';
import {
  combineTrials,
  schoolOf,
  temperatureFrom,
  waterDensityFor,
  type CombinedResult,
  type Combined,
  type TrialValues,
} from './result.ts';
import { foldRun, type Run, type SlotState } from './run.ts';

function rowsToShow(slots: ReadonlyMap<string, SlotState>, protocol: Protocol): number {
  const used = [...slots.keys()].map((slot) => Number(/\.(\d+)$/.exec(slot)?.[1] ?? 0));
  return Math.min(protocol.trials.most, Math.max(protocol.trials.least, ...used));
}

function instrumentsOf(protocol: Protocol, slots: ReadonlyMap<string, SlotState>): Record<string, string> {
  const reads = protocol.quantities.filter((quantity): quantity is ReadQuantity => quantity.kind === 'read');
  return Object.fromEntries(
    reads.map((quantity) => {
      const chosen = slots.get(`instrument.${quantity.id}`)?.current.text;
      return [quantity.id, quantity.instruments.find((id) => id === chosen) ?? quantity.instruments[0]];
    }),
  );
}

/** The tools of the cabinet that columns are read on; one of another kind than the column’s is not meant any more. */
function toolsOf(
  instruments: Readonly<Record<string, string>>,
  slots: ReadonlyMap<string, SlotState>,
): Record<string, NamedTool> {
  return Object.fromEntries(
    Object.entries(instruments).flatMap(([id, instrumentId]) => {
      const tool = namedToolFrom(slots.get(`tool.${id}`)?.current.text ?? '');
      return tool?.instrumentId === instrumentId ? [[id, tool]] : [];
    }),
  );
}

/** What the columns are read on. */
interface ReadOn {
  readonly instruments: Readonly<Record<string, string>>;
  readonly tools: Readonly<Record<string, NamedTool>>;
}

function rowOf(
  trial: number,
  protocol: Protocol,
  formulas: readonly Formula[],
  slots: ReadonlyMap<string, SlotState>,
  { instruments, tools }: ReadOn,
  rules: HouseRules,
): TrialRow {
  const cells: Record<string, Cell> = {};
  for (const quantity of protocol.quantities) {
    if (quantity.kind === 'read')
      cells[quantity.id] = readingCell(
        quantity,
        { instrumentId: instruments[quantity.id] ?? quantity.instruments[0], tool: tools[quantity.id] ?? null },
        slots.get(`${quantity.id}.${trial}`),
        rules,
      );
  }
  for (const formula of formulas) cells[formula.quantity.id] = computedCell(formula, protocol, cells, rules);
  const exclusion = slots.get(`excluded.${trial}`)?.current;
  return {
    trial,
    cells,
    excluded: exclusion && exclusion.text !== '' ? { reason: exclusion.text, by: exclusion.person } : null,
  };
}

/** The result's formula with every computed quantity written out, so that a reading that enters twice is one input. */
function writtenOut(tree: Expression, formulas: readonly Formula[]): Expression {
  switch (tree.kind) {
    case 'name': {
      const inner = formulas.find((formula) => formula.quantity.id === tree.name);
      return inner ? writtenOut(inner.resolved.tree, formulas) : tree;
    }
    case 'negate':
    case 'exact':
      return { ...tree, operand: writtenOut(tree.operand, formulas) };
    case 'binary':
      return { ...tree, left: writtenOut(tree.left, formulas), right: writtenOut(tree.right, formulas) };
    case 'call':
      return { ...tree, arguments: tree.arguments.map((argument) => writtenOut(argument, formulas)) };
    case 'number':
    case 'pi':
    case 'convert':
      return tree;
  }
}

function valuesOf(row: TrialRow, ids: readonly string[]): TrialValues {
  return Object.fromEntries(
    ids.flatMap((id) => {
      const cell = row.cells[id];
      return cell?.kind === 'reading' ? [[id, cell.number.value.toNumber()]] : [];
    }),
  );
}

interface Counting {
  readonly values: number[];
  readonly places: number[];
  readonly trials: TrialValues[];
}

function countingTrials(rows: readonly TrialRow[], resultId: string, readIds: readonly string[]): Counting {
  const counting: Counting = { values: [], places: [], trials: [] };
  for (const row of rows) {
    const cell = row.cells[resultId];
    if (row.excluded || cell?.kind !== 'computed') continue;
    counting.values.push(cell.number.value.toNumber());
    counting.places.push(cell.number.place);
    counting.trials.push(valuesOf(row, readIds));
  }
  return counting;
}

function resultOf(
  combined: CombinedResult,
  counting: Counting,
  unit: string,
  chosen: string | undefined,
  rules: HouseRules,
): RunResult {
  const { summary } = combined;
  const school = schoolOf(rules);
  const own = combined.combined.find((one) => one.school === school);
  const quotedBy = (one: Combined): Quoted | null => quote(summary.mean, one.uncertainty * one.coverageFactor, rules);
  const accepted = chosen === undefined ? null : acceptedFrom(chosen, unit);
  const quoted = own ? quotedBy(own) : null;
  const place = rules.meanPlace === 'by-uncertainty' && quoted ? quoted.place : Math.max(...counting.places);
  return {
    summary,
    meanText: writtenAtPlace(new Decimal(summary.mean), place, rules.rounding),
    unit,
    schools: combined.combined.map((one) => ({ ...one, quoted: quotedBy(one) })),
    school,
    comparison: accepted
      ? compareWith({ value: summary.mean, place, furthest: 2 * (own?.uncertainty ?? 0) }, accepted, rules)
      : null,
  };
}

/**
 * Computes a run from its log: every cell with its place, unit and working, the mean with its uncertainty by each school, the
 * comparison with the accepted value, and what is remarkable about it.
 * @throws ExpressionError or UnitMismatchError when the protocol's formulas are wrong; HouseRuleError for the rules.
 */
export function evaluateRun(protocol: Protocol, run: Run, rules?: Partial<HouseRules>): EvaluatedRun {
  const house = completeRules(rules);
  const slots = foldRun(run);
  const instruments = instrumentsOf(protocol, slots);
  const tools = toolsOf(instruments, slots);
  const formulas = protocol.quantities
    .filter((quantity): quantity is ComputedQuantity => quantity.kind === 'computed')
    .map((quantity) => formulaOf(quantity, protocol));
  const rows = Array.from({ length: rowsToShow(slots, protocol) }, (_, i) =>
    rowOf(i + 1, protocol, formulas, slots, { instruments, tools }, house),
  );
  const counting = countingTrials(rows, protocol.result, Object.keys(instruments));
  const formula = formulas.find(({ quantity }) => quantity.id === protocol.result);
  const tree = writtenOut({ kind: 'name', name: protocol.result, at: 0 }, formulas);
  const combined =
    counting.values.length > 0 ? combineTrials(tree, counting.values, counting.trials, instruments, house) : null;
  const result =
    combined && formula
      ? resultOf(combined, counting, formula.quantity.unit, slots.get('accepted')?.current.text, house)
      : null;
  const notes = Object.fromEntries(
    [...slots].filter(([slot]) => !/^(?!answer|instrument|tool|excluded).*\.\d+$/.test(slot)),
  );
  const liquid = waterDensityFor(temperatureFrom(slots.get('temperature')?.current.text ?? ''), house);
  return {
    rows,
    notes,
    instruments,
    tools,
    result,
    findings: checkRun({ protocol, rows, notes, instruments, result, combined, liquid, rules: house }),
  };
}
