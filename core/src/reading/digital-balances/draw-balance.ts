import type { DigitalBalance } from '../../instruments/instrument.ts';
import { BY_HAND, type Aimed } from '../drawing/aimed.ts';
import {
  digitsOff,
  drawnLoad,
  drawnMass,
  eitherWay,
  offBy,
  oneWrong,
  WRONG_NOW_AND_THEN,
} from '../weighing/draw-weighing.ts';
import { DISTURBANCES, type BalanceSituation } from './balance-indication.ts';

/** Moving air and fingerprints are felt by the finest balances only. */
function canDisturb({ division }: DigitalBalance): readonly (typeof DISTURBANCES)[number][] {
  if (division <= 0.001) return DISTURBANCES;
  return division <= 0.01 ? ['off-centre', 'wet'] : ['wet'];
}

export function drawBalance(tool: DigitalBalance, aimed: Aimed): BalanceSituation {
  const { random } = aimed;
  const wrong = oneWrong(aimed, [['unsettled', 0.1], ...WRONG_NOW_AND_THEN]);
  const value = drawnMass(tool, aimed, 1, 0.25 * tool.range[1]);
  const situation = { value, ...drawnLoad(value, random), ...offBy(tool, wrong, random) };
  if (wrong === 'unsettled')
    return { ...situation, settled: false, shown: Number((value + digitsOff(tool, random, 4, 30)).toFixed(6)) };
  if (random.uniform() >= BY_HAND) return situation;
  const possible = canDisturb(tool);
  return {
    ...situation,
    ...eitherWay(situation, random),
    loose: true,
    ...(random.uniform() < 0.35 ? { spoilt: possible[random.below(possible.length)] ?? 'wet' } : {}),
  };
}
