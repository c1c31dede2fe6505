import { sentTowards, threadAt, type Thread } from '@green-beam/core';
import { useRef, type ReactNode } from 'react';
import type { ToolState } from '../../../instruments/tool-state.ts';
import type { HandledBy } from './handled-by.ts';
import { useMotion } from './use-motion.ts';

/** Nearer to its rest than this, in mm, a thread is not drawn any more. */
const AT_REST = 0.01;

const PLACES: readonly {
  readonly bulb: ToolState['bulb'];
  readonly deed: 'raise' | 'lower' | 'ground';
  readonly name: string;
}[] = [
  { bulb: 'air', deed: 'raise', name: 'in the air of the room' },
  { bulb: 'liquid', deed: 'lower', name: 'in the liquid' },
  { bulb: 'bottom', deed: 'ground', name: 'on the bottom' },
];

/** A thermometer: its bulb is lowered, and its thread takes its time. */
export function Bulb({ picture, sight, tool, change, note, closed }: HandledBy): ReactNode {
  const motion = useMotion(sight, closed);
  const thread = useRef<Thread | null>(null);
  const { startY, surfaceY, liquid } = picture;
  if (startY === null) return null;
  const put = (deed: 'raise' | 'lower' | 'ground', bulb: ToolState['bulb']): void => {
    if (bulb === tool.bulb) return;
    note(deed);
    change({ bulb });
    const began = performance.now();
    const rest = deed === 'raise' ? startY : surfaceY;
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
        {PLACES.map(({ bulb, deed, name }) => (
          <label key={bulb} className="flex min-h-11 items-center gap-2">
            <input
              type="radio"
              name="bulb"
              className="size-5 accent-beam"
              checked={tool.bulb === bulb}
              onChange={() => put(deed, bulb)}
            />
            {name === 'in the liquid' ? `in the ${liquid}` : name}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
