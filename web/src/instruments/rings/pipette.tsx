import type { LiquidColumnPicture } from '@green-beam/core';
import { useEffect, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { Button } from '../../ui/button.tsx';
import { prefersStill } from '../../ui/prefers-still.ts';
import { useMotion } from '../sight/use-motion.ts';
import type { ControlsProps } from '../view.ts';

/** How far above the ring it is filled, in mm, how fast it is let down, in mm per ms, and how far one drop lets it down. */
const ABOVE = 26;
const SPEED = 0.011;
const DROP = 0.4;
const FILLING = 1500;
const DELIVERING = 2400;
/** The wait against the wall, shortened, in ms. */
const DRAINING = 3000;

type Stage = 'empty' | 'filled' | 'delivered' | 'drained' | 'done';

/** A volumetric pipette: filled above its ring, wiped, let down to the ring, delivered, and given time. */
export default function Pipette({ picture, sight, note, closed }: ControlsProps<LiquidColumnPicture, null>): ReactNode {
  const motion = useMotion(sight, closed);
  const [stage, setStage] = useState<Stage>('empty');
  const [wiped, setWiped] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  const { surfaceY, startY } = picture;
  const emptyAt = startY ?? surfaceY;
  useEffect(() => {
    if (stage !== 'delivered') return undefined;
    const timer = setTimeout(() => {
      note('drained');
      setStage('drained');
    }, DRAINING);
    return () => clearTimeout(timer);
  }, [stage, note]);

  const straight = (to: number, time: number, onEnd: () => void): void => {
    const from = sight.seen().markAt;
    motion.run((elapsed) => ({ at: from + (to - from) * Math.min(1, elapsed / time), last: elapsed >= time }), onEnd);
    if (!prefersStill()) return;
    motion.stop();
    sight.moveMark(to);
    onEnd();
  };
  const fill = (): void => {
    note('fill', ABOVE);
    setWiped(false);
    setSaid(null);
    straight(surfaceY - ABOVE, FILLING, () => setStage('filled'));
  };
  const letDown = (): void => {
    const from = sight.seen().markAt;
    motion.run((elapsed) => ({
      at: Math.min(emptyAt, from + SPEED * elapsed),
      last: from + SPEED * elapsed >= emptyAt,
    }));
  };
  const stop = (): void => {
    motion.stop();
    note('let-down', Number((surfaceY - sight.seen().markAt).toFixed(2)));
  };
  const drop = (): void => {
    sight.moveMark(Math.min(emptyAt, sight.seen().markAt + DROP));
    stop();
  };
  const deliver = (): void => {
    note('deliver');
    straight(emptyAt - 3, DELIVERING, () => setStage('delivered'));
  };
  const end = (kind: 'take-away' | 'blow'): void => {
    note(kind);
    if (kind === 'blow') sight.moveMark(emptyAt);
    setSaid(kind === 'blow' ? 'The last drop was blown out.' : 'The last drop stays in the tip.');
    setStage('done');
  };
  const held = {
    onPointerDown: (event: PointerEvent<HTMLButtonElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      letDown();
    },
    onPointerUp: stop,
    onPointerCancel: stop,
    onKeyDown: (event: KeyboardEvent) => {
      if ((event.key !== ' ' && event.key !== 'Enter') || event.repeat) return;
      event.preventDefault();
      letDown();
    },
    onKeyUp: (event: KeyboardEvent) => {
      if (event.key === ' ' || event.key === 'Enter') stop();
    },
  };
  return (
    <>
      <div className="flex flex-wrap items-center gap-3">
        {(stage === 'empty' || stage === 'done') && (
          <Button look="plain" onClick={fill}>
            {stage === 'empty' ? 'Fill it above the ring' : 'Fill it again'}
          </Button>
        )}
        {stage === 'filled' && (
          <>
            <Button
              look="plain"
              aria-pressed={wiped}
              onClick={() => {
                note('wipe');
                setWiped(true);
              }}
            >
              {wiped ? 'Wiped' : 'Wipe the outside'}
            </Button>
            <Button look="plain" className="touch-none" {...held}>
              Hold to let it down
            </Button>
            <Button look="plain" onClick={drop}>
              One drop
            </Button>
            <Button look="plain" onClick={deliver}>
              Deliver
            </Button>
            <Button look="quiet" onClick={fill}>
              Fill it again
            </Button>
          </>
        )}
        {(stage === 'delivered' || stage === 'drained') && (
          <>
            <Button look="plain" onClick={() => end('take-away')}>
              Take it away
            </Button>
            <Button look="plain" onClick={() => end('blow')}>
              Blow out the last drop
            </Button>
          </>
        )}
      </div>
      <p role="status" className="mt-1 text-small text-muted">
        {stage === 'delivered'
          ? 'The tip leans against the wall. The film inside still runs down.'
          : stage === 'drained'
            ? 'It has stopped running.'
            : (said ?? (stage === 'filled' ? 'Level your eye and bring the surface to the ring.' : ''))}
      </p>
    </>
  );
}
