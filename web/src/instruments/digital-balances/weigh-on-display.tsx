import { PUTS_RIGHT, settlesFrom, type ActionKind, type DisplayPicture, type Weighables } from '@green-beam/core';
import type { ReactNode } from 'react';
import { pressing, type PanState } from './pan-state.ts';
import { Button } from '../../ui/button.tsx';
import { NotePad } from '../note-pad.tsx';
import type { ControlsProps } from '../view.ts';

/** What can be done before reading; what was not amiss stays as it is. */
const CARE: readonly { readonly action: ActionKind; readonly name: string; readonly fineOnly: boolean }[] = [
  { action: 'dry', name: 'Dry it', fineOnly: false },
  { action: 'centre', name: 'Move it to the middle', fineOnly: false },
  { action: 'clean', name: 'Wipe it with a cloth', fineOnly: false },
  { action: 'shield', name: 'Close the shield', fineOnly: true },
];

type Props = ControlsProps<DisplayPicture, PanState>;

function Keys({
  weighables,
  picture,
  state: pan,
  change,
  note,
}: Props & { readonly weighables: Weighables }): ReactNode {
  const set = (part: Partial<PanState>): void => change((now) => ({ ...now, ...part }));
  const put = (what: 'vessel' | 'thing', on: boolean): void => {
    const next = { ...pan, [what]: on };
    const way = Math.abs(pressing(weighables, next) - pressing(weighables, pan));
    set({ [what]: on, changed: { at: performance.now(), away: settlesFrom({ division: 1 }, way) } });
    note(on ? `put-${what}` : `take-${what}`);
  };
  const fine = picture.instrumentId === 'digital-balance-milligram';
  const mend = (action: ActionKind): void => {
    note(action);
    const { spoilt } = weighables;
    if (spoilt && PUTS_RIGHT[spoilt.how] === action)
      set({ putRight: true, changed: pan.thing ? { at: performance.now(), away: -spoilt.digits } : pan.changed });
  };
  return (
    <>
      <div className="flex flex-wrap gap-2">
        <Button
          look="plain"
          aria-pressed={pan.on}
          onClick={() => {
            note('switch-on');
            set({ on: true, tare: 0 });
          }}
          disabled={pan.on}
        >
          Switch on
        </Button>
        <Button
          look="plain"
          disabled={!pan.on}
          onClick={() => {
            note('tare');
            set({ tare: pressing(weighables, pan) });
          }}
        >
          Tare
        </Button>
        {weighables.vessel && (
          <Button look="plain" aria-pressed={pan.vessel} onClick={() => put('vessel', !pan.vessel)}>
            {pan.vessel ? `Take the ${weighables.vessel.name} off` : `Put the ${weighables.vessel.name} on`}
          </Button>
        )}
        <Button look="plain" aria-pressed={pan.thing} onClick={() => put('thing', !pan.thing)}>
          {pan.thing
            ? `Take the ${weighables.thing.name} off`
            : `Put the ${weighables.thing.name} ${pan.vessel ? 'in' : 'on'}`}
        </Button>
      </div>
      <div className="mt-1 -mx-2 flex flex-wrap">
        {CARE.filter(({ fineOnly }) => fine || !fineOnly).map(({ action, name }) => (
          <Button key={action} look="quiet" onClick={() => mend(action)}>
            {name}
          </Button>
        ))}
      </div>
    </>
  );
}

/** A digital balance: switched on, tared, laden, waited for. */
export default function WeighOnDisplay(props: Props): ReactNode {
  const { weighables, handled: how } = props.picture;
  if (!weighables)
    return how === 'settle' ? <p className="text-small text-muted">The load was put on a moment ago.</p> : null;
  return (
    <>
      <p className="text-small text-muted">Check the balance and the thing, then weigh it.</p>
      <div className="mt-2">
        <Keys weighables={weighables} {...props} />
      </div>
      <NotePad />
    </>
  );
}
