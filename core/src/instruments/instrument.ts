import type { LinearScale } from '../scales/linear-scale.ts';

/** Skills stand for one instrument family or one numbers topic; `skills.ts` lists them. */
export type SkillId = 'graduated-cylinders' | 'digital-balances';

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

/** A glass tube with a scale on its wall, made to contain. */
export interface GraduatedCylinder extends Named {
  readonly reads: 'liquid-column';
  readonly scale: LinearScale;
  /** Inner diameter in mm. */
  readonly bore: number;
  /** Thickness of the glass in mm. */
  readonly wall: number;
  /** True where some of these tools carry a second, descending scale. */
  readonly mayHaveSecondScale: boolean;
}

/** A balance with a digital display. */
export interface DigitalBalance extends Named {
  readonly reads: 'display';
}

export type Instrument = GraduatedCylinder | DigitalBalance;
