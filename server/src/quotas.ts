import type { Model, ModelStatic, WhereOptions } from 'sequelize';
import { takeOne } from './auth/allowances.ts';
import { AskedTooOften, Refusal } from './refusal.ts';

/** What makes work: so much of it at once by one person, and one more after so many seconds. */
const RATES = {
  round: { most: 120, every: 1 },
  sheets: { most: 20, every: 10 },
  export: { most: 20, every: 10 },
  'first-pins': { most: 20, every: 30 },
  'practice-set': { most: 200, every: 3 },
  run: { most: 60, every: 5 },
  opening: { most: 60, every: 5 },
  together: { most: 60, every: 5 },
  pairs: { most: 60, every: 5 },
  'pair-note': { most: 60, every: 5 },
  'lab-sheet': { most: 60, every: 5 },
  'lesson-plan': { most: 60, every: 5 },
  class: { most: 30, every: 60 },
  // Of a whole school behind one address.
  admission: { most: 60, every: 20 },
} as const;

/** Counts what somebody asks for. @throws Refusal (429) saying how long to wait. */
export async function withinRate(what: keyof typeof RATES, personId: string): Promise<void> {
  const wait = await takeOne({ key: `${what}:${personId}`, account: null, ...RATES[what] });
  if (wait > 0)
    throw new AskedTooOften(
      `That was a lot in a short time. Wait ${wait === 1 ? 'a second' : `${wait} seconds`}, then try again.`,
      wait,
    );
}

/** More than so many of a kind no class and no page needs. */
const ROOM = {
  students: { most: 400, of: 'A class' },
  tools: { most: 600, of: 'A class' },
  notes: { most: 2000, of: 'A tool' },
  'practice sets': { most: 1000, of: 'A class' },
  laboratories: { most: 3000, of: 'A class' },
  'readings together': { most: 3000, of: 'A class' },
  'pairs of groups': { most: 5000, of: 'A class' },
  'plans of lessons': { most: 500, of: 'A class' },
  explanations: { most: 500, of: 'A pair' },
  entries: { most: 5000, of: 'A page' },
  'lab sheets': { most: 200, of: 'A teacher' },
} as const;

/** Whether there is room for some more of a kind. @throws Refusal (409). */
export async function checkRoom<Row extends Model>(
  what: keyof typeof ROOM,
  rows: ModelStatic<Row>,
  where: WhereOptions,
  more: number,
): Promise<void> {
  const { most, of } = ROOM[what];
  if ((await rows.count({ where })) + more > most)
    throw new Refusal(409, `${of} has room for ${most} ${what}. Delete what you do not need, or begin a new one.`);
}
