import type { GraduatedGlass } from '../../instruments/instrument.ts';
import type { Margins } from '../column/column-picture.ts';
import { evenly, millimetresPerMillilitre, type Geometry } from '../scale/geometry.ts';

/** Volume in mL of a cone's lower part up to a height, by the frustum's formula π ÷ (3·taper)·(R³ − r³), and back. */
function frustumHeight(baseRadius: number, taper: number, volume: number): number {
  return (baseRadius - Math.cbrt(baseRadius ** 3 - (3 * taper * volume * 1000) / Math.PI)) / taper;
}

function frustumVolume(baseRadius: number, taper: number, height: number): number {
  return ((Math.PI / (3 * taper)) * (baseRadius ** 3 - (baseRadius - taper * height) ** 3)) / 1000;
}

/** Inner radius in mm at a height above the floor. */
export function innerRadius({ body }: GraduatedGlass, height: number): number {
  return body.kind === 'conical-flask' ? body.baseRadius - body.taper * height : body.bore / 2;
}

export const GLASS_GEOMETRY: Geometry<GraduatedGlass> = {
  along: ({ body, scale }, value) =>
    body.kind === 'conical-flask'
      ? frustumHeight(body.baseRadius, body.taper, value)
      : evenly(millimetresPerMillilitre(body.bore)).along(scale, value),
  valueAt: ({ body, scale }, length) =>
    body.kind === 'conical-flask'
      ? frustumVolume(body.baseRadius, body.taper, length)
      : evenly(millimetresPerMillilitre(body.bore)).valueAt(scale, length),
  // Half the bore and the wall lie between the middle of the surface and the printed scale.
  gapAt: (tool, height) => innerRadius(tool, height) + tool.body.wall,
};

const FLOOR = 4;
const FOOT = 8;
export const GLASS_MARGINS: Readonly<Record<GraduatedGlass['body']['kind'], Margins>> = {
  cylinder: { above: 22, below: FLOOR + FOOT },
  beaker: { above: 16, below: 3 },
  'conical-flask': { above: 48, below: 3 },
};
