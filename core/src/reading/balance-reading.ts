import type { BeamBalance, DisplayTool, Instrument } from '../instruments/instrument.ts';
import { decimalsOf, multipleOf } from '../scales/linear-scale.ts';
import { isSeated, nearestNotch, ridersFor, riderSum } from '../scales/rider-beam.ts';
import { instrumentOf, type ReadingTask } from './reading-task.ts';
import type { Situation } from './situation.ts';

/** Everything a tool shows beyond what is asked for: a vessel, an empty reading that is not zero, an error it is known by. */
export function besides({ container = 0, empty = 0, zeroError = 0 }: Situation): number {
  return Number((container + empty + zeroError).toFixed(9));
}

/** A number as a display shows it: whole last digits. */
export function asDisplayed(tool: DisplayTool, value: number): number {
  return multipleOf(tool.division, Math.round(value / tool.division));
}

/** What a tool shows in the end, before anything is taken off: on a display whole last digits. */
export function shownBy(instrument: Instrument, situation: Situation): number {
  const all = Number((situation.value + besides(situation)).toFixed(9));
  return instrument.reads === 'display' ? asDisplayed(instrument, all) : all;
}

/** A beam balance as it stands to be read. */
export interface BeamReading {
  readonly tool: BeamBalance;
  /** What pulls at the pan, in g: what is on it, and what the balance is off by. */
  readonly load: number;
  /** Where the riders stand, the largest first, in g. */
  readonly riders: readonly number[];
}

/** The riders of a situation: as they have been left, or where they balance the load. */
export function ridersIn({ beams }: BeamBalance, situation: Situation): readonly number[] {
  return (
    situation.riders ??
    ridersFor(beams, Number((situation.value + besides(situation) + (situation.pointerOffset ?? 0)).toFixed(9)))
  );
}

/** The beam balance of a task; null for any other tool. */
export function beamReadingOf(task: ReadingTask): BeamReading | null {
  const tool = instrumentOf(task);
  if (tool.reads !== 'beams') return null;
  return { tool, load: shownBy(tool, task.situation), riders: ridersIn(tool, task.situation) };
}

/** Friction at the knife edge: a balance that is off by less than this part of its division may stand still. */
const DEAD_BAND = 0.1;

/** By how many g a beam balance can be off and still stand still. */
export function deadBand({ division }: BeamBalance): number {
  return DEAD_BAND * division;
}

/** A pointer is judged by eye: half as much again as friction can hold it off cannot be told from rest on the mark. */
const JUDGED = 1.5;

/** Whether riders, as they stand, hold the load, as far as can be seen. */
export function isBalanced({ tool, load, riders }: BeamReading): boolean {
  return Math.abs(riderSum(riders) - load) <= JUDGED * deadBand(tool) + 1e-9;
}

/** Whether every rider that has notches sits in one. */
export function areSeated({ tool, riders }: BeamReading): boolean {
  return riders.every((position, i) => {
    const beam = tool.beams[i];
    return beam === undefined || isSeated(beam, position);
  });
}

/** What somebody reads off the riders: of a notched one the notch it is nearest to. */
export function riderReading({ tool, riders }: BeamReading): number {
  return riderSum(tool.beams.map((beam, i) => nearestNotch(beam, riders[i] ?? 0)));
}

/** A display as it stands to be read. */
export interface DisplayReading {
  readonly tool: DisplayTool;
  /** What it shows in the end. */
  readonly value: number;
  /** What it shows at present: something else only while it has not settled. */
  readonly present: number;
}

/** The display of a task; null for any other tool. */
export function displayReadingOf(task: ReadingTask): DisplayReading | null {
  const tool = instrumentOf(task);
  if (tool.reads !== 'display') return null;
  const { settled = true, shown } = task.situation;
  const value = shownBy(tool, task.situation);
  return { tool, value, present: settled || shown === undefined ? value : asDisplayed(tool, shown) };
}

/** The characters that are lit for a number. */
export function litCharacters({ division }: Pick<Instrument, 'division'>, value: number): string {
  return (value + 0).toFixed(decimalsOf(division)).replace('-', '−');
}
