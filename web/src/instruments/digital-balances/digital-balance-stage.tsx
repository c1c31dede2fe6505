import type { DisplayPicture, Weighables } from '@green-beam/core';
import type { ReactNode } from 'react';
import { DisplayStage } from '../display/display-stage.tsx';
import type { StageProps } from '../view.ts';
import { DigitalBody } from './digital-body.tsx';
import type { PanState } from './pan-state.ts';
import { useShownByHand } from './use-shown-by-hand.ts';

interface ByHandProps {
  readonly picture: DisplayPicture;
  readonly weighables: Weighables;
  readonly pan: PanState;
}

/** A balance that is weighed with by hand. */
function ByHand({ picture, weighables, pan }: ByHandProps): ReactNode {
  return (
    <DigitalBody
      picture={picture}
      shown={useShownByHand(weighables, pan)}
      vessel={pan.vessel}
      thing={pan.thing}
      putRight={pan.putRight}
    />
  );
}

const TYPED = { from: 284, to: 420 };

/** A digital balance: weighed with by hand, or looked at as it is laden. */
export default function DigitalBalanceStage({
  picture,
  name,
  state: pan,
  handling,
  closed = false,
}: StageProps<DisplayPicture, PanState>): ReactNode {
  const { weighables } = picture;
  const byHand = weighables !== null && handling && !closed;
  return (
    <DisplayStage
      picture={picture}
      name={name}
      closed={closed}
      typed={TYPED}
      viewNamed={(caption) => `with ${caption} on the pan`}
      looked={(view, shown) => (
        <DigitalBody
          picture={picture}
          shown={shown}
          vessel={/ with | alone$/.test(picture.views[view]?.caption ?? '')}
          thing={view === 0}
          putRight
        />
      )}
    >
      {byHand && <ByHand picture={picture} weighables={weighables} pan={pan} />}
    </DisplayStage>
  );
}
