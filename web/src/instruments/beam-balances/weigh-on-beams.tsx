import type { BeamPicture } from '@green-beam/core';
import type { ReactNode } from 'react';
import type { Balance } from './balance.ts';
import { useLaden } from './use-balance.ts';
import { Button } from '../../ui/button.tsx';
import { NotePad } from '../note-pad.tsx';
import type { ControlsProps } from '../view.ts';

/** How far the zero screw can be turned either way, in units of the finest beam’s whole, and in how many steps. */
const SCREW = { reach: 1.2, steps: 120 } as const;

function wholeOf({ beams }: BeamPicture): number {
  return Number(beams.at(-1)?.marks.at(-1)?.label ?? 1) / 10;
}

type Props = ControlsProps<BeamPicture, Balance>;

function Loading({ picture, state: balance, note }: Pick<Props, 'picture' | 'state' | 'note'>): ReactNode {
  const { vessel, thing, free, screw } = useLaden(balance);
  const put = (what: 'vessel' | 'thing', on: boolean): void => {
    balance.put(what, on);
    note(on ? `put-${what}` : `take-${what}`);
  };
  const turn = (to: number): void => {
    balance.turnScrew(to);
    note('screw', Number(to.toFixed(4)));
  };
  const step = (wholeOf(picture) * SCREW.reach) / SCREW.steps;
  return (
    <>
      <div className="flex flex-wrap gap-2">
        {picture.vessel && (
          <Button look="plain" aria-pressed={vessel} onClick={() => put('vessel', !vessel)}>
            {vessel ? `Take the ${picture.vessel.name} off` : `Put the ${picture.vessel.name} on`}
          </Button>
        )}
        <Button look="plain" aria-pressed={thing} onClick={() => put('thing', !thing)}>
          {thing
            ? `Take the ${picture.thing.name} off`
            : picture.under === null
              ? `Put the ${picture.thing.name} ${vessel ? 'in' : 'on'}`
              : `Hang the ${picture.thing.name} into the ${picture.under}`}
        </Button>
        {picture.under !== null && (
          <Button
            look="quiet"
            disabled={!thing}
            onClick={() => {
              balance.hangFree();
              note('hang-free');
            }}
          >
            Hang it free of the glass
          </Button>
        )}
      </div>
      {picture.under !== null && thing && (
        <p className="text-small text-muted">
          {free ? 'It hangs in the middle of the beaker.' : 'It hangs close to the side of the beaker.'}
        </p>
      )}
      <label className="mt-2 flex min-h-11 items-center gap-3">
        <span className="shrink-0">Zero screw</span>
        <input
          type="range"
          min={-SCREW.steps}
          max={SCREW.steps}
          step={1}
          value={Math.round(screw / step)}
          onChange={(event) => turn(Number(event.target.value) * step)}
          className="h-11 w-full max-w-60 accent-beam"
          aria-valuetext={`turned ${Math.abs(Math.round(screw / step))} steps ${screw < 0 ? 'in' : 'out'}`}
        />
      </label>
    </>
  );
}

/** A beam balance: zeroed, laden, its riders moved until the pointer swings about its mark. */
export default function WeighOnBeams({ picture, state, note }: Props): ReactNode {
  return (
    <>
      <p className="text-small text-muted">
        {picture.laden
          ? 'The weighing has been started. Bring the pointer to its mark before you read.'
          : 'Check the zero, load the pan, and move the riders, the largest first.'}
      </p>
      <div className="mt-2">{!picture.laden && <Loading picture={picture} state={state} note={note} />}</div>
      <NotePad />
    </>
  );
}
