import type { LiquidColumnPicture } from '@green-beam/core';
import { useState, type ReactNode } from 'react';
import { Button } from '../../ui/button.tsx';
import { prefersStill } from '../../ui/prefers-still.ts';
import { useMotion, type Course } from '../sight/use-motion.ts';
import type { ControlsProps } from '../view.ts';
import type { BuretteState } from './burette-state.ts';

/** How long the tap is open and how long it drips after that, in ms; the last drops fall one by one. */
const RUNNING = 1800;
const DRIPPING = 2000;
const DROPS = 5;
/** Part of the way that the drops make. */
const BY_DROPS = 0.06;

/** A surface that falls from a start to an end: running at first, then by single drops. */
function outflow(startY: number, surfaceY: number): Course {
  const way = surfaceY - startY;
  return (elapsed) => {
    if (elapsed < RUNNING) return { at: startY + way * (1 - BY_DROPS) * (elapsed / RUNNING), last: false };
    const fallen = Math.min(DROPS, Math.floor(((elapsed - RUNNING) / DRIPPING) * DROPS));
    return { at: startY + way * (1 - BY_DROPS + (BY_DROPS * fallen) / DROPS), last: elapsed >= RUNNING + DRIPPING };
  };
}

const NOTHING = 'There is nothing there.';

/** A burette or a graduated pipette: looked over, its start read, then let run. */
export default function Tap({
  picture,
  sight,
  state,
  change,
  note,
  closed,
}: ControlsProps<LiquidColumnPicture, BuretteState>): ReactNode {
  const motion = useMotion(sight, closed);
  const [run, setRun] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  const { startY, surfaceY, vessel } = picture;
  if (startY === null) return null;
  const set = (part: Partial<BuretteState>): void => change((now) => ({ ...now, ...part }));
  const burette = vessel === 'burette';
  const open = (): void => {
    note('drain');
    setRun(true);
    setSaid(null);
    if (prefersStill()) {
      sight.moveMark(surfaceY);
      return;
    }
    set({ dripping: true });
    motion.run(outflow(startY, surfaceY), () => set({ dripping: false }));
  };
  const refill = (): void => {
    motion.stop();
    note('refill');
    set({ dripping: false });
    sight.moveMark(startY);
    setRun(false);
  };
  const clear = (kind: 'clear-top' | 'free-tip', what: 'funnel' | 'bubble', done: string): void => {
    note(kind);
    setSaid(state.left === what ? done : NOTHING);
    if (state.left === what) set({ left: null });
  };
  return (
    <>
      <div className="flex flex-wrap items-center gap-3">
        <Button look="plain" onClick={open} disabled={run}>
          {burette ? 'Open the tap' : 'Let it run'}
        </Button>
        {run ? (
          <Button look="quiet" onClick={refill}>
            Fill up again
          </Button>
        ) : (
          <p className="text-small text-muted">
            {burette
              ? 'Check the burette and read the start. Then open the tap.'
              : 'Read the start. Then open the tap.'}
          </p>
        )}
      </div>
      {burette && !run && (
        <div className="-ml-2 flex flex-wrap">
          <Button look="quiet" onClick={() => clear('clear-top', 'funnel', 'The funnel is out.')}>
            Clear the top
          </Button>
          <Button
            look="quiet"
            onClick={() => clear('free-tip', 'bubble', 'The air is out, and the burette is full again.')}
          >
            Run the tip free
          </Button>
        </div>
      )}
      <p role="status" className="text-small text-muted">
        {said}
      </p>
    </>
  );
}
