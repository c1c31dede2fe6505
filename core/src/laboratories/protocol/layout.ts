import { ExpressionError } from '../../calculations/expression/expression.ts';
import { parseUnit, UnitMismatchError, UnknownUnitError, type Unit } from '../../units/unit.ts';
import { parseFormula, quantitiesIn } from '../formulas/formula.ts';
import { resolveFormula, type KnownQuantity, type ResolvedFormula, type Scope } from '../formulas/resolve-formula.ts';
import { ProtocolError } from './protocol-error.ts';
import type { ComputedQuantity, Dimension, Protocol, Quantity, When } from './protocol.ts';

/** The choice made for each option. */
export type Chosen = Readonly<Record<string, string>>;

/** True where all the choices that are named hold. */
export function holds(when: When | undefined, chosen: Chosen): boolean {
  return Object.entries(when ?? {}).every(([option, choices]) => choices.includes(chosen[option] ?? ''));
}

/** A protocol with its options chosen: what stands in the tables, and in which order it is worked out. */
export interface Layout {
  readonly protocol: Protocol;
  readonly chosen: Chosen;
  readonly dimensions: ReadonlyMap<string, Dimension>;
  readonly quantities: ReadonlyMap<string, Quantity>;
  readonly formulas: ReadonlyMap<string, ResolvedFormula>;
  /** Ids of all quantities, each after those it needs. */
  readonly order: readonly string[];
}

/** What becomes of something that is wrong in a protocol: it is thrown, or kept while the rest is looked at. */
type OnFault = (fault: ProtocolError) => void;

function only<T extends { readonly id: string }>(
  list: readonly (T & { readonly when?: When })[],
  chosen: Chosen,
  path: string,
  onFault: OnFault,
): Map<string, T> {
  const found = new Map<string, T>();
  list.forEach((one, index) => {
    if (!holds(one.when, chosen)) return;
    if (found.has(one.id)) onFault(new ProtocolError(`${path}[${index}].id`, `“${one.id}” is there twice.`));
    found.set(one.id, one);
  });
  return found;
}

function unitOf(quantity: Quantity): Unit {
  return 'unit' in quantity ? parseUnit(quantity.unit) : {};
}

function scopeOf(dimensions: Layout['dimensions'], quantities: Layout['quantities']): Scope {
  const hasMember = (dimension: Dimension, member: string): boolean =>
    dimension.kind === 'case'
      ? dimension.members.some(({ id }) => id === member)
      : /^[1-9]\d*$/.test(member) && Number(member) <= dimension.most;
  return {
    quantity: (id) => {
      const quantity = quantities.get(id);
      return quantity && quantity.kind !== 'observed'
        ? { unit: unitOf(quantity), over: quantity.over, only: quantity.only ?? {} }
        : undefined;
    },
    isDimension: (id) => dimensions.has(id),
    dimensionOfMember: (member, among) =>
      among.find((id) => {
        const dimension = dimensions.get(id);
        return dimension !== undefined && hasMember(dimension, member);
      }),
  };
}

/** What a quantity is worked out from. */
function needsOf(
  quantity: Quantity,
  formulas: Layout['formulas'],
  quantities: Layout['quantities'],
): readonly string[] {
  if (quantity.kind === 'computed') return formulas.get(quantity.id)?.uses ?? [];
  if (quantity.kind === 'looked-up') return quantity.of.filter((id) => quantities.has(id));
  return [];
}

/** Ids in an order in which each comes after what it needs. A cycle is a fault that names its path: `a → b → a`. */
function inOrder(quantities: Layout['quantities'], formulas: Layout['formulas'], onFault: OnFault): string[] {
  const order: string[] = [];
  const state = new Map<string, 'open' | 'done'>();
  for (const start of quantities.keys()) {
    // A stack of its own: a chain of a thousand quantities does not overflow that of the language.
    const stack: { readonly id: string; readonly needs: string[] }[] = [];
    const open = (id: string): void => {
      const quantity = quantities.get(id);
      state.set(id, 'open');
      stack.push({ id, needs: quantity ? [...needsOf(quantity, formulas, quantities)] : [] });
    };
    if (!state.has(start)) open(start);
    for (let top = stack.at(-1); top; top = stack.at(-1)) {
      const next = top.needs.shift();
      if (next === undefined) {
        state.set(top.id, 'done');
        order.push(top.id);
        stack.pop();
      } else if (state.get(next) === 'open') {
        const ids = stack.map(({ id }) => id);
        const path = [...ids.slice(ids.indexOf(next)), next].join(' → ');
        onFault(new ProtocolError('quantities', `${path} is a circle: each needs the next to be worked out.`));
      } else if (!state.has(next)) open(next);
    }
  }
  return order;
}

/** Turns what a formula is wrong about into a fault of the protocol at its place. @returns null where there is one. */
function atPath<Result>(path: string, onFault: OnFault, work: () => Result): Result | null {
  try {
    return work();
  } catch (error) {
    if (!(error instanceof ExpressionError || error instanceof UnitMismatchError || error instanceof UnknownUnitError))
      throw error;
    onFault(new ProtocolError(path, error.message));
    return null;
  }
}

function pathOf(protocol: Protocol, quantity: Quantity): string {
  return `quantities[${protocol.quantities.indexOf(quantity)}]`;
}

function formulaOf(
  protocol: Protocol,
  quantity: ComputedQuantity,
  scope: Scope,
  onFault: OnFault,
): ResolvedFormula | null {
  return atPath(`${pathOf(protocol, quantity)}.formula`, onFault, () => {
    const own: KnownQuantity = { unit: parseUnit(quantity.unit), over: quantity.over, only: quantity.only ?? {} };
    return resolveFormula(quantity.id, quantity.formula, own, scope);
  });
}

/** The usual choice of every option that is not chosen. */
function completeChoice(protocol: Protocol, chosen: Chosen): Chosen {
  return Object.fromEntries(
    protocol.options.map(({ id, choices }) => [
      id,
      choices.find((choice) => choice.id === chosen[id])?.id ?? choices[0]?.id ?? '',
    ]),
  );
}

function build(protocol: Protocol, chosen: Chosen, onFault: OnFault): Layout {
  const dimensions = only<Dimension>(protocol.dimensions, chosen, 'dimensions', onFault);
  const named = only<Quantity>(protocol.quantities, chosen, 'quantities', onFault);
  const quantities = new Map(
    [...named].filter(([, quantity]) => {
      const path = pathOf(protocol, quantity);
      const unit = atPath(`${path}.unit`, onFault, () => unitOf(quantity));
      const unknown = quantity.over.find((id) => !dimensions.has(id));
      if (unknown !== undefined) onFault(new ProtocolError(`${path}.over`, `“${unknown}” is not a dimension here.`));
      return unit !== null && unknown === undefined;
    }),
  );
  // What is wrong by itself is not told again by those that need it.
  const isSound = (id: string): boolean => !named.has(id) || quantities.has(id);
  const scope = scopeOf(dimensions, quantities);
  const formulas = new Map(
    [...quantities.values()].flatMap((quantity) => {
      if (quantity.kind !== 'computed' || !namesOf(quantity).every(isSound)) return [];
      const formula = formulaOf(protocol, quantity, scope, onFault);
      return formula ? [[quantity.id, formula] as const] : [];
    }),
  );
  return { protocol, chosen, dimensions, quantities, formulas, order: inOrder(quantities, formulas, onFault) };
}

/** Quantities that a formula names; none where it cannot be read, which is told later. */
function namesOf({ formula }: ComputedQuantity): string[] {
  try {
    const { tree, terms } = parseFormula(formula);
    return quantitiesIn(tree, terms);
  } catch (error) {
    if (error instanceof ExpressionError) return [];
    throw error;
  }
}

const KNOWN = new WeakMap<Protocol, Map<string, Layout>>();

/**
 * A protocol with its options chosen; the usual choice where none is made.
 * @throws ProtocolError naming the path, when the protocol cannot be worked out.
 */
export function layoutOf(protocol: Protocol, choices: Chosen = {}): Layout {
  const chosen = completeChoice(protocol, choices);
  const known = KNOWN.get(protocol) ?? new Map<string, Layout>();
  KNOWN.set(protocol, known);
  const key = JSON.stringify(Object.entries(chosen));
  const before = known.get(key);
  if (before) return before;
  const layout = build(protocol, chosen, (fault) => {
    throw fault;
  });
  known.set(key, layout);
  return layout;
}

/** A protocol with its options chosen, whatever is wrong in it, and everything that is. What has a fault is left out. */
export function layoutWithFaults(
  protocol: Protocol,
  choices: Chosen,
): { readonly layout: Layout; readonly faults: readonly ProtocolError[] } {
  const faults: ProtocolError[] = [];
  const layout = build(protocol, completeChoice(protocol, choices), (fault) => faults.push(fault));
  return { layout, faults };
}
