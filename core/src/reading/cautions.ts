import { instrumentOf, type ReadingTask } from './reading-task.ts';

const DEFER = 'In the laboratory your school’s rules and the adult in charge come first.';

const HOT = 'Boiling water and its steam scald: stand back from it, and do not lean over the vessel.';
const FLAMMABLE = 'Lamp oil burns and its vapour is not to be breathed: no flame near it, and a window open.';
const BROKEN = 'Glass breaks: lower it gently, and leave broken pieces to the adult in charge.';
const NOT_BY_MOUTH = 'Never fill a pipette by mouth: use a pipette filler, and hold the glass near its end.';

/** The usual cautions for what is handled on a picture, in the order of gravity; nothing where there is no danger. */
export function cautionsFor(task: ReadingTask): string[] {
  const { liquid = '' } = task.situation;
  const instrument = instrumentOf(task);
  const pipette = instrument.skill === 'graduated-pipettes' || (instrument.reads === 'ring' && instrument.made === 'to-deliver');
  const fragile = instrument.skill === 'thermometers' || instrument.skill === 'hydrometers';
  const cautions = [...(liquid.includes('boiling') ? [HOT] : []), ...(liquid === 'lamp oil' ? [FLAMMABLE] : []), ...(pipette ? [NOT_BY_MOUTH] : []), ...(fragile ? [BROKEN] : [])];
  return cautions.length === 0 ? [] : [...cautions, DEFER];
}
