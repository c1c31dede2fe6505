import type { GraduatedGlass } from '../../instruments/instrument.ts';
import { LIQUIDS } from '../column/liquids.ts';
import { drawnEye, sometimes, type Aimed } from '../drawing/aimed.ts';
import { drawnPoint, innerPart } from '../drawing/point.ts';
import { glassResolution, type GlassSituation } from './glass-indication.ts';

function drawCylinder(tool: GraduatedGlass, aimed: Aimed): GlassSituation {
  const { random, at, rules } = aimed;
  const domed = at('meniscus-low') || (!at('meniscus-edge') && random.uniform() < 0.08);
  const plain = !domed && !at('meniscus-edge');
  const flat = plain && random.uniform() < 0.06;
  const opaque = plain && !flat && random.uniform() < 0.06;
  return {
    value: drawnPoint(glassResolution(tool, rules), aimed, ...innerPart(tool.range)),
    eyeHeight: drawnEye(aimed),
    surface: domed ? 'domed' : flat ? 'flat' : 'wetting',
    scaleSide: random.uniform() < 0.15 ? 'far' : 'near',
    liquid: opaque ? 'slate slurry' : domed || flat ? 'water' : random.pick(LIQUIDS),
    ...(opaque ? { opaque } : {}),
    ...(tool.mayHaveSecondScale ? { secondScale: sometimes(aimed, 'other-scale', 0.35) } : {}),
  };
}

export function drawGlass(tool: GraduatedGlass, aimed: Aimed): GlassSituation {
  if (tool.body.kind === 'cylinder') return drawCylinder(tool, aimed);
  return {
    value: drawnPoint(glassResolution(tool, aimed.rules), aimed, ...innerPart(tool.range, 0.08, 0.94)),
    eyeHeight: drawnEye(aimed),
    surface: 'wetting',
    liquid: aimed.random.pick(LIQUIDS),
  };
}
