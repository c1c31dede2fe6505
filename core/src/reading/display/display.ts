import type { DisplayTool } from '../../instruments/instrument.ts';
import { decimalsOf, multipleOf } from '../../scales/linear-scale.ts';
import type { Disturbance } from '../weighing/weighing-situation.ts';
import type { Held } from '../jaws/held.ts';
import type { Handled } from '../picture/picture-parts.ts';

/** A number as a display shows it: whole last digits. */
export function asDisplayed({ division }: { readonly division: number }, value: number): number {
  return multipleOf(division, Math.round(value / division));
}

/** The characters that are lit for a number. */
export function litCharacters({ division }: { readonly division: number }, value: number): string {
  return (value + 0).toFixed(decimalsOf(division)).replace('-', '−');
}

/** Why every digit of a display is written. */
export const DISPLAY_WORDS = {
  digit: 'Write every digit that the display shows. The last one is uncertain, and it still counts.',
  zero: 'The zero at the end of the display was measured. Without it your number says less than the tool does.',
};

/** What a display shows in one of the views it is looked at in. */
export interface DisplayView {
  readonly caption: string;
  readonly characters: string;
}

/** What a digital balance is weighed with by hand: loads and disturbances in last digits of its display. */
export interface Weighables {
  readonly empty: number;
  readonly vessel: { readonly name: string; readonly digits: number } | null;
  readonly thing: { readonly name: string; readonly digits: number };
  readonly capacity: number;
  readonly decimals: number;
  readonly spoilt: { readonly how: Disturbance; readonly digits: number } | null;
}

/** Jaws brought to a thing by hand: where they touch it, are closed, and stand at first, in mm. */
export interface DisplayedJaws extends Held {
  readonly touchesX: number;
  readonly closedX: number;
}

/** A display drawn as the characters that are lit. */
export interface DisplayPicture {
  readonly kind: 'display';
  readonly instrumentId: string;
  readonly unitMark: string;
  readonly measures: 'mass' | 'length';
  readonly views: readonly [DisplayView, ...DisplayView[]];
  readonly thing: { readonly name: string; readonly count: number };
  /** While it has not settled: last digits it is away from what it will show. */
  readonly awayBy: number;
  readonly weighables: Weighables | null;
  readonly jaws: DisplayedJaws | null;
  readonly note: string | null;
  readonly handled: Handled | null;
}

/** The display of a tool, with what its family says of it. */
export function displayPicture(
  tool: DisplayTool,
  parts: Omit<DisplayPicture, 'kind' | 'instrumentId' | 'unitMark'>,
): DisplayPicture {
  return { kind: 'display', instrumentId: tool.id, unitMark: tool.unit, ...parts };
}
