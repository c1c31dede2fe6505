import type { DigitalBalance } from '../../instruments/instrument.ts';
import { asDisplayed, DISPLAY_WORDS } from '../display/display.ts';
import { askedIn } from '../indication/asked.ts';
import { indicationFrom, type Indication, type Posed } from '../indication/indication.ts';
import { resolutionOf } from '../indication/resolution.ts';
import { checkChoice, checkFlag } from '../indication/situation-error.ts';
import { checkShown } from '../indication/shown.ts';
import {
  addedTo,
  checkWeighing,
  loadOf,
  WEIGHING_FIELDS,
  type Disturbance,
  type WeighingSituation,
} from '../weighing/weighing-situation.ts';

/** What can disturb a weighing on a pan that stands. */
export const DISTURBANCES = ['draught', 'off-centre', 'wet', 'fingerprints'] as const satisfies readonly Disturbance[];

/** While the display still changes, `shown` is what it shows. */
export type BalanceSituation = WeighingSituation & {
  /** What disturbs the weighing, for the student to notice. */
  readonly spoilt?: (typeof DISTURBANCES)[number];
} & ({ readonly settled?: true; readonly shown?: undefined } | { readonly settled: false; readonly shown: number });

export const BALANCE_FIELDS = [...WEIGHING_FIELDS, 'spoilt', 'settled', 'shown'] as const;

/** @throws SituationError */
export function checkBalance(tool: DigitalBalance, situation: BalanceSituation): void {
  const [, most] = tool.range;
  checkFlag('settled', situation.settled);
  checkWeighing(tool, situation, -most);
  checkShown(situation, -most, most, tool.unit);
  checkChoice('spoilt', situation.spoilt, DISTURBANCES);
}

/** A digital balance as it stands: its mark is what it shows in the end. */
export interface BalanceIndication extends Indication<DigitalBalance, BalanceSituation> {
  readonly mark: number;
  /** What it shows at present: something else only while it has not settled. */
  readonly present: number;
}

export function balanceIndication(posed: Posed<DigitalBalance, BalanceSituation>): BalanceIndication {
  const { tool, situation } = posed;
  const mark = asDisplayed(tool, loadOf(situation));
  return {
    ...indicationFrom(posed, {
      resolution: resolutionOf(tool.division, 'displayed'),
      mark,
      subtracted: askedIn(situation) === 'corrected' ? asDisplayed(tool, addedTo(situation)) : 0,
      words: DISPLAY_WORDS,
    }),
    mark,
    present: situation.settled === false ? asDisplayed(tool, situation.shown) : mark,
  };
}
