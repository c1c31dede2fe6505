import { instrumentById } from '../instruments/catalogue.ts';
import type { Subject } from './subject.ts';
import { slipsOn } from '../reading/drawing/draw-task.ts';
import { slipById } from '../reading/slips.ts';

/** A tool of the bench as the subject of a round. @throws UnknownInstrumentError naming the id. */
export function toolSubject(instrumentId: string): Subject {
  const { id, name, skill } = instrumentById(instrumentId);
  const slips: Subject['slips'] = (rules) => slipsOn(id, rules);
  // Slips of the way a tool is read, and the unwritten zero.
  const worth = (slip: string): boolean =>
    ['sight', 'count', 'correction'].includes(slipById(slip).stage) || slip === 'trailing-zero-dropped';
  return { id, name, skill, family: skill, domain: 'reading', slips, aims: (rules) => slips(rules).filter(worth) };
}
