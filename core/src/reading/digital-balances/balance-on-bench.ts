import type { DigitalBalance } from '../../instruments/instrument.ts';
import type { Action, Remark } from '../actions.ts';
import { asDisplayed, litCharacters } from '../display/display.ts';
import { withoutDust, type Posed } from '../indication/indication.ts';
import { disturbedBy, MISSED, PUTS_RIGHT, putOrTaken, type OnPan } from '../weighing/on-pan.ts';
import { loadOf } from '../weighing/weighing-situation.ts';
import { leftWrong, notWeighed } from '../weighing/weighing-words.ts';
import type { BalanceSituation } from './balance-indication.ts';
import { settlesFrom, stillAway } from './settling.ts';

/** A digital balance on the bench: what is on its pan, what its tare key has taken off, and the time by its clock, in ms. */
export interface BalanceOnBench extends OnPan {
  readonly posed: Posed<DigitalBalance, BalanceSituation>;
  /** What it showed empty has been zeroed away. */
  readonly zeroed: boolean;
  /** The vessel has been tared. */
  readonly vesselTared: boolean;
  /** The thing has been tared away, so that what is shown means nothing. */
  readonly meaningless: boolean;
  /** The tare key was pressed after the thing was put on. */
  readonly taredAway: boolean;
  /** What disturbed the weighing has been put right. */
  readonly putRight: boolean;
  /** What was put on or taken off last, and when. */
  readonly changed: { readonly thing: boolean; readonly at: number } | null;
  readonly now: number;
}

export function balanceBegun(posed: Posed<DigitalBalance, BalanceSituation>): BalanceOnBench {
  const onPan = !posed.situation.loose;
  return {
    posed,
    vessel: onPan,
    thing: onPan,
    zeroed: false,
    vesselTared: false,
    meaningless: false,
    taredAway: false,
    putRight: posed.situation.spoilt === undefined,
    changed: null,
    now: 0,
  };
}

type Change = Partial<Omit<BalanceOnBench, 'posed' | 'now'>>;

/** What each key, and each thing put on or taken off, makes of a balance. */
const CHANGES: Readonly<Partial<Record<Action['kind'], (bench: BalanceOnBench, at: number) => Change>>> = {
  tare: ({ vessel, thing }) => ({ zeroed: true, vesselTared: vessel, meaningless: thing, taredAway: true }),
  'switch-on': () => ({ zeroed: false, vesselTared: false, meaningless: false }),
  'put-thing': (_, at) => ({ taredAway: false, changed: { thing: true, at } }),
  'put-vessel': (_, at) => ({ changed: { thing: false, at } }),
  'take-vessel': (_, at) => ({ changed: { thing: false, at } }),
};

export function balanceHandled(before: BalanceOnBench, action: Action): BalanceOnBench {
  const { kind, at } = action;
  const bench = { ...putOrTaken(before, action), now: at };
  const { spoilt } = bench.posed.situation;
  if (spoilt !== undefined && kind === PUTS_RIGHT[spoilt]) return { ...bench, putRight: true };
  return { ...bench, ...CHANGES[kind]?.(bench, at) };
}

/** What still disturbs the weighing, in g. */
function stillDisturbed({ posed: { tool, situation }, putRight }: BalanceOnBench): number {
  return putRight ? 0 : disturbedBy(tool.division, situation.spoilt);
}

/** A display that was read as it was found: it goes on settling from what it showed. */
function settling({ posed: { tool, situation }, now }: BalanceOnBench): BalanceSituation {
  if (situation.settled !== false) return situation;
  const rest = asDisplayed(tool, loadOf(situation));
  const away = stillAway(Math.round((situation.shown - rest) / tool.division), now);
  return away === 0
    ? { ...situation, settled: true, shown: undefined }
    : { ...situation, shown: asDisplayed(tool, rest + away * tool.division) };
}

/** The situation as the balance stands now. What was never put on, or was tared away, is judged as if it had been weighed. */
export function balanceStanding(bench: BalanceOnBench): BalanceSituation {
  const { posed, vessel, thing, vesselTared, zeroed, changed, now } = bench;
  const { tool, situation } = posed;
  if (!situation.loose) return settling(bench);
  const { container = 0, empty = 0 } = situation;
  const rest: BalanceSituation = { ...situation, loose: undefined, spoilt: undefined };
  // A vessel tared and then taken off leaves a number that means nothing.
  if (!thing || bench.meaningless || (vesselTared && !vessel))
    return { ...rest, container: undefined, empty: undefined };
  const after: BalanceSituation = {
    ...rest,
    value: withoutDust(situation.value + stillDisturbed(bench)),
    container: container > 0 && vessel && !vesselTared ? situation.container : undefined,
    empty: empty !== 0 && !zeroed ? situation.empty : undefined,
  };
  if (changed === null) return after;
  const away = stillAway(settlesFrom(tool, changed.thing ? after.value : container), now - changed.at);
  if (away === 0) return after;
  const shown = asDisplayed(tool, asDisplayed(tool, loadOf(after)) - away * tool.division);
  return { ...after, settled: false, shown };
}

export function balanceRemarks(bench: BalanceOnBench): Remark[] {
  const { tool, situation } = bench.posed;
  const { loose = false, spoilt, container = 0, thing = 'thing', vessel = 'vessel' } = situation;
  if (!loose) return [];
  if (!bench.thing) return [notWeighed('balance')];
  const off = stillDisturbed(bench);
  return [
    ...(bench.taredAway
      ? [
          {
            id: 'tared-away',
            text: `You tared with the ${thing} on the pan, so its mass was taken away too.${container > 0 ? ` Tare with the ${vessel} alone.` : ''}`,
          },
        ]
      : []),
    ...(spoilt === undefined || off === 0
      ? []
      : [leftWrong(MISSED[spoilt], `${litCharacters(tool, off)} ${tool.unit}`)]),
  ];
}
