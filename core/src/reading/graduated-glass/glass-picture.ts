import type { GraduatedGlass } from '../../instruments/instrument.ts';
import { marksOf } from '../../scales/linear-scale.ts';
import { columnPicture, topmost, type LiquidColumnPicture } from '../column/column-picture.ts';
import { surfaceProfile } from '../column/surface.ts';
import { inDrawing } from '../picture/picture-parts.ts';
import { GLASS_GEOMETRY, GLASS_MARGINS, innerRadius } from './glass-geometry.ts';
import type { GlassIndication } from './glass-indication.ts';

/** Half the inner width of a flask at heights along it, from the floor to where the neck begins. */
function outlineOf(tool: GraduatedGlass): [number, number][] {
  if (tool.body.kind !== 'conical-flask') return [];
  const steps = 12;
  const top = topmost(GLASS_GEOMETRY, tool);
  const neck = top + 30;
  return Array.from({ length: steps + 1 }, (_, i): [number, number] => {
    const height = (neck * i) / steps;
    return [
      inDrawing(GLASS_MARGINS['conical-flask'].above + top - height),
      inDrawing(Math.max(14, innerRadius(tool, height))),
    ];
  });
}

export function glassPicture(indication: GlassIndication, eyeHeight: number): LiquidColumnPicture {
  const { tool, situation, rules, mark, along, positionOf } = indication;
  const { kind, wall } = tool.body;
  const margins = GLASS_MARGINS[kind];
  const radius = innerRadius(tool, along(mark));
  // The second scale has the same lines and counts from the top.
  const descending = marksOf(tool.scale).map(({ at, rank, label }) => ({
    y: inDrawing(positionOf(tool.scale.to - at)),
    rank,
    label,
  }));
  return columnPicture(indication, eyeHeight, {
    vessel: kind,
    bore: inDrawing(2 * radius),
    wall,
    floorY: margins.above + topmost(GLASS_GEOMETRY, tool),
    below: margins.below,
    profile: surfaceProfile(situation, rules, radius),
    outline: outlineOf(tool),
    secondMarks: situation.secondScale ? descending : [],
    ...(situation.liquid === undefined ? {} : { liquid: situation.liquid }),
    opaque: situation.opaque ?? false,
  });
}
