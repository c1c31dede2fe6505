import type {
  CaseDimension,
  ComputedQuantity,
  CountedDimension,
  GivenQuantity,
  LookedUpQuantity,
  Member,
  ObservedQuantity,
  PredictedQuantity,
  ReadQuantity,
  Statement,
  Step,
  TimedQuantity,
  CountedQuantity,
  Tools,
} from '../protocol/protocol.ts';

/* Short forms for the parts of a protocol, in the order in which a table’s heading says them: id, name, symbol, unit, over. */

type More<Quantity> = Partial<Pick<Quantity, Extract<keyof Quantity, 'only' | 'step' | 'optional' | 'when' | 'usual'>>>;

/** @param tools kinds of tools, the usual one first; or what the tools depend on. */
export function read(
  id: string,
  name: string,
  symbol: string,
  unit: string,
  over: readonly string[],
  tools: readonly string[] | Tools,
  more: More<ReadQuantity> & Pick<ReadQuantity, 'zeroOf' | 'container'> = {},
): ReadQuantity {
  return { kind: 'read', id, name, symbol, unit, over, tools: 'length' in tools ? { kinds: tools } : tools, ...more };
}

export function computed(
  id: string,
  name: string,
  symbol: string,
  unit: string,
  over: readonly string[],
  formula: string,
  more: More<ComputedQuantity> & Pick<ComputedQuantity, 'pooledOver'> = {},
): ComputedQuantity {
  return { kind: 'computed', id, name, symbol, unit, over, formula, ...more };
}

export function given(
  id: string,
  name: string,
  symbol: string,
  unit: string,
  over: readonly string[],
  more: More<GivenQuantity> & Pick<GivenQuantity, 'value' | 'halfWidth'> = {},
): GivenQuantity {
  return { kind: 'given', id, name, symbol, unit, over, ...more };
}

/** @param of what it is looked up for: quantities, or a dimension of tools. */
export function lookedUp(
  id: string,
  name: string,
  symbol: string,
  unit: string,
  over: readonly string[],
  lookUp: string,
  of: readonly string[],
  more: More<LookedUpQuantity> = {},
): LookedUpQuantity {
  return { kind: 'looked-up', id, name, symbol, unit, over, lookUp, of, ...more };
}

export function counted(
  id: string,
  name: string,
  symbol: string,
  over: readonly string[],
  halfWidth: number,
  more: More<CountedQuantity> = {},
): CountedQuantity {
  return { kind: 'counted', id, name, symbol, unit: '', over, halfWidth, ...more };
}

/** @param halfWidth in seconds. */
export function timeOfDay(
  id: string,
  name: string,
  symbol: string,
  over: readonly string[],
  halfWidth: number,
  more: More<TimedQuantity> = {},
): TimedQuantity {
  return { kind: 'timed', as: 'time-of-day', id, name, symbol, unit: 'h:min:s', over, halfWidth, ...more };
}

/** @param choices by id. */
export function observed(
  id: string,
  name: string,
  over: readonly string[],
  choices: Readonly<Record<string, string>>,
  more: More<ObservedQuantity> = {},
): ObservedQuantity {
  return { kind: 'observed', id, name, over, choices: named(choices), ...more };
}

export function predicted(
  id: string,
  name: string,
  symbol: string,
  unit: string,
  over: readonly string[],
  of: string,
  more: More<PredictedQuantity> & Pick<PredictedQuantity, 'at'> = {},
): PredictedQuantity {
  return { kind: 'predicted', id, name, symbol, unit, over, of, ...more };
}

/** Names by id, as a list. */
export function named(names: Readonly<Record<string, string>>): { readonly id: string; readonly name: string }[] {
  return Object.entries(names).map(([id, name]) => ({ id, name }));
}

export function repeat(
  id: string,
  name: string,
  least: number,
  most: number,
  more: Partial<CountedDimension> = {},
): CountedDimension {
  return { kind: 'repeat', id, name, least, most, ...more };
}

export function sequence(
  id: string,
  name: string,
  least: number,
  most: number,
  more: Partial<CountedDimension> = {},
): CountedDimension {
  return { kind: 'sequence', id, name, least, most, ...more };
}

export function sample(
  id: string,
  name: string,
  least: number,
  most: number,
  more: Partial<CountedDimension> = {},
): CountedDimension {
  return { kind: 'sample', id, name, least, most, ...more };
}

/** @param members names by id, or members that are tools. */
export function cases(
  id: string,
  name: string,
  members: Readonly<Record<string, string>> | readonly Member[],
  more: Partial<CaseDimension> = {},
): CaseDimension {
  return { kind: 'case', id, name, members: isList(members) ? members : named(members), ...more };
}

function isList(members: Readonly<Record<string, string>> | readonly Member[]): members is readonly Member[] {
  return Array.isArray(members);
}

export function step(
  id: string,
  title: string,
  text: string,
  minutes: number,
  {
    waiting,
    ...more
  }: { readonly waiting?: true } & Pick<Step, 'when' | 'after' | 'follows' | 'apparatus' | 'water'> = {},
): Step {
  return { id, title, text, minutes, attention: waiting ? 'waiting' : 'hands', ...more };
}

/** A statement that holds, and why. */
export function holdsTrue(id: string, text: string, because: string): Statement {
  return { id, text, holds: true, corrections: [], because };
}

/** A statement that does not, what it could say instead (the right one first), and why. */
export function isFalse(
  id: string,
  text: string,
  corrections: readonly [string, string, ...string[]],
  because: string,
): Statement {
  return { id, text, holds: false, corrections, because };
}

/** What every laboratory’s cautions end with. */
export const LOCAL_RULES = 'Follow your school’s and local rules, and ask the responsible adult.';
export const EYES = 'Wear eye protection: glass and liquids are in use.';
export const BROKEN_GLASS = 'Broken glass is swept up, never picked up by hand, and goes to its own bin.';
export const SPILLS = 'Wipe spilled water at once, from the floor and from the balance.';
