import { useCallback, useId, useMemo, type ReactNode } from 'react';
import type { Sight } from '../sight/sight.ts';
import { useDrawn, type Drawn } from '../sight/use-drawn.ts';
import { apparentY, climbingFilm, contactRing, EYE_RANGE, liquidOutline, radiusAt, rise } from './geometry.ts';
import { Light } from '../light.tsx';
import { tintOf } from './tints.ts';
import type { Upright, View } from './look.ts';

interface GlassProps {
  readonly picture: Upright;
  readonly view: View;
  readonly weight?: number;
}

/** Heights between which a wall is drawn, as far as a moving eye brings them into the view: straight ones need two, sloping ones more. */
function heights(picture: Upright, view: View): number[] {
  const { outline, floorY, look } = picture;
  const room = look.endsAtFloor ? rise(picture, { height: EYE_RANGE }, picture.eye.gap) : 0;
  const [top, bottom] = [
    Math.max(0, view.topY - room),
    Math.min(look.endsAtFloor ? floorY : Infinity, view.topY + view.height / view.scale + room),
  ];
  return [
    top,
    ...outline
      .map(([y]) => y)
      .filter((y) => y > top && y < bottom)
      .sort((a, b) => a - b),
    bottom,
  ];
}

/** Half the inner width from the top of what is drawn to its bottom, in pixels: [half width, height]. */
function walls(picture: Upright, view: View): [number, number][] {
  return heights(picture, view).map((y) => [radiusAt(picture, y) * view.scale, (y - view.topY) * view.scale]);
}

function path(points: readonly (readonly [number, number])[]): string {
  return points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(2)} ${y.toFixed(2)}`).join('');
}

/** The glass itself: the air in it, and its walls. The axis is at x = 0. */
export function Glass({ picture, view, weight = 1 }: GlassProps): ReactNode {
  const id = useId();
  const inside = walls(picture, view);
  const thick = picture.wall * view.scale;
  const [floor, base] = inside.at(-1) ?? [0, view.height];
  const hasFloor = picture.look.endsAtFloor && base >= (picture.floorY - view.topY) * view.scale - 1;
  const side = (sign: 1 | -1): string =>
    `${path([...inside.map(([x, y]) => [sign * x, y] as const), ...inside.toReversed().map(([x, y]) => [sign * (x + thick), y] as const)])}Z`;
  return (
    <>
      <Light id={id} names={['air', 'glass']} />
      <path
        d={`${path([...inside.map(([x, y]) => [-x, y] as const), ...inside.toReversed()])}Z`}
        fill={`url(#${id}-air)`}
      />
      {hasFloor && (
        <path
          d={`M${-floor - thick} ${base}H${floor + thick}V${base + thick}H${-floor - thick}Z`}
          fill="#d5dfd8"
          stroke="#6d8078"
          strokeWidth={1.4 * weight}
        />
      )}
      {([-1, 1] as const).map((sign) => (
        <g key={sign}>
          <path d={side(sign)} fill={`url(#${id}-glass)`} />
          <path
            d={path(inside.map(([x, y]) => [sign * (x + thick), y]))}
            fill="none"
            stroke="#6d8078"
            strokeWidth={1.4 * weight}
          />
        </g>
      ))}
    </>
  );
}

interface LiquidProps extends GlassProps {
  readonly sight: Sight;
}

/** The liquid in a tube or a cup, moved and opened as the eye sees it. */
export function Liquid({ picture, view, sight, weight = 1 }: LiquidProps): ReactNode {
  const id = useId();
  const { body, curve } = useMemo(() => liquidOutline(picture, view), [picture, view]);
  const column = useDrawn<SVGGElement>(
    sight,
    useCallback(
      (seen): Drawn => ({
        transform: `translate(0 ${((apparentY(picture, seen) - view.topY) * view.scale).toFixed(2)})`,
      }),
      [picture, view],
    ),
  );
  const film = useDrawn<SVGPathElement>(
    sight,
    useCallback((seen): Drawn => ({ d: climbingFilm(picture, view, seen, curve) }), [picture, view, curve]),
  );
  const ring = useDrawn<SVGEllipseElement>(
    sight,
    useCallback(
      (seen): Drawn => {
        const { cy, rx, ry } = contactRing(picture, view, seen);
        return {
          cy: cy.toFixed(2),
          rx,
          ry: ry.toFixed(2),
          visibility: ry > 0.4 ? 'visible' : 'hidden',
          ...(seen.height > 0 ? { fill: '#ffffff', 'fill-opacity': 0.28 } : { fill: '#0d3247', 'fill-opacity': 0.12 }),
        };
      },
      [picture, view],
    ),
  );
  const [middle, wall] = [picture.profile[0]?.[1] ?? 0, picture.profile.at(-1)?.[1] ?? 0];
  const tint = tintOf(picture.liquid);
  return (
    <>
      <Light id={id} names={['round']} />
      <g ref={column}>
        {wall > middle && <path ref={film} fill={tint} fillOpacity={picture.opaque ? 0.96 : 0.2} />}
        <path d={body} fill={tint} fillOpacity={picture.opaque ? 0.96 : 0.4} />
        <path d={body} fill={`url(#${id}-round)`} />
        {!picture.opaque && (
          <path
            d={curve}
            fill="none"
            stroke="var(--color-curve)"
            strokeWidth={2.2 * weight}
            strokeOpacity="0.85"
            strokeLinecap="round"
          />
        )}
      </g>
      <ellipse ref={ring} cx="0" stroke="#1d5673" strokeOpacity="0.55" strokeWidth={1.2 * weight} />
    </>
  );
}
