import type { ToolShown } from '@green-beam/contract';
import { checkError, controlLimits, DEFAULT_RULES, instrumentById, judgeCheck, readingStep } from '@green-beam/core';

/** How many decimals a number of a tool is written with, one digit being estimated where there is something to estimate. */
export function decimalsOf(instrumentId: string): number {
  return Math.max(0, -readingStep(instrumentById(instrumentId), DEFAULT_RULES).place);
}

export function signed(value: number, decimals: number): string {
  return `${value > 0 ? '+' : value < 0 ? '−' : '±'}${Math.abs(value).toFixed(decimals)}`;
}

export const STATE_WORDS = { fit: 'fit', watch: 'watch', 'out-of-use': 'out of use' } as const;

/** What a tool’s maker answers for, or what has been written down for this one. */
export function toleranceOf({ instrumentId, tolerance }: Pick<ToolShown, 'instrumentId' | 'tolerance'>): number {
  return tolerance ?? instrumentById(instrumentId).tolerance.b;
}

/** One check: when it was made, and by how much the tool was off. */
export interface Checked {
  readonly at: Date;
  readonly error: number;
  readonly reading: number;
  readonly by: string;
}

/** The checks of a tool with one standard mass, oldest first. */
export function checksWith({ instrumentId, notes }: ToolShown, nominal: number): Checked[] {
  return notes
    .filter((note) => note.kind === 'check' && note.nominal === nominal)
    .map(({ at, reading, by }) => ({
      at: new Date(at),
      error: checkError(instrumentId, { nominal, reading }),
      reading,
      by,
    }))
    .reverse();
}

/** Standard masses a tool was checked with, the one checked most often first. */
export function nominalsOf({ notes }: ToolShown): number[] {
  const counts = new Map<number, number>();
  for (const { kind, nominal } of notes)
    if (kind === 'check' && nominal !== null) counts.set(nominal, (counts.get(nominal) ?? 0) + 1);
  return [...counts].sort(([, a], [, b]) => b - a).map(([nominal]) => nominal);
}

/** What the last check says of a tool; null where there was none. */
export function lastCheckSays(
  tool: ToolShown,
): { readonly says: 'inside' | 'warning' | 'action'; readonly error: number } | null {
  const [nominal] = nominalsOf(tool);
  if (nominal === undefined) return null;
  const errors = checksWith(tool, nominal).map(({ error }) => error);
  const [last] = errors.slice(-1);
  if (last === undefined) return null;
  // The last one is judged by what was known before it.
  const limits = controlLimits(errors.slice(0, -1), toleranceOf(tool), instrumentById(tool.instrumentId).division);
  return { says: judgeCheck(last, limits), error: last };
}

/** What a tool should be set to after its last check, where it is set to something better; null where it is not. */
export function proposedState(tool: ToolShown): 'watch' | 'out-of-use' | null {
  const says = lastCheckSays(tool)?.says;
  if (says === 'action') return tool.state === 'out-of-use' ? null : 'out-of-use';
  return says === 'warning' && tool.state === 'fit' ? 'watch' : null;
}
