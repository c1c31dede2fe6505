import type { ActionKind, BeamPicture, RevealStep } from '@green-beam/core';
import { useCallback, useEffect, useMemo, useState, type ReactNode } from 'react';
import { useTyping } from '../../ui/typing.ts';
import { useNarrow } from '../../ui/use-narrow.ts';
import { LookedAt } from '../looked-at.tsx';
import { Layer, Stage } from '../layers.tsx';
import type { StageProps } from '../view.ts';
import { createBalance, standing, type Balance, type BalanceNow } from './balance.ts';
import { Beams, Stand } from './beams.tsx';
import { NARROW, PER_DIVISION, TYPED, WIDE, type BalanceLayout } from './geometry.ts';
import { PointerGlass, Rims, SlidingGlass } from './glasses.tsx';
import { Pan, Platform } from './pan.tsx';
import { Rider, RiderHandle } from './rider.tsx';
import { useLaden, useWeighed } from './use-balance.ts';

interface MovingProps {
  readonly picture: BeamPicture;
  readonly layout: BalanceLayout;
  readonly balance: Balance;
}

/** Whether the answer has come to the riders in their notches, or to the sliding one. */
function isRead(steps: readonly RevealStep[], sliding: boolean): boolean {
  return steps.some(({ kind }) => kind === (sliding ? 'marks' : 'label'));
}

/** The beams turn as one, about the knife edge; only that layer is moved. */
function Tilting({
  picture,
  layout,
  balance,
  steps,
}: MovingProps & { readonly steps: readonly RevealStep[] }): ReactNode {
  const { box, pivot } = layout;
  const layer = useWeighed<HTMLDivElement>(
    balance,
    useCallback(({ pointer }: BalanceNow) => ({ turned: `rotate(${(-PER_DIVISION * pointer.at).toFixed(3)}deg)` }), []),
  );
  return (
    <div
      ref={layer}
      className="pointer-events-none absolute inset-0 [will-change:transform]"
      style={{
        transformOrigin: `${((100 * pivot.x) / box.width).toFixed(3)}% ${((100 * pivot.y) / box.height).toFixed(3)}%`,
      }}
    >
      <svg viewBox={`0 0 ${box.width} ${box.height}`} className="absolute inset-0 block h-full w-full overflow-visible">
        <Beams picture={picture} layout={layout} />
        {picture.beams.map((_, i) => (
          <Rider
            key={i}
            picture={picture}
            rider={i}
            layout={layout}
            balance={balance}
            lit={isRead(steps, i === picture.beams.length - 1)}
          />
        ))}
      </svg>
    </div>
  );
}

/** The pan goes up and down with the arm’s end. */
function Laden({ picture, layout, balance }: MovingProps): ReactNode {
  const { box } = layout;
  const perDivision = (picture.arm * layout.scale * PER_DIVISION * Math.PI) / 180;
  const layer = useWeighed<HTMLDivElement>(
    balance,
    useCallback(
      ({ pointer }: BalanceNow) => ({
        turned: `translateY(${((100 * perDivision * pointer.at) / box.height).toFixed(3)}%)`,
      }),
      [perDivision, box],
    ),
  );
  const { vessel, thing, free } = useLaden(balance);
  return (
    <div ref={layer} className="pointer-events-none absolute inset-0 [will-change:transform]">
      <svg viewBox={`0 0 ${box.width} ${box.height}`} className="absolute inset-0 block h-full w-full overflow-visible">
        <Pan picture={picture} layout={layout} vessel={vessel} thing={thing} free={free} />
      </svg>
    </div>
  );
}

function useLayout(typing: boolean): BalanceLayout {
  const narrow = useNarrow();
  return typing ? TYPED : narrow ? NARROW : WIDE;
}

/** A beam balance: the whole of it, its sliding rider and its pointer under glasses; its riders can be moved where it is weighed by hand. */
export default function BeamStage({
  picture,
  name,
  state,
  handling,
  closed = false,
  rightPath = [],
}: StageProps<BeamPicture, Balance>): ReactNode {
  const typing = useTyping();
  const layout = useLayout(typing);
  const [view, setView] = useState(0);
  const looked = useMemo(() => createBalance(picture, standing(picture, view), true), [picture, view]);
  const balance = picture.handled === 'weigh' ? state : looked;
  const steps = view === 0 ? rightPath : [];
  const byHand = handling !== undefined && picture.handled === 'weigh';
  const noteRider = (rider: number, x: number): void => handling?.note(`rider-${rider + 1}` as ActionKind, x);
  useEffect(() => {
    if (!closed) return;
    setView(0);
    if (byHand) balance.settle();
  }, [closed, byHand, balance]);
  return (
    <>
      <Stage
        box={layout.box}
        part={typing ? { from: 4, to: layout.glass.y + layout.glass.height + 4 } : undefined}
        label={`${name}. Choose “In words” for a description.`}
      >
        <Layer box={layout.box}>
          <Stand picture={picture} layout={layout} />
          <Platform picture={picture} layout={layout} />
          {!typing && (
            <>
              <text x="12" y="22" fontSize="15" fill="var(--color-muted)">
                {name}
              </text>
              <text x={layout.glass.x} y={layout.glass.y - 10} fontSize="15" fill="var(--color-muted)">
                under the glass: the sliding rider
              </text>
              <text x={layout.pointer.x} y={layout.pointer.y - 10} fontSize="15" fill="var(--color-muted)">
                pointer
              </text>
            </>
          )}
        </Layer>
        <Laden picture={picture} layout={layout} balance={balance} />
        <Tilting picture={picture} layout={layout} balance={balance} steps={steps} />
        <SlidingGlass picture={picture} layout={layout} balance={balance} lit={isRead(steps, true)} />
        <PointerGlass picture={picture} layout={layout} balance={balance} />
        <Layer box={layout.box}>
          <Rims layout={layout} />
        </Layer>
        {byHand && !closed && (
          <Layer box={layout.box} touched>
            {picture.beams.map((_, i) => (
              <RiderHandle key={i} picture={picture} rider={i} layout={layout} balance={balance} onRest={noteRider} />
            ))}
          </Layer>
        )}
      </Stage>
      <LookedAt
        views={picture.views.map(({ caption }) => `with ${caption} on the pan`)}
        shown={view}
        onChange={setView}
      />
    </>
  );
}
