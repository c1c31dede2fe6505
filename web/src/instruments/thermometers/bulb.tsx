import { sentTowards, threadAt, type LiquidColumnPicture, type Thread } from '@green-beam/core';
import { useRef, type ReactNode } from 'react';
import { useMotion } from '../sight/use-motion.ts';
import type { ControlsProps } from '../view.ts';
import type { Bulb } from './bulb-place.ts';

/** Nearer to its rest than this, in mm, a thread is not drawn any more. */
const AT_REST = 0.01;

type Move = 'raise' | 'lower' | 'ground';

const PLACES: readonly { readonly bulb: Bulb; readonly action: Move; readonly name: string }[] = [
  { bulb: 'air', action: 'raise', name: 'in the air of the room' },
  { bulb: 'liquid', action: 'lower', name: 'in the liquid' },
  { bulb: 'bottom', action: 'ground', name: 'on the bottom' },
];

/** A thermometer: its bulb is lowered, and its thread takes its time. */
export default function BulbControls({
  picture,
  sight,
  state,
  change,
  note,
  closed,
}: ControlsProps<LiquidColumnPicture, Bulb>): ReactNode {
  const motion = useMotion(sight, closed);
  const thread = useRef<Thread | null>(null);
  const { startY, surfaceY, liquid } = picture;
  if (startY === null) return null;
  const put = (action: Move, bulb: Bulb): void => {
    if (bulb === state) return;
    note(action);
    change(() => bulb);
    const began = performance.now();
    const rest = action === 'raise' ? startY : surfaceY;
    const sent = sentTowards(thread.current ?? { stood: startY, towards: startY, since: began }, rest, began);
    thread.current = sent;
    motion.run((elapsed) => {
      const at = threadAt(sent, began + elapsed);
      const last = Math.abs(at - rest) < AT_REST;
      return { at: last ? rest : at, last };
    });
  };
  return (
    <fieldset>
      <legend className="text-small text-muted">The bulb is</legend>
      <div className="flex flex-wrap gap-x-5">
        {PLACES.map(({ bulb, action, name }) => (
          <label key={bulb} className="flex min-h-11 items-center gap-2">
            <input
              type="radio"
              name="bulb"
              className="size-5 accent-beam"
              checked={state === bulb}
              onChange={() => put(action, bulb)}
            />
            {name === 'in the liquid' ? `in the ${liquid}` : name}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
