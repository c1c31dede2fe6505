import type { DigitalBalance } from '../../instruments/instrument.ts';
import {
  asDisplayed,
  displayPicture,
  litCharacters,
  type DisplayPicture,
  type DisplayView,
  type Weighables,
} from '../display/display.ts';
import { disturbedBy } from '../weighing/on-pan.ts';
import { captionOf, cardOf, otherLoads } from '../weighing/weighing-situation.ts';
import { thingInWords } from '../words/things.ts';
import type { BalanceIndication, BalanceSituation } from './balance-indication.ts';

function weighablesOf(tool: DigitalBalance, situation: BalanceSituation): Weighables {
  const { container = 0, empty = 0, zeroError = 0, vessel = 'vessel', spoilt } = situation;
  const digits = (grams: number): number => Math.round(grams / tool.division);
  return {
    empty: digits(empty),
    vessel: container > 0 ? { name: vessel, digits: digits(container) } : null,
    // What the tool is known to be off by comes with what is weighed.
    thing: { name: thingInWords(situation), digits: digits(asDisplayed(tool, situation.value + zeroError)) },
    capacity: digits(tool.range[1]),
    decimals: Math.max(0, Math.round(-Math.log10(tool.division))),
    spoilt: spoilt === undefined ? null : { how: spoilt, digits: digits(disturbedBy(tool.division, spoilt)) },
  };
}

export function balancePicture({ tool, mark, present, situation }: BalanceIndication): DisplayPicture {
  const { zeroError = 0, loose = false } = situation;
  const view = (caption: string, shown: number): DisplayView => ({ caption, characters: litCharacters(tool, shown) });
  const others = loose ? [] : otherLoads(situation).map(({ caption, load }) => view(caption, asDisplayed(tool, load)));
  return displayPicture(tool, {
    measures: 'mass',
    views: [view(captionOf(situation), mark), ...others],
    thing: { name: thingInWords(situation), count: situation.count ?? 1 },
    awayBy: Math.round((present - mark) / tool.division),
    weighables: loose ? weighablesOf(tool, situation) : null,
    jaws: null,
    note: cardOf(situation, litCharacters(tool, Math.abs(zeroError)), tool.unit),
    handled: loose ? 'weigh' : present === mark ? null : 'settle',
  });
}

/** A balance as it is looked at, view by view, in words a reading can be made from. */
export function describeBalance({ views, unitMark }: DisplayPicture): string {
  return views
    .map(({ caption, characters }) => `With ${caption} on the pan it shows ${characters} ${unitMark}.`)
    .join(' ');
}
