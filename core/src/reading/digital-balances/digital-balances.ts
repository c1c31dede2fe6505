import type { DigitalBalance } from '../../instruments/instrument.ts';
import { asDisplayed, litCharacters, type DisplayPicture } from '../display/display.ts';
import type { Family } from '../family.ts';
import { resolutionOf } from '../indication/resolution.ts';
import { revealStep } from '../picture/reveal-step.ts';
import { decimalsOf } from '../../scales/linear-scale.ts';
import type { SightSlip } from '../slips/slip.ts';
import { UNSETTLED } from '../slips/unsettled.ts';
import { loadOf, plainWeighing } from '../weighing/weighing-situation.ts';
import { WEIGHING_SLIPS } from '../weighing/weighing-slips.ts';
import { massQuestion, subtractionSteps, weighingHints } from '../weighing/weighing-words.ts';
import { cautionsWith } from '../words/cautions.ts';
import { weighedThing } from '../words/things.ts';
import {
  BALANCE_FIELDS,
  balanceIndication,
  checkBalance,
  type BalanceIndication,
  type BalanceSituation,
} from './balance-indication.ts';
import {
  balanceBegun,
  balanceHandled,
  balanceRemarks,
  balanceStanding,
  type BalanceOnBench,
} from './balance-on-bench.ts';
import { balancePicture, describeBalance } from './balance-picture.ts';
import { drawBalance } from './draw-balance.ts';

const digitsMoving: SightSlip<BalanceIndication> = {
  ...UNSETTLED,
  why: () => 'The digits were still changing. The balance did not show its stability mark yet.',
  lookAt: () => 'the stability mark',
  shift: ({ present, mark }) => (present === mark ? null : present - mark),
};

/** What the balance shows now: of what is on its pan, less what has been tared. */
function seen(bench: BalanceOnBench): DisplayPicture {
  const { posed, changed, zeroed, now } = bench;
  const untouched = changed === null && !zeroed && now === 0;
  if (untouched) return balancePicture(balanceIndication(posed));
  const { tool, situation } = posed;
  if (!situation.loose) return balancePicture(balanceIndication({ ...posed, situation: balanceStanding(bench) }));
  const picture = balancePicture(balanceIndication(posed));
  const [{ caption }] = picture.views;
  const onPan = {
    ...situation,
    value: bench.thing ? situation.value : 0,
    container: bench.vessel && !bench.vesselTared ? situation.container : undefined,
    empty: zeroed ? undefined : situation.empty,
  };
  const shown = bench.meaningless ? 0 : asDisplayed(tool, loadOf(onPan));
  return { ...picture, views: [{ caption, characters: litCharacters(tool, shown) }] };
}

/** Balances with a display. */
export const DIGITAL_BALANCES_FAMILY: Family<
  DigitalBalance,
  BalanceSituation,
  BalanceIndication,
  BalanceOnBench,
  DisplayPicture
> = {
  id: 'digital-balances',
  slips: [digitsMoving, ...WEIGHING_SLIPS],
  fields: () => BALANCE_FIELDS,
  check: checkBalance,
  resolution: ({ division }) => resolutionOf(division, 'displayed'),
  indicates: balanceIndication,
  draw: drawBalance,
  laid: (situation) => (situation.loose ? { ...situation, loose: undefined, spoilt: undefined } : situation),
  onPaper: ({ settled, shown: _, ...situation }) => ({
    ...situation,
    loose: undefined,
    spoilt: undefined,
    ...(settled === undefined ? {} : { settled: true }),
  }),
  plain: (_tool, { settled: _settled, shown: _shown, ...situation }, set) => ({
    ...plainWeighing(situation),
    spoilt: undefined,
    ...(set && { value: set.value, count: undefined, thing: weighedThing(set.value, set.random) }),
  }),
  begin: balanceBegun,
  handle: balanceHandled,
  waits: (bench, at) => ({ ...bench, now: at }),
  shows: seen,
  stands: balanceStanding,
  remarks: balanceRemarks,
  describe: describeBalance,
  fillsWidth: () => false,
  question: massQuestion,
  hints: (indication) => [
    'Wait for the stability mark.',
    'Write every digit shown, zeros too.',
    ...weighingHints(indication),
    'Add the unit.',
  ],
  steps: (indication) => {
    const { tool, mark } = indication;
    const lit = litCharacters(tool, mark);
    return [
      revealStep('marks', `Every digit shown, zeros too: ${lit}`, lit),
      ...subtractionSteps(indication, mark, decimalsOf(tool.division)),
    ];
  },
  cautions: () => cautionsWith(undefined),
};
