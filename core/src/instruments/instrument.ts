import type { LinearScale } from '../scales/linear-scale.ts';
import type { RiderBeam } from '../scales/rider-beam.ts';
import type { Vernier } from '../scales/vernier.ts';
import type { SkillId } from '../skills/skills.ts';

interface Named {
  readonly id: string;
  /** As a student would call it: `50 mL cylinder`. */
  readonly name: string;
  readonly skill: SkillId;
  readonly unit: string;
  readonly range: readonly [least: number, most: number];
  /** Smallest division, or the last digit of a display, in the instrument's unit. */
  readonly division: number;
  /** Maker's tolerance in the instrument's unit, class A and class B where there are classes. */
  readonly tolerance: { readonly a: number; readonly b: number };
}

interface Graduated extends Named {
  readonly scale: LinearScale;
}

/** A flat scale laid against a thing. */
export interface Ruler extends Graduated {
  readonly family: 'rulers';
  readonly body: {
    /** Length of scale for one unit, in mm. */
    readonly perUnit: number;
    /** Height of the thing's edge above the scale, in mm. */
    readonly gap: number;
    /** Bare wood before the zero mark, in mm, on those that have it. */
    readonly bareEnd: number;
  };
}

/** A straight cylinder, or a wide cup with a few approximate marks. */
interface StraightGlass {
  readonly kind: 'cylinder' | 'beaker';
  /** Inner diameter in mm. */
  readonly bore: number;
  /** Thickness of the glass in mm. */
  readonly wall: number;
}

/** A flask whose wall slopes inward, so that its marks are not evenly spaced. */
interface SlopingGlass {
  readonly kind: 'conical-flask';
  /** Inner radius in mm at the floor, and by how much it shrinks for each mm of height. */
  readonly baseRadius: number;
  readonly taper: number;
  readonly wall: number;
}

/** Glassware that contains what its scale says. */
export interface GraduatedGlass extends Graduated {
  readonly family: 'graduated-glass';
  readonly body: StraightGlass | SlopingGlass;
  /** True where some of these tools carry a second, descending scale. */
  readonly mayHaveSecondScale: boolean;
  /** Marks that only say about how much there is; they are written to the unit. */
  readonly approximate: boolean;
}

/** A straight tube that delivers the difference of two readings: a burette, or a graduated pipette. */
export interface DeliveringTube extends Graduated {
  readonly family: 'burettes';
  readonly body: {
    readonly kind: 'burette' | 'graduated-pipette';
    readonly bore: number;
    readonly wall: number;
  };
}

/** A thread of spirit in a capillary behind an engraved scale. */
export interface Thermometer extends Graduated {
  readonly family: 'thermometers';
  readonly body: {
    /** Length of scale for one unit, in mm. */
    readonly perUnit: number;
    /** Depth of the thread behind the engraved scale, in mm. */
    readonly gap: number;
  };
}

/** A weighted float with a scale in its stem. Its marks are spaced as 1 ÷ density. */
export interface Hydrometer extends Graduated {
  readonly family: 'hydrometers';
  readonly body: {
    /** Length of the whole scale, in mm. */
    readonly length: number;
    readonly stemRadius: number;
  };
}

/** A tool read where a surface, a thread's end or a thing's edge stands on its scale. */
export type ScaleTool = Ruler | GraduatedGlass | DeliveringTube | Thermometer | Hydrometer;

/** Glassware with one ring: it holds or delivers one volume, known to more digits than a scale would give. */
export interface RingTool extends Named {
  readonly family: 'rings';
  readonly volume: number;
  readonly made: 'to-contain' | 'to-deliver';
  /** Inner diameter of the neck or stem at the ring, in mm. */
  readonly bore: number;
  readonly wall: number;
}

/** A slide with a vernier on a main scale: read by the main mark passed and the line that coincides. */
export interface VernierCaliper extends Named {
  readonly family: 'calipers';
  readonly main: LinearScale;
  readonly vernier: Vernier;
  /** Lines of the vernier from one number to the next, and what is printed there. */
  readonly numbers: { readonly every: number; readonly printed: readonly string[] };
  /** How far the slide begins before its zero line, in mm. */
  readonly edge: number;
}

/** A screw with half millimetres on its sleeve and hundredths on its thimble. */
export interface Micrometer extends Named {
  readonly family: 'micrometers';
  /** Lines of a vernier on the sleeve; 0 where the tenth of a thimble division is estimated. */
  readonly sleeveLines: 0 | 10;
}

/** A balance that is brought into balance by riders on its beams, the largest first. */
export interface BeamBalance extends Named {
  readonly family: 'beam-balances';
  readonly beams: readonly RiderBeam[];
  /** A pan that hangs has a platform for a beaker under it. */
  readonly pan: 'stands' | 'hangs';
}

/** A balance with a display. */
export interface DigitalBalance extends Named {
  readonly family: 'digital-balances';
}

/** A caliper with a display. */
export interface DigitalCaliper extends Named {
  readonly family: 'digital-calipers';
}

/** A clock, with hands or with a display. */
export interface Clock extends Named {
  readonly family: 'clocks';
}

export type DisplayTool = DigitalBalance | DigitalCaliper;

export type Instrument = ScaleTool | RingTool | VernierCaliper | Micrometer | BeamBalance | DisplayTool | Clock;

/** Tools of one family are read, handled and drawn alike. */
export type FamilyId = Instrument['family'];
