import { describePicture, type DisplayPicture, type Weighables } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import type { Shown } from '../display/shown.ts';
import type { WordsProps } from '../view.ts';
import { OVERLOADED, type PanState } from './pan-state.ts';
import { useShownByHand } from './use-shown-by-hand.ts';

const AMISS: Readonly<Record<NonNullable<Weighables['spoilt']>['how'], string>> = {
  draught: ' The door of its shield is open.',
  'off-centre': ' The load is near the rim of the pan.',
  wet: ' There are drops of water on the load.',
  fingerprints: ' There are fingerprints on it.',
  touching: '',
};

function whatIsShown({ characters, stable }: Shown, on: boolean, unit: string): string {
  if (!on) return 'The balance is not switched on.';
  return characters === OVERLOADED
    ? 'It shows bars: the load is too heavy.'
    : `It shows ${characters} ${unit}${stable ? ', and its stability mark' : ', and has not settled'}.`;
}

function panInWords(shown: Shown, { spoilt }: Weighables, pan: PanState, unit: string): string {
  const amiss = spoilt !== null && !pan.putRight && (pan.thing || spoilt.how === 'draught') ? AMISS[spoilt.how] : '';
  return `${whatIsShown(shown, pan.on, unit)}${amiss}`;
}

interface PanWordsProps {
  readonly weighables: Weighables;
  readonly pan: PanState;
  readonly unit: string;
}

/** A balance under somebody’s hands, in words. */
function PanWords({ weighables, pan, unit }: PanWordsProps): ReactNode {
  return useNumerals()(panInWords(useShownByHand(weighables, pan), weighables, pan, unit));
}

/** A digital balance in words: as it is looked at, or under somebody’s hands. */
export default function DigitalBalanceWords({ picture, state }: WordsProps<DisplayPicture, PanState>): ReactNode {
  const numerals = useNumerals();
  const { weighables, unitMark } = picture;
  if (weighables) return <PanWords weighables={weighables} pan={state} unit={unitMark} />;
  return numerals(describePicture(picture));
}
