import type { RingTool } from './instrument.ts';

interface RingSize {
  readonly id: string;
  readonly name: string;
  readonly volume: number;
  /** Last digit the volume is known to, in mL. */
  readonly division: number;
  readonly tolerance: { readonly a: number; readonly b: number };
  readonly made: RingTool['made'];
  readonly bore: number;
}

/** A ring is not a scale: whatever stands on it is the marked volume, and its range is what the maker's tolerance leaves. */
function ringed({ volume, tolerance, ...size }: RingSize): RingTool {
  return {
    ...size,
    volume,
    tolerance,
    skill: 'volumetric-glassware',
    family: 'rings',
    unit: 'mL',
    range: [volume - 5 * tolerance.b, volume + 5 * tolerance.b],
    wall: 1.5,
  };
}

/** Volumetric pipettes (ISO 648) and flasks (ISO 1042), classes A and B. */
export const VOLUMETRIC: readonly RingTool[] = [
  ringed({
    id: 'volumetric-pipette-10',
    name: '10 mL volumetric pipette',
    volume: 10,
    division: 0.01,
    tolerance: { a: 0.02, b: 0.04 },
    made: 'to-deliver',
    bore: 4,
  }),
  ringed({
    id: 'volumetric-pipette-25',
    name: '25 mL volumetric pipette',
    volume: 25,
    division: 0.01,
    tolerance: { a: 0.03, b: 0.06 },
    made: 'to-deliver',
    bore: 5,
  }),
  ringed({
    id: 'volumetric-flask-100',
    name: '100 mL volumetric flask',
    volume: 100,
    division: 0.1,
    tolerance: { a: 0.1, b: 0.2 },
    made: 'to-contain',
    bore: 13,
  }),
  ringed({
    id: 'volumetric-flask-250',
    name: '250 mL volumetric flask',
    volume: 250,
    division: 0.1,
    tolerance: { a: 0.15, b: 0.3 },
    made: 'to-contain',
    bore: 15,
  }),
];
