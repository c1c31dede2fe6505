import type { BeamBalance } from '../../instruments/instrument.ts';
import { ridersFor } from '../../scales/rider-beam.ts';
import type { Random } from '../../simulation/random.ts';
import { BY_HAND, type Aimed } from '../drawing/aimed.ts';
import { drawnLoad, drawnMass, eitherWay, offBy, oneWrong, WRONG_NOW_AND_THEN } from '../weighing/draw-weighing.ts';
import { ridersIn, type BeamSituation } from './beam-indication.ts';

/** A notched rider left between two notches, lower riders making up for it; null where there is no room for that. */
function betweenNotches({ beams }: BeamBalance, load: number, random: Random): readonly number[] | null {
  const riders = ridersFor(beams, load);
  const last = riders.length - 1;
  const movable = riders.flatMap((position, i) => (i < last && position > 0 ? [i] : []));
  const which = movable[random.below(Math.max(1, movable.length))];
  const notch = beams[which ?? 0]?.scale.division ?? 0;
  const most = Math.min(0.4 * notch, (beams[last]?.scale.to ?? 0) - (riders[last] ?? 0));
  const shift = Number((0.12 * notch + random.uniform() * most).toFixed(6));
  if (which === undefined || shift > most) return null;
  return riders.map((position, i) =>
    Number((i === which ? position - shift : i === last ? position + shift : position).toFixed(6)),
  );
}

/** The riders with the sliding one left somewhere else on its beam. */
function unbalanced(tool: BeamBalance, situation: BeamSituation, random: Random): readonly number[] {
  const riders = ridersIn(tool, situation);
  const length = tool.beams.at(-1)?.scale.to ?? 1;
  const standing = riders.at(-1) ?? 0;
  const away = (0.1 + 0.35 * random.uniform()) * length;
  const elsewhere = Number((standing < length / 2 ? standing + away : standing - away).toFixed(6));
  return [...riders.slice(0, -1), elsewhere];
}

export function drawBeams(tool: BeamBalance, aimed: Aimed): BeamSituation {
  const { random } = aimed;
  const wrong = oneWrong(aimed, [['not-balanced', 0.12], ['not-seated', 0.08], ...WRONG_NOW_AND_THEN]);
  const off = offBy(tool, wrong, random);
  const value = drawnMass(tool, aimed, 10, 0.2 * tool.range[1]);
  const situation: BeamSituation = { value, ...drawnLoad(value, random), ...off };
  if (wrong === 'not-balanced') return { ...situation, riders: unbalanced(tool, situation, random) };
  const between = wrong === 'not-seated' ? betweenNotches(tool, value, random) : null;
  if (between) return { ...situation, riders: between };
  const hung = tool.pan === 'hangs' && off.container === undefined && value > 5 && random.uniform() < 0.2;
  if (!hung)
    return random.uniform() >= BY_HAND ? situation : { ...situation, ...eitherWay(situation, random), loose: true };
  const under = { thing: 'basalt pebble', count: undefined, under: random.pick(['water', 'brine'] as const) };
  if (random.uniform() >= BY_HAND) return { ...situation, ...under };
  return {
    ...situation,
    ...eitherWay(situation, random),
    ...under,
    ...(random.uniform() < 0.5 ? { spoilt: 'touching' as const } : {}),
    loose: true,
  };
}
