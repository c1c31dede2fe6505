import { meniscusProfile, wallHeight, type Surface } from '../scale/meniscus.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import { inDrawing } from '../picture/picture-parts.ts';
import type { LiquidSituation } from '../scale/scale-checks.ts';

/** How the surface meets the wall, as far as it can be seen: what is opaque hides its lowest point. */
function visibleSurface({ surface = 'wetting', opaque = false }: LiquidSituation, rules: HouseRules): Surface {
  return opaque && rules.opaqueLiquids === 'upper-edge' ? 'flat' : surface;
}

/** Height in mm of the liquid at the wall above the mark that is read; negative for a dome, 0 where there is nothing else to read. */
export function edgeHeight(situation: LiquidSituation, rules: HouseRules, radius: number): number {
  return wallHeight(visibleSurface(situation, rules), radius);
}

/** The surface from the axis to the wall, above the mark that is read: for an opaque liquid read at its edge, that is the edge. */
export function surfaceProfile(situation: LiquidSituation, rules: HouseRules, radius: number): [number, number][] {
  const { surface = 'wetting' } = situation;
  const hidden = visibleSurface(situation, rules) !== surface;
  const below = hidden ? wallHeight(surface, radius) : 0;
  return meniscusProfile(surface, radius).map(([x, z]) => [inDrawing(x), inDrawing(z - below)]);
}

/** What to look at of a surface, in the words of a hint. */
export function surfaceHint({ surface, opaque }: LiquidSituation, { opaqueLiquids }: HouseRules): string {
  if (opaque)
    return opaqueLiquids === 'upper-edge'
      ? 'You cannot see through it. This class reads the upper edge.'
      : 'You cannot see through it. This class still reads at the lowest point.';
  const seen =
    surface === 'domed'
      ? 'the top of the dome'
      : surface === 'flat'
        ? 'the flat surface'
        : 'the lowest point of the curve';
  return `Look at ${seen}, in the middle of the tube.`;
}
