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

/** A straight glass tube with a scale on its wall. */
export interface Tube {
  readonly kind: 'tube';
  /** Inner diameter in mm. */
  readonly bore: number;
  /** Thickness of the glass in mm. */
  readonly wall: number;
  /** Made to contain what is read, or to deliver the difference of two readings. */
  readonly made: 'to-contain' | 'to-deliver';
}

/** A wide cup with a few approximate marks. */
export interface Beaker {
  readonly kind: 'beaker';
  readonly bore: number;
  readonly wall: number;
}

/** A flask whose wall slopes inward, so that its marks are not evenly spaced. */
export interface Cone {
  readonly kind: 'cone';
  /** Inner radius in mm at the floor, and by how much it shrinks for each mm of height. */
  readonly baseRadius: number;
  readonly taper: number;
  readonly wall: number;
}

/** A thread of spirit in a capillary behind an engraved scale. */
export interface Thread {
  readonly kind: 'thread';
  /** Length of scale for one unit, in mm. */
  readonly perUnit: number;
  /** Depth of the thread behind the engraved scale, in mm. */
  readonly gap: number;
}

/** A weighted float with a scale in its stem. Its marks are spaced as 1 ÷ density. */
export interface Float {
  readonly kind: 'float';
  /** Length of the whole scale, in mm. */
  readonly length: number;
  readonly stemRadius: number;
}

/** A flat scale laid against a thing. */
export interface Rule {
  readonly kind: 'rule';
  readonly perUnit: number;
  /** Height of the thing's edge above the scale, in mm. */
  readonly gap: number;
  /** Bare wood before the zero mark, in mm, on those that have it. */
  readonly bareEnd: number;
}

export type Body = Tube | Beaker | Cone | Thread | Float | Rule;

/** A tool read where a surface, a thread's end or a thing's edge stands on its scale. */
export interface ScaleTool extends Named {
  readonly reads: 'scale';
  readonly scale: LinearScale;
  readonly body: Body;
  /** True where some of these tools carry a second, descending scale. */
  readonly mayHaveSecondScale: boolean;
  /** Marks that only say about how much there is; they are written to the unit. */
  readonly approximate: boolean;
}

/** Glassware with one ring: it holds or delivers one volume, known to more digits than a scale would give. */
export interface RingTool extends Named {
  readonly reads: 'ring';
  readonly volume: number;
  readonly made: 'to-contain' | 'to-deliver';
  /** Inner diameter of the neck or stem at the ring, in mm. */
  readonly bore: number;
  readonly wall: number;
}

/** A slide with a vernier on a main scale: read by the main mark passed and the line that coincides. */
export interface VernierCaliper extends Named {
  readonly reads: 'vernier';
  readonly main: LinearScale;
  readonly vernier: Vernier;
  /** Lines of the vernier from one number to the next, and what is printed there. */
  readonly numbers: { readonly every: number; readonly printed: readonly string[] };
  /** How far the slide begins before its zero line, in mm. */
  readonly edge: number;
}

/** A screw with half millimetres on its sleeve and hundredths on its thimble. */
export interface Micrometer extends Named {
  readonly reads: 'thimble';
  /** Lines of a vernier on the sleeve; 0 where the tenth of a thimble division is estimated. */
  readonly sleeveLines: 0 | 10;
}

/** A balance that is brought into balance by riders on its beams, the largest first. */
export interface BeamBalance extends Named {
  readonly reads: 'beams';
  readonly beams: readonly RiderBeam[];
  /** A pan that hangs has a platform for a beaker under it. */
  readonly pan: 'stands' | 'hangs';
}

/** A tool with a digital display: a balance, or a caliper. */
export interface DisplayTool extends Named {
  readonly reads: 'display';
  readonly measures: 'mass' | 'length';
}

export type Instrument = ScaleTool | RingTool | VernierCaliper | Micrometer | BeamBalance | DisplayTool;
