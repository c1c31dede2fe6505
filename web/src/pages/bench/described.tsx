import {
  describeCaliper,
  describeCaliperAt,
  describeColumn,
  describePicture,
  describeMicrometer,
  describeMicrometerAt,
  describePointer,
  describeRiders,
  describeRing,
  describeRuler,
  describeThread,
  type BeamPicture,
  type CaliperPicture,
  type DisplayPicture,
  type LiquidColumnPicture,
  type MicrometerPicture,
  type Picture,
  type Weighables,
} from '@green-beam/core';
import type { ReactNode } from 'react';
import { aside } from '../../instruments/aside.ts';
import type { Balance, BalanceNow } from '../../instruments/balance/balance.ts';
import { OVERLOADED, shownByJaws, type PanState, type Shown } from '../../instruments/balance/pan-state.ts';
import { useBalance } from '../../instruments/balance/use-balance.ts';
import { useShownByHand } from '../../instruments/balance/use-shown.ts';
import type { HeldState } from '../../instruments/held-state.ts';
import { moved } from '../../instruments/ruler/geometry.ts';
import { useSeen, type Seen, type Sight } from '../../instruments/sight.ts';
import { rightFloat, type ToolState } from '../../instruments/tool-state.ts';
import { apparentOnScale } from '../../instruments/upright/geometry.ts';
import { useNumerals } from '../../numbers/decimal-mark.ts';

const LEFT = { funnel: ' A funnel stands in its top.', bubble: ' There is a bubble of air in its tip.' } as const;

function inWords(picture: Picture, seen: Seen, tool: ToolState): string {
  const { left, float } = tool;
  switch (picture.kind) {
    case 'liquid-column':
      if (picture.handled === 'try' && float !== rightFloat(picture))
        return float === null
          ? `A jar of ${picture.liquid}; nothing floats in it yet.`
          : 'The surface lies nowhere on this one’s scale.';
      return `${columnInWords(picture, apparentOnScale(picture, seen))}${left === null ? '' : LEFT[left]}`;
    case 'ruler':
      return describeRuler(picture, moved(picture, seen) + aside(picture, seen));
    case 'caliper':
      return picture.handled === 'close'
        ? `${whatIsHeld(picture, tool.held)} ${describeCaliperAt(picture, seen.markAt + aside(picture, seen))}`
        : describeCaliper(picture, aside(picture, seen));
    case 'micrometer':
      return picture.handled === 'close'
        ? `${whatIsHeld(picture, tool.held)} ${describeMicrometerAt(picture, seen.markAt)}`
        : describeMicrometer(picture);
    case 'beams':
      return describePicture(picture);
    case 'display':
      return picture.jaws ? `It shows ${shownByJaws(tool.held, seen.markAt)}.` : describePicture(picture);
  }
}

function columnInWords(picture: LiquidColumnPicture, apparentY: number): string {
  if (picture.vessel === 'thermometer') return describeThread(picture, apparentY);
  return picture.marks.length === 1 ? describeRing(picture, apparentY) : describeColumn(picture, apparentY);
}

function whatIsHeld({ thing }: CaliperPicture | MicrometerPicture, { between, turned }: HeldState): string {
  return between
    ? `The ${thing.name} is between them${turned ? ', turned by a right angle' : ''}.`
    : 'Nothing is between them.';
}

function balanceInWords(picture: BeamPicture, { riderX, pointer, moving, vessel, thing, free }: BalanceNow): string {
  const hangs =
    picture.under === null || !thing
      ? ''
      : ` It hangs in the ${picture.under}, ${free ? 'free of the glass' : 'against the side of the beaker'}.`;
  const on = [
    ...(vessel && picture.vessel ? [`the ${picture.vessel.name}`] : []),
    ...(thing ? [`the ${picture.thing.name}`] : []),
  ];
  return `On the pan: ${on.length === 0 ? 'nothing' : on.join(' and ')}.${hangs} ${describeRiders(picture, riderX)} ${describePointer(pointer.at, moving)}`;
}

const AMISS: Readonly<Record<NonNullable<Weighables['spoilt']>['how'], string>> = {
  draught: ' The door of its shield is open.',
  'off-centre': ' What is on it lies near the rim of the pan.',
  wet: ' Drops cling to what is on it.',
  fingerprints: ' There are fingerprints on it.',
  touching: '',
};

function panInWords({ characters, stable }: Shown, { spoilt }: Weighables, pan: PanState, unit: string): string {
  const amiss = spoilt !== null && !pan.putRight && (pan.thing || spoilt.how === 'draught') ? AMISS[spoilt.how] : '';
  return `${whatIsShown({ characters, stable }, pan.on, unit)}${amiss}`;
}

function whatIsShown({ characters, stable }: Shown, on: boolean, unit: string): string {
  if (!on) return 'The balance is not switched on.';
  return characters === OVERLOADED
    ? 'It shows bars: more than it can take.'
    : `It shows ${characters} ${unit}${stable ? ', and its stability mark' : ', and has not settled'}.`;
}

/** A beam balance under somebody’s hands, in words. */
function BalanceDescribed({
  picture,
  balance,
}: {
  readonly picture: BeamPicture;
  readonly balance: Balance;
}): ReactNode {
  return useNumerals()(balanceInWords(picture, useBalance(balance)));
}

/** A digital balance under somebody’s hands, in words. */
function PanDescribed({
  picture,
  weighables,
  pan,
}: {
  readonly picture: DisplayPicture;
  readonly weighables: Weighables;
  readonly pan: PanState;
}): ReactNode {
  return useNumerals()(panInWords(useShownByHand(weighables, pan), weighables, pan, picture.unitMark));
}

interface DescribedProps {
  readonly picture: Picture;
  readonly sight: Sight;
  readonly tool: ToolState;
}

function Words({ picture, sight, tool }: DescribedProps): ReactNode {
  const numerals = useNumerals();
  const seen = useSeen(sight);
  if (picture.kind === 'beams' && picture.handled === 'weigh' && tool.balance)
    return <BalanceDescribed picture={picture} balance={tool.balance} />;
  if (picture.kind === 'display' && picture.weighables)
    return <PanDescribed picture={picture} weighables={picture.weighables} pan={tool.pan} />;
  return numerals(inWords(picture, seen, tool));
}

/** The picture in words a reading can be made from, as the eye now sees it. */
export default function Described(props: DescribedProps): ReactNode {
  return (
    <p className="mt-3 border-l-[3px] border-beam pl-4">
      <Words {...props} />
    </p>
  );
}
