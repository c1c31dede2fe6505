import { completeRules, type HouseRules } from '../../rules/house-rules.ts';
import type { Protocol } from '../protocol/protocol.ts';
import type { Members } from '../run/address.ts';
import type { Run } from '../run/run.ts';
import type { ToolInRun } from '../run/tool-in-run.ts';
import { betterTool, type BetterTool } from './better-tool.ts';
import type { Cell } from './cell.ts';
import { combineIfPossible } from './combine.ts';
import { Nodes } from './nodes.ts';
import { Numbers } from './numbers.ts';
import { Results, type ComparisonFound, type ResultFound } from './results.ts';
import { simulationOf, type ReadySimulation, type SimulationOptions } from './simulate-run.ts';
import { Workings, type Working } from './working.ts';
import { isExcluded, settingOf, type StudentWork, type Setting } from './setting.ts';

/** The numbers of a run. */
export interface WorkedNumbers {
  readonly setting: Setting;
  /** Exactly, with the terms of their formulas: for what looks into a calculation. */
  readonly numbers: Numbers;
  /** What stands at a place of a quantity; undefined where the quantity does not stand there. */
  cellAt(quantity: string, members: Members): Cell | undefined;
  /** The standard uncertainty of a quantity’s number at a place; null where it has none. */
  standardAt(quantity: string, members: Members): number | null;
  /** How a computed quantity’s number at a place came about; null where it has none. */
  workingOf(quantity: string, members: Members): Working | null;
  /** False where a repeat is left out. */
  counts(members: Members): boolean;
}

/** A run worked out. */
export interface WorkedRun extends WorkedNumbers {
  readonly results: readonly ResultFound[];
  readonly comparisons: readonly ComparisonFound[];
  /** The tool among those of the cabinet that would help a result most; null where none would noticeably. */
  betterTool(result: ResultFound, cabinet: readonly ToolInRun[]): BetterTool | null;
  /**
   * The simulation of a quantity’s number at a place, not yet run; null where it has none.
   * @throws UncertaintyInputError for the number of draws; RangeError for the seed.
   */
  simulation(quantity: string, members: Members, options: SimulationOptions): ReadySimulation | null;
}

/**
 * Works out a run from its log: every cell with its place and unit, the results with their uncertainty by each method, and how they compare.
 * @param student whose own calculations it goes on with; by the book where nobody is named.
 * @throws ProtocolError when the protocol cannot be worked out; HouseRuleError for the rules.
 */
export function workOut(
  protocol: Protocol,
  run: Run,
  rules?: Partial<HouseRules>,
  student: StudentWork | null = null,
): WorkedRun {
  const house = completeRules(rules);
  const setting = settingOf(protocol, run, house, student);
  const numbers: Numbers = new Numbers(setting, (part, at): number | null => {
    const node = nodes.part(part.tree, at);
    return combineIfPossible(nodes, node, 'quadrature', house)?.uncertainty ?? null;
  });
  const nodes = new Nodes(numbers);
  numbers.workOut();
  const results = new Results(numbers, nodes);
  const workings = new Workings(numbers);
  return {
    setting,
    numbers,
    results: results.all(),
    comparisons: results.comparisons(),
    betterTool: ({ quantity, members }, cabinet) => {
      const found = setting.layout.quantities.get(quantity);
      return found && found.kind !== 'observed' ? betterTool(numbers, nodes, found, members, cabinet) : null;
    },
    simulation: (quantity, members, options) => {
      const node = nodes.cell(quantity, members);
      return node === undefined ? null : simulationOf(nodes, node, options);
    },
    cellAt: (quantity, members) => numbers.cellAt(quantity, members),
    standardAt: (quantity, members) => {
      const node = nodes.cell(quantity, members);
      return node === undefined ? null : (combineIfPossible(nodes, node, 'quadrature', house)?.uncertainty ?? null);
    },
    workingOf: (quantity, members) => {
      const found = setting.layout.quantities.get(quantity);
      return found?.kind === 'computed' ? workings.of(found, members) : null;
    },
    counts: (members) => !isExcluded(setting, members),
  };
}
