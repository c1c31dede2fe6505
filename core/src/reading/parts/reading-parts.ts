import { SLEEVE, PITCH, THIMBLE_DIVISION, THIMBLE_DIVISIONS } from '../../instruments/micrometers.ts';
import type { BeamBalance, Instrument, Micrometer, ScaleTool, VernierCaliper } from '../../instruments/instrument.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import { leastCount } from '../../scales/vernier.ts';
import { readingStep } from '../expected-reading.ts';

/** A part of a reading that is read by itself. */
export interface ReadingPart {
  /** One word, as it stands before its number. */
  readonly id: string;
  /** As a student would say it: `line that coincides`. */
  readonly name: string;
  /** What one of it adds to the reading, in the unit of the tool. */
  readonly worth: number;
  /** What it is a multiple of, and how far it goes. */
  readonly step: number;
  readonly most: number;
  /** The unit it is read in; empty where lines or marks are counted. */
  readonly unit: string;
  /** What is counted, where something is: `one line of the vernier`. */
  readonly one?: string;
}

function ofCaliper({ main, vernier, range, unit }: VernierCaliper): ReadingPart[] {
  return [
    { id: 'main', name: 'main scale', worth: 1, step: main.division, most: range[1], unit },
    {
      id: 'line',
      name: 'line that coincides',
      worth: leastCount(vernier),
      step: 1,
      most: vernier.lines,
      unit: '',
      one: 'One line of the vernier',
    },
  ];
}

function ofMicrometer(tool: Micrometer, rules: HouseRules): ReadingPart[] {
  const { sleeveLines, division, unit } = tool;
  const estimated = sleeveLines === 0 ? readingStep(tool, rules).step / THIMBLE_DIVISION : 1;
  return [
    { id: 'sleeve', name: 'sleeve', worth: 1, step: PITCH, most: SLEEVE.to, unit },
    {
      id: 'thimble',
      name: 'thimble',
      worth: THIMBLE_DIVISION,
      step: Number(estimated.toFixed(6)),
      most: THIMBLE_DIVISIONS,
      unit: '',
      one: 'One division of the thimble',
    },
    ...(sleeveLines === 0
      ? []
      : [
          {
            id: 'vernier',
            name: 'line of the vernier',
            worth: division,
            step: 1,
            most: sleeveLines,
            unit: '',
            one: 'One line of the vernier',
          },
        ]),
  ];
}

function ofBeams(tool: BeamBalance, rules: HouseRules): ReadingPart[] {
  return tool.beams.map(({ scale, notched }, i) => ({
    id: `rider${i + 1}`,
    name: `rider up to ${scale.to} ${tool.unit}`,
    worth: 1,
    step: notched ? scale.division : readingStep(tool, rules).step,
    most: scale.to,
    unit: tool.unit,
  }));
}

const SIXTEENTH = 1 / 16;

function ofScale(tool: ScaleTool, rules: HouseRules): ReadingPart[] {
  const { scale, division, unit, range } = tool;
  // Sixteenths are written as a fraction.
  if (division === SIXTEENTH) return [];
  const { step } = readingStep(tool, rules);
  return [
    { id: 'label', name: 'last number passed', worth: 1, step: scale.labelEvery, most: range[1], unit },
    {
      id: 'marks',
      name: 'marks after it',
      worth: division,
      step: 1,
      most: Math.round(scale.labelEvery / division) - 1,
      unit: '',
      one: 'One space between two marks',
    },
    ...(step < division ? [{ id: 'beyond', name: 'beyond the mark', worth: 1, step, most: division, unit }] : []),
  ];
}

/** The parts a reading on a tool can be taken in, in their order; none where it is read at once. */
export function readingParts(tool: Instrument, rules: HouseRules): readonly ReadingPart[] {
  switch (tool.family) {
    case 'calipers':
      return ofCaliper(tool);
    case 'micrometers':
      return ofMicrometer(tool, rules);
    case 'beam-balances':
      return ofBeams(tool, rules);
    case 'rulers':
    case 'graduated-glass':
    case 'burettes':
    case 'thermometers':
    case 'hydrometers':
      return ofScale(tool, rules);
    case 'rings':
    case 'digital-balances':
    case 'digital-calipers':
    case 'clocks':
      return [];
  }
}
