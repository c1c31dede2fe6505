import { describeRiders, type BeamPicture } from '@green-beam/core';
import { useCallback, useId, useRef, type ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { Light } from '../light.tsx';
import { useDrag } from '../sight/drag.ts';
import type { Balance, BalanceNow } from './balance.ts';
import { barTop, beamX, letGo, type BalanceLayout } from './geometry.ts';
import { NOTCH } from './beams.tsx';
import { useWeighed } from './use-balance.ts';

interface RiderProps {
  readonly picture: BeamPicture;
  readonly rider: number;
  readonly layout: BalanceLayout;
  readonly balance: Balance;
}

interface ShownRiderProps extends RiderProps {
  /** The answer has come to what it counts. */
  readonly lit: boolean;
}

/** Half the width of a rider, in pixels: the largest counts most. */
const HALF = [15, 13, 11, 10] as const;

/** A cast rider; its tongue points at the line it stands at. `seated`: it has dropped into a notch. */
export function RiderBody({
  half,
  seated,
  lit = false,
}: {
  readonly half: number;
  readonly seated: boolean;
  readonly lit?: boolean;
}): ReactNode {
  const id = useId();
  return (
    <g transform={`translate(0 ${seated ? NOTCH : 0})`}>
      <Light id={id} names={['rider']} />
      <path
        d={`M${-half} -20Q${-half} -24 ${-half + 4} -24H${half - 4}Q${half} -24 ${half} -20V-7H4L0 0L-4 -7H${-half}Z`}
        fill={lit ? 'var(--color-beam)' : `url(#${id}-rider)`}
        stroke="#2c3d36"
        strokeWidth="1.3"
        strokeLinejoin="round"
      />
      <path d={`M${-half + 4} -20H${half - 4}`} stroke="#dfe4e1" strokeWidth="1.6" />
    </g>
  );
}

export function halfWidth(picture: BeamPicture, rider: number): number {
  return HALF[Math.min(HALF.length - 1, rider + HALF.length - picture.beams.length)] ?? 11;
}

/** Whether a rider stands in a notch; one that slides has none to stand in. */
export function isInNotch({ beams }: BeamPicture, rider: number, x: number): boolean {
  return (beams[rider]?.notches ?? []).some((notch) => Math.abs(notch - x) < 0.05);
}

/** A rider as the balance moves it. */
export function Rider({ picture, rider, layout, balance, lit }: ShownRiderProps): ReactNode {
  const body = useWeighed<SVGGElement>(
    balance,
    useCallback(
      ({ riderX }: BalanceNow) => {
        const x = riderX[rider] ?? 0;
        return {
          transform: `translate(${beamX(layout, x).toFixed(2)} ${barTop(layout, rider) + (isInNotch(picture, rider, x) ? NOTCH : 0)})`,
        };
      },
      [picture, rider, layout],
    ),
  );
  return (
    <g ref={body}>
      <RiderBody half={halfWidth(picture, rider)} seated={false} lit={lit} />
    </g>
  );
}

/** Parts of a line that keys move the sliding rider by. */
const PARTS = 10;

function nameOf({ beams }: BeamPicture, rider: number): string {
  const most = beams[rider]?.marks.at(-1)?.label ?? '';
  return beams[rider]?.notches.length === 0 ? `Sliding rider, to ${most}` : `Rider of the beam to ${most}`;
}

interface HandleProps extends RiderProps {
  readonly onRest: (rider: number, x: number) => void;
}

/** Where a rider is taken hold of: dragged along its beam, or moved by keys from notch to notch or by parts of a line. */
export function RiderHandle({ picture, rider, layout, balance, onRest }: HandleProps): ReactNode {
  const rail = useRef<SVGGElement>(null);
  const numerals = useNumerals();
  const beam = picture.beams[rider];
  const notches = beam?.notches ?? [];
  const [first, next] = [beam?.marks[0]?.x ?? 0, beam?.marks[1]?.x ?? 1];
  // Counted in notches, or in parts of a line.
  const unit = notches.length > 0 ? next - first : (next - first) / PARTS;
  const parts = useCallback((): number => (balance.now().riderX[rider] ?? 0) / unit, [balance, rider, unit]);
  const valueText = useCallback(
    ({ riderX }: BalanceNow): Record<string, string | number> => ({
      'aria-valuenow': Math.round((riderX[rider] ?? 0) / unit),
      'aria-valuetext': numerals(
        describeRiders({ ...picture, beams: beam ? [beam] : [] }, [riderX[rider] ?? 0]).replace(/^.*?, is /, ''),
      ),
      transform: `translate(${beamX(layout, riderX[rider] ?? 0).toFixed(2)} ${barTop(layout, rider)})`,
    }),
    [picture, beam, layout, rider, unit, numerals],
  );
  const grip = useWeighed<SVGGElement>(balance, valueText);
  const handlers = useDrag(rail, {
    disabled: false,
    at: parts,
    place: (x) => (x - beamX(layout, 0)) / layout.scale / unit,
    move: (to) => balance.moveRider(rider, to * unit),
    reach: (beam?.length ?? 0) / unit,
    page: notches.length > 0 ? 1 : 10 * PARTS,
    onRest: (to, by) => {
      const at = Math.min(beam?.length ?? 0, Math.max(0, to * unit));
      const x = by === 'drag' ? letGo(notches, at) : notches.length > 0 ? Math.round(at / unit) * unit : at;
      balance.moveRider(rider, x);
      onRest(rider, Number(x.toFixed(3)));
    },
  });
  return (
    <g ref={rail} {...handlers} className="cursor-ew-resize touch-none">
      <rect
        x={beamX(layout, 0) - 14}
        y={barTop(layout, rider) - 28}
        width={(beam?.length ?? 0) * layout.scale + 28}
        height="36"
        fill="transparent"
      />
      <g
        ref={grip}
        role="slider"
        tabIndex={0}
        aria-label={numerals(nameOf(picture, rider))}
        aria-valuemin={0}
        aria-valuemax={Math.round((beam?.length ?? 0) / unit)}
        className="outline-none [&:focus-visible_.halo]:opacity-100"
      >
        <rect
          className="halo opacity-0"
          x={-halfWidth(picture, rider) - 5}
          y="-29"
          width={2 * halfWidth(picture, rider) + 10}
          height="38"
          rx="6"
          fill="none"
          stroke="var(--color-beam)"
          strokeWidth="3"
        />
        <rect x="-22" y="-30" width="44" height="44" fill="transparent" />
      </g>
    </g>
  );
}
