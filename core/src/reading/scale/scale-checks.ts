import type { ScaleTool } from '../../instruments/instrument.ts';
import type { Surface } from './meniscus.ts';
import { checkChoice, checkEye, checkFlag, checkNumber, SituationError } from '../indication/situation-error.ts';
import type { AnySituation } from '../indication/indication.ts';
import type { ScaleSide } from './scale-indication.ts';

/** A liquid that is read at its surface. */
export interface LiquidSituation extends AnySituation {
  /** Height of the eye above the mark that is read, in mm. */
  readonly eyeHeight?: number;
  readonly surface?: Surface;
  /** Which wall carries the scale, seen from the eye. */
  readonly scaleSide?: ScaleSide;
  /** True when the liquid lets no light through. */
  readonly opaque?: boolean;
  /** What is in the glass, for the question's wording. */
  readonly liquid?: string;
}

export const LIQUID_FIELDS = ['eyeHeight', 'surface', 'scaleSide', 'opaque', 'liquid'] as const;

/** @throws SituationError */
export function checkLiquid(situation: LiquidSituation): void {
  checkChoice('surface', situation.surface, ['wetting', 'domed', 'flat']);
  checkChoice('scaleSide', situation.scaleSide, ['near', 'far']);
  checkFlag('opaque', situation.opaque);
  checkEye(situation);
}

/** @throws SituationError where a starting mark is off the scale, or beyond the final one. */
export function checkStart({ range: [least, most], unit }: ScaleTool, value: number, from: number | undefined): void {
  if (from === undefined) return;
  checkNumber('from', from, least, most, unit);
  if (from > value) throw new SituationError('from', `${from} ${unit} is below the final mark, ${value} ${unit}.`);
}
