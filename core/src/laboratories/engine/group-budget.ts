import type { BudgetEntry } from './combine.ts';
import type { InputKind } from './inputs.ts';
import type { Setting } from './setting.ts';

/** What the shares of a budget are put together by. */
export type BudgetGrouping = 'tool' | 'quantity' | 'kind';

const KINDS: Readonly<Record<InputKind, string>> = {
  reading: 'reading',
  zero: 'zero of a tool',
  tolerance: 'tolerance of a tool',
  repeats: 'repeats',
  line: 'scatter about a line',
  given: 'given values',
  'looked-up': 'looked-up values',
  counted: 'counting',
  adjustment: 'adjustments',
};

/** A budget with the shares of one tool, quantity or kind of error put together, the largest first. They still sum to the whole. */
export function groupBudget(
  budget: readonly BudgetEntry[],
  by: BudgetGrouping,
  { layout }: Pick<Setting, 'layout'>,
): { readonly name: string; readonly share: number }[] {
  const shares = new Map<string, number>();
  for (const { label, share } of budget) {
    const { kind, tool, quantity } = label;
    const name =
      by === 'kind'
        ? KINDS[kind]
        : by === 'tool'
          ? (tool ?? KINDS[kind])
          : quantity === null
            ? `${tool ?? 'the tool'} itself`
            : (layout.quantities.get(quantity)?.name.toLowerCase() ?? quantity);
    shares.set(name, (shares.get(name) ?? 0) + share);
  }
  return [...shares].map(([name, share]) => ({ name, share })).sort((a, b) => b.share - a.share);
}
