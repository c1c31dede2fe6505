import { Rational } from '../../numbers/rational.ts';
import { converted, parseUnit } from '../../units/unit.ts';
import type { QuantityWithUnit, ReadQuantity } from '../protocol/protocol.ts';
import type { Members } from '../run/address.ts';
import { instrumentsOfKinds, type ToolInRun } from '../run/tool-in-run.ts';
import { numberOf } from './cell.ts';
import { combineIfPossible, type CombinedUncertainty } from './combine.ts';
import { quote, type Quoted } from './compare.ts';
import { readingHalfWidth, type BaseInput } from './inputs.ts';
import type { Nodes } from './nodes.ts';
import type { Numbers } from './numbers.ts';
import { methodOf } from './results.ts';
import { placesOf, toolAt, type Setting } from './setting.ts';

/** A tool that would help, and what it would bring. */
export interface BetterTool {
  readonly tool: ToolInRun;
  /** The quantity it would be used for; others that are read on the same tool go with it. */
  readonly quantity: string;
  readonly members: Members;
  /** The uncertainty as it is quoted now, and as it would be. */
  readonly now: Quoted;
  readonly then: Quoted;
  /** How many times smaller it would be. */
  readonly factor: number;
}

/** The quantity whose tool is chosen, where others are read on the same. */
export function chosenFor({ layout }: Setting, quantity: ReadQuantity): ReadQuantity {
  let own = quantity;
  for (let steps = 0; 'sameAs' in own.tools && steps < layout.quantities.size; steps += 1) {
    const other = layout.quantities.get(own.tools.sameAs);
    if (other?.kind !== 'read') return own;
    own = other;
  }
  return own;
}

/** The instruments that may be taken for a quantity at a place; none where the tool is what is compared. */
export function allowedKinds({ tools }: ReadQuantity, members: Members): string[] {
  if ('kinds' in tools) return instrumentsOfKinds(tools.kinds);
  return 'by' in tools ? instrumentsOfKinds(tools.of[members[tools.by] ?? ''] ?? []) : [];
}

/** Whether a tool can read every value that the present one was read at. */
export function reaches(numbers: Numbers, quantity: ReadQuantity, present: ToolInRun, other: ToolInRun): boolean {
  const { setting } = numbers;
  const [least, most] = other.instrument.range;
  return [...setting.layout.quantities.values()].every((read) => {
    if (read.kind !== 'read' || chosenFor(setting, read) !== quantity) return true;
    return placesOf(setting, read.over, read.only).every((members) => {
      const number = numberOf(numbers.cellAt(read.id, members));
      if (!number || toolAt(setting, read, members)?.instrument !== present.instrument) return true;
      const value = converted(number.value, parseUnit(read.unit), parseUnit(other.instrument.unit));
      return value.compare(Rational.of(least)) >= 0 && value.compare(Rational.of(most)) <= 0;
    });
  });
}

/**
 * The tool among these that would make a number’s uncertainty smallest, by the class’s method; null where none would make it noticeably smaller.
 * @param cabinet the tools that are there.
 */
export function betterTool(
  numbers: Numbers,
  nodes: Nodes,
  quantity: QuantityWithUnit,
  members: Members,
  cabinet: readonly ToolInRun[],
): BetterTool | null {
  const { setting } = numbers;
  const { rules } = setting;
  const node = nodes.cell(quantity.id, members);
  const number = numberOf(numbers.cellAt(quantity.id, members));
  const method = methodOf(rules);
  const now = node === undefined ? null : combineIfPossible(nodes, node, method, rules);
  if (node === undefined || !number || !now) return null;
  const sizeOf = ({ uncertainty, coverageFactor }: CombinedUncertainty): number => uncertainty * coverageFactor;
  const quotedNow = quote(number.value, sizeOf(now), rules);
  if (!quotedNow) return null;
  let best: BetterTool | null = null;
  const tried = new Set<string>();
  for (const { label } of now.budget) {
    const read =
      label.kind === 'reading' && label.quantity !== null ? setting.layout.quantities.get(label.quantity) : undefined;
    if (read?.kind !== 'read') continue;
    const owner = chosenFor(setting, read);
    const present = toolAt(setting, read, label.members);
    const kinds = allowedKinds(owner, label.members);
    if (!present || tried.has(`${owner.id} ${present.instrument.id}`)) continue;
    tried.add(`${owner.id} ${present.instrument.id}`);
    for (const tool of cabinet) {
      if (tool.instrument.id === present.instrument.id || !kinds.includes(tool.instrument.id)) continue;
      const [before, after] = [present, tool].map((one) => readingHalfWidth(one, rules)) as [number, number];
      const perUnit = unitRatio(tool, present);
      if (after * perUnit >= before || !reaches(numbers, owner, present, tool)) continue;
      const isOfIt = (input: BaseInput): boolean => {
        const of = input.label.quantity === null ? undefined : setting.layout.quantities.get(input.label.quantity);
        return (
          input.label.kind === 'reading' &&
          of?.kind === 'read' &&
          chosenFor(setting, of) === owner &&
          toolAt(setting, of, input.label.members)?.instrument === present.instrument
        );
      };
      const ratio = (after * perUnit) / before;
      const then = combineIfPossible(nodes, node, method, rules, (input) =>
        isOfIt(input) ? { ...input, standard: input.standard * ratio, width: input.width * ratio } : input,
      );
      const quotedThen = then && quote(number.value, sizeOf(then), rules);
      if (!then || !quotedThen) continue;
      const factor = sizeOf(now) / sizeOf(then);
      if (factor > (best?.factor ?? NOTICEABLE))
        best = { tool, quantity: owner.id, members: label.members, now: quotedNow, then: quotedThen, factor };
    }
  }
  return best;
}

/** Below this a better tool is not worth fetching. */
const NOTICEABLE = 1.2;

/** How many of one tool’s units one unit of the other is. */
function unitRatio(tool: ToolInRun, present: ToolInRun): number {
  const [from, to] = [parseUnit(tool.instrument.unit), parseUnit(present.instrument.unit)];
  return converted(Rational.ONE, from, to)
    .minus(converted(Rational.ZERO, from, to))
    .toNumber();
}
