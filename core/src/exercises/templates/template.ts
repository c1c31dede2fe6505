import type { HouseRules } from '../../rules/house-rules.ts';
import type { Random } from '../../simulation/random.ts';
import type { Exercise, Level } from '../exercise.ts';

/** What an exercise is drawn with. */
export interface Drawing {
  readonly random: Random;
  readonly level: Level;
  readonly rules: HouseRules;
}

/** An exercise before its level is said. */
export type Drawn<E extends Exercise> = E extends Exercise ? Omit<E, 'level'> : never;

/** One way in which an exercise can be set, with other numbers and other things every time. */
export interface Template<E extends Exercise = Exercise> {
  /** From and to which level it is set. */
  readonly levels: readonly [least: Level, most: Level];
  readonly draw: (drawing: Drawing) => Drawn<E>;
}

/** The class’s unit of volume, as it is typed. */
export function volumeUnit({ volumeUnit: unit }: HouseRules): string {
  return unit === 'cm³' ? 'cm^3' : 'mL';
}
