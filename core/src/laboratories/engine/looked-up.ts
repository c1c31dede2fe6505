import { instrumentById } from '../../instruments/catalogue.ts';
import { Rational } from '../../numbers/rational.ts';
import { writtenAtPlace } from '../../numbers/rounding.ts';
import { converted, parseUnit } from '../../units/unit.ts';
import { evaluateFormula, knownFormula } from '../../uncertainty/graph/evaluate-formula.ts';
import { Graph } from '../../uncertainty/graph/graph.ts';
import { lower } from '../../uncertainty/graph/lower.ts';
import { LOOK_UPS, type LookedAtTool, type LookedUpBy, type LookUp } from '../look-ups.ts';
import type { LookedUpQuantity, QuantityWithUnit } from '../protocol/protocol.ts';
import type { Members } from '../run/address.ts';
import { numberOf, writtenExactly, type Cell } from './cell.ts';
import { Missing, NOT_THERE } from './missing.ts';
import { toolAt, type Setting } from './setting.ts';

/** A looked-up number: by which formula, of what, and what comes out in the look-up’s own unit. */
export interface LookedUp extends LookedUpBy {
  readonly lookUp: LookUp;
  readonly values: Readonly<Record<string, number>>;
  readonly arguments: readonly { readonly name: string; readonly quantity: QuantityWithUnit; readonly unit: string }[];
}

/** Where what a look-up is taken of stands. */
interface Looking {
  readonly setting: Setting;
  cellAt(id: string, place: Members): Cell | undefined;
}

/** What a look-up is taken of at a place; missing while something of it is. */
export function lookedUp(quantity: LookedUpQuantity, place: Members, looking: Looking): LookedUp | Missing {
  const { setting } = looking;
  const lookUp = LOOK_UPS[quantity.lookUp];
  if (!lookUp) return new Missing(`“${quantity.lookUp}” is not known here.`);
  const { layout } = setting;
  const given = quantity.of.flatMap((id) => {
    const of = layout.quantities.get(id);
    return of && of.kind !== 'observed' ? [of] : [];
  });
  const values: Record<string, number> = {};
  const parts: LookedUp['arguments'][number][] = [];
  for (const [index, { name, unit }] of lookUp.of.entries()) {
    const of = given[index];
    const number = of && numberOf(looking.cellAt(of.id, place));
    if (!of || !number) return NOT_THERE;
    values[name] = converted(number.value, parseUnit(of.unit), parseUnit(unit)).toNumber();
    parts.push({ name, quantity: of, unit });
  }
  try {
    const by = lookUp.by(values, toolLookedAt(quantity, place, setting), setting.rules);
    return { ...by, lookUp, values, arguments: parts };
  } catch (error) {
    if (error instanceof RangeError) return new Missing(error.message.replace(/^\w+: /, ''));
    throw error;
  }
}

function toolLookedAt({ of }: LookedUpQuantity, place: Members, setting: Setting): LookedAtTool | null {
  for (const id of of) {
    const member = setting.members.get(id)?.find((one) => one.id === place[id]);
    const quantity = setting.layout.quantities.get(id);
    const tool = member?.tool ?? (quantity?.kind === 'read' ? toolAt(setting, quantity, place) : null);
    if (tool && (member || quantity))
      return { instrument: instrumentById(tool.instrument.id), tolerance: tool.tolerance };
  }
  return null;
}

/** A looked-up number is known as far as what it is taken of lets it. */
export function lookedUpCell(quantity: LookedUpQuantity, place: Members, looking: Looking): Cell {
  const found = lookedUp(quantity, place, looking);
  if (found instanceof Missing) return { kind: 'pending', reason: found.reason };
  const { lookUp, formula, values } = found;
  const own = evaluateFormula(formula, values);
  if (!Number.isFinite(own)) return { kind: 'pending', reason: 'Nothing is known of it there.' };
  const value = converted(Rational.of(own), parseUnit(lookUp.unit), parseUnit(quantity.unit));
  const finest = placeOf(found, place, looking);
  const number = { value, place: finest };
  return {
    kind: 'known',
    number,
    text: finest === -Infinity ? writtenExactly(value) : writtenAtPlace(value, finest, looking.setting.rules.rounding),
  };
}

function placeOf(
  { lookUp, formula, values, arguments: parts, exact }: LookedUp,
  place: Members,
  looking: Looking,
): number {
  if (exact) return -Infinity;
  const graph = new Graph();
  const inputs = new Map(parts.map(({ name }) => [name, graph.input()]));
  const node = lower(knownFormula(formula), graph, (name) => {
    const input = inputs.get(name);
    return input === undefined ? undefined : graph.value(values[name] ?? NaN, [input]);
  });
  const slopes = graph.slopesOf(node);
  return Math.max(
    lookUp.place,
    ...parts.map(({ name, quantity }) => {
      const slope = Math.abs(slopes.get(inputs.get(name) ?? -1) ?? 0);
      const doubtful = numberOf(looking.cellAt(quantity.id, place))?.place ?? -Infinity;
      return slope === 0 ? -Infinity : doubtful + Math.floor(Math.log10(slope));
    }),
  );
}
