/** A thread that goes towards a mark: where it stood, in any unit of length or temperature, and since when, in ms. */
export interface Thread {
  readonly stood: number;
  readonly towards: number;
  readonly since: number;
}

/** Time constant of a spirit thermometer in a stirred liquid, shortened so that waiting matters and stays short, in ms. */
export const THREAD_TIME = 2500;

/** How much of its way a thread has come after so many ms: Newton's law of cooling. */
function partOfTheWay(time: number): number {
  return 1 - Math.exp(-Math.max(0, time) / THREAD_TIME);
}

/** Where a thread stands at a time. */
export function threadAt({ stood, towards, since }: Thread, at: number): number {
  return stood + (towards - stood) * partOfTheWay(at - since);
}

/** The thread once its bulb is somewhere else. */
export function sentTowards(thread: Thread, towards: number, at: number): Thread {
  return { stood: threadAt(thread, at), towards, since: at };
}
