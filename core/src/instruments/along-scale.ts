import type { Body, ScaleTool } from './instrument.ts';

/** Length of scale that one millilitre takes in a straight tube, in mm: 1000 mm³ over the area of the bore. */
export function millimetresPerMillilitre(bore: number): number {
  return 1000 / (Math.PI * (bore / 2) ** 2);
}

/** Volume in mL of a cone's lower part up to a height, by the frustum's formula π ÷ (3·taper)·(R³ − r³). */
function frustumHeight(baseRadius: number, taper: number, volume: number): number {
  return (baseRadius - Math.cbrt(baseRadius ** 3 - (3 * taper * volume * 1000) / Math.PI)) / taper;
}

function frustumVolume(baseRadius: number, taper: number, height: number): number {
  return ((Math.PI / (3 * taper)) * (baseRadius ** 3 - (baseRadius - taper * height) ** 3)) / 1000;
}

/** Stem length of a float for one g/mL of 1 ÷ density: the scale's length over the span of reciprocals. */
function floatLength({ scale: { from, to } }: ScaleTool, length: number): number {
  return length / (1 / from - 1 / to);
}

/** mm of scale for one unit on an evenly spaced scale; null on the others. */
function evenly(body: Body): number | null {
  if (body.kind === 'tube' || body.kind === 'beaker') return millimetresPerMillilitre(body.bore);
  return body.kind === 'thread' || body.kind === 'rule' ? body.perUnit : null;
}

/**
 * Where a value stands along the tool, in mm: upward from the lowest mark of an upright tool whose numbers grow downward, upward from
 * zero on other upright ones, rightward from zero on a ruler.
 */
export function along(tool: ScaleTool, value: number): number {
  const { body, scale } = tool;
  const perUnit = evenly(body);
  if (perUnit !== null) return (scale.direction === 'up' ? value : scale.to - value) * perUnit;
  if (body.kind === 'cone') return frustumHeight(body.baseRadius, body.taper, value);
  if (body.kind === 'float') return floatLength(tool, body.length) * (1 / value - 1 / scale.to);
  throw new RangeError(`${tool.id}: its marks follow no rule known here.`);
}

/** The value that stands at a place along the tool; inverse of `along`. */
export function valueAlong(tool: ScaleTool, length: number): number {
  const { body, scale } = tool;
  const perUnit = evenly(body);
  if (perUnit !== null) return scale.direction === 'up' ? length / perUnit : scale.to - length / perUnit;
  if (body.kind === 'cone') return frustumVolume(body.baseRadius, body.taper, length);
  if (body.kind === 'float') return 1 / (length / floatLength(tool, body.length) + 1 / scale.to);
  throw new RangeError(`${tool.id}: its marks follow no rule known here.`);
}

/** Inner radius in mm where a value stands, for tools that hold a liquid; null for the others. */
export function innerRadius({ body }: ScaleTool, length: number): number | null {
  if (body.kind === 'tube' || body.kind === 'beaker') return body.bore / 2;
  return body.kind === 'cone' ? body.baseRadius - body.taper * length : null;
}

/** Depth in mm of the reading mark behind (or before) the printed scale: half the bore and the wall, or the tool's own gap. */
export function gapAt(tool: ScaleTool, length: number): number {
  const { body } = tool;
  if (body.kind === 'thread' || body.kind === 'rule') return body.gap;
  if (body.kind === 'float') return body.stemRadius;
  return (innerRadius(tool, length) ?? 0) + body.wall;
}
