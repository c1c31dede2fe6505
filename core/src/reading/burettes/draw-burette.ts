import type { DeliveringTube } from '../../instruments/instrument.ts';
import type { Random } from '../../simulation/random.ts';
import { drawnEye, OVER_A_DIFFERENCE, sometimesAny, type Aimed } from '../drawing/aimed.ts';
import { drawnPoint, innerPart } from '../drawing/point.ts';
import { buretteResolution, type BuretteSituation } from './burette-indication.ts';

/** Now and then somebody left something to be noticed. */
function leftIn(random: Random): Pick<BuretteSituation, 'left'> {
  const chance = random.uniform();
  return chance < 0.2 ? { left: 'funnel' } : chance < 0.4 ? { left: 'bubble' } : {};
}

const OF_A_DIFFERENCE = ['final-as-delivered', 'initial-as-delivered', ...OVER_A_DIFFERENCE];

/** A burette or graduated pipette: one reading, or the volume between two. */
export function drawBurette(tool: DeliveringTube, aimed: Aimed): BuretteSituation {
  const { random, rules } = aimed;
  const [, capacity] = tool.range;
  const difference = sometimesAny(aimed, OF_A_DIFFERENCE, 0.4);
  const from = difference ? Number((0.05 + 0.12 * capacity * random.uniform()).toFixed(2)) : 0;
  const seen = {
    eyeHeight: drawnEye(aimed),
    surface: 'wetting' as const,
    liquid: random.pick(['water', 'brine'] as const),
  };
  const between = difference ? ([from + 0.15 * capacity, 0.95 * capacity] as const) : innerPart(tool.range, 0.04, 0.95);
  const value = drawnPoint(buretteResolution(tool, rules), aimed, ...between);
  if (!difference) return { value, ...seen };
  return { value, from, ...seen, ...(tool.body.kind === 'burette' ? leftIn(random) : {}) };
}
