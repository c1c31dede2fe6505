import type { Ruler } from '../../instruments/instrument.ts';
import { drawnEye, sometimes, type Aimed } from '../drawing/aimed.ts';
import { drawnPoint } from '../drawing/point.ts';
import { longThing } from '../words/things.ts';
import { RULER_GEOMETRY, rulerResolution } from './ruler-indication.ts';
import type { RulerSituation } from './ruler-situation.ts';

function drawnLength(tool: Ruler, aimed: Aimed, least: number, most: number): number {
  return drawnPoint(rulerResolution(tool, aimed.rules), aimed, least, most);
}

/** A thing that lies anywhere beside the ruler until the student lays it. */
function drawLoose(tool: Ruler, aimed: Aimed): RulerSituation {
  const { random } = aimed;
  const { bareEnd } = tool.body;
  const [, most] = tool.range;
  const value = drawnLength(tool, aimed, 0.06 * most, 0.6 * most);
  return {
    value,
    eyeHeight: drawnEye(aimed),
    thing: longThing(RULER_GEOMETRY.along(tool, value), random),
    from: Number(((0.08 + 0.22 * random.uniform()) * most + 0.37 * tool.division).toFixed(3)),
    loose: true,
    ...(bareEnd > 0 && random.uniform() < 0.5 ? { endOffset: bareEnd } : {}),
  };
}

export function drawRuler(tool: Ruler, aimed: Aimed): RulerSituation {
  const { random } = aimed;
  const { bareEnd } = tool.body;
  const elsewhere = sometimes(aimed, 'end-not-zero', 0.3);
  const [, most] = tool.range;
  const labels = Math.max(1, Math.floor((0.3 * most) / tool.scale.labelEvery));
  const from =
    elsewhere && (bareEnd === 0 || random.uniform() < 0.5) ? (1 + random.below(labels)) * tool.scale.labelEvery : 0;
  const longest = Math.min(0.9 * most, most - from - tool.division);
  if (from === 0 && !aimed.at('end-not-zero') && random.uniform() < (aimed.any ? 0.35 : 0.6))
    return drawLoose(tool, aimed);
  const value = drawnLength(tool, aimed, 0.06 * most, longest);
  return {
    value,
    eyeHeight: drawnEye(aimed),
    thing: longThing(RULER_GEOMETRY.along(tool, value), random),
    ...(from > 0 ? { from } : {}),
    ...(bareEnd > 0 && (elsewhere || random.uniform() < 0.5) ? { endOffset: bareEnd } : {}),
  };
}
