import { instrumentOf, type ReadingTask } from './reading-task.ts';

const DEFER = 'In the laboratory your school’s rules and the adult in charge come first.';

const HOT = 'Boiling water and its steam scald: stand back from it, and do not lean over the vessel.';
const FLAMMABLE = 'Oil and spirit burn and their vapour is not to be breathed: no flame near, and a window open.';
const BURNS = ['lamp oil', 'naphtha', 'spirit and water'];
const BROKEN = 'Glass breaks: lower it gently, and leave broken pieces to the adult in charge.';
const NOT_BY_MOUTH = 'Never fill a pipette by mouth: use a pipette filler, and hold the glass near its end.';

/** The usual cautions for what is handled on a picture, in the order of gravity; nothing where there is no danger. */
export function cautionsFor(task: ReadingTask): string[] {
  const { liquid = '' } = task.situation;
  const instrument = instrumentOf(task);
  const pipette =
    instrument.skill === 'graduated-pipettes' || (instrument.reads === 'ring' && instrument.made === 'to-deliver');
  const fragile = instrument.skill === 'thermometers' || instrument.skill === 'hydrometers';
  const cautions = [
    ...(liquid.includes('boiling') ? [HOT] : []),
    ...(BURNS.includes(liquid) ? [FLAMMABLE] : []),
    ...(pipette ? [NOT_BY_MOUTH] : []),
    ...(fragile ? [BROKEN] : []),
  ];
  return cautions.length === 0 ? [] : [...cautions, DEFER];
}
