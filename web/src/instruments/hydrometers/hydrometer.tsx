import { useCallback, useId, useMemo, type ReactNode } from 'react';
import type { Sight } from '../sight/sight.ts';
import { useDrawn, type Drawn } from '../sight/use-drawn.ts';
import { apparentY, contactRing } from '../upright/geometry.ts';
import { Light } from '../light.tsx';
import { tintOf } from '../upright/tints.ts';
import type { Upright, View } from '../upright/look.ts';

interface FloatProps {
  readonly picture: Upright;
  readonly view: View;
  readonly weight?: number;
}

/** Half the width of the vessel the float swims in, in pixels of the view. */
const VESSEL = 206;
/** Thickness of its wall, in pixels of the view. */
const WALL = 9;

/** The stem with the paper scale in it. */
export function FloatStem({ picture, view, weight = 1 }: FloatProps): ReactNode {
  const id = useId();
  const half = (picture.bore / 2) * view.scale;
  return (
    <>
      <Light id={id} names={['enamel']} />
      <rect x={-half} width={2 * half} height={view.height} fill={`url(#${id}-enamel)`} />
      {[-half, half].map((x) => (
        <line key={x} x1={x} x2={x} y2={view.height} stroke="#6d8078" strokeWidth={1.4 * weight} />
      ))}
    </>
  );
}

/** The liquid around a stem: level away from it, climbing at the glass, with the level’s far and near edges apart when the eye is off it. */
export function LiquidAround({ picture, view, sight, weight = 1 }: FloatProps & { readonly sight: Sight }): ReactNode {
  const id = useId();
  const half = (picture.bore / 2) * view.scale;
  const tint = tintOf(picture.liquid);
  const { body, line } = useMemo(() => {
    const right = picture.profile
      .map(([d, z]): [number, number] => [half + d * view.scale, -z * view.scale])
      .filter(([x]) => x < VESSEL);
    const last = right.at(-1) ?? [half, 0];
    const far: [number, number][] = [...right, [VESSEL, last[1]]];
    const draw = (points: readonly (readonly [number, number])[]): string =>
      points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(2)} ${y.toFixed(2)}`).join('');
    const mirrored = far.map(([x, y]): [number, number] => [-x, y]).reverse();
    return {
      body: `${draw([...mirrored, ...far])}V${2.5 * view.height}H${-VESSEL}Z`,
      line: `${draw(far)}${draw(mirrored)}`,
    };
  }, [picture, view, half]);
  const around = useDrawn<SVGGElement>(
    sight,
    useCallback(
      (seen): Drawn => ({
        transform: `translate(0 ${((apparentY(picture, seen) - view.topY) * view.scale).toFixed(2)})`,
      }),
      [picture, view],
    ),
  );
  const ring = useDrawn<SVGEllipseElement>(
    sight,
    useCallback(
      (seen): Drawn => {
        const { cy, rx, ry } = contactRing(picture, view, seen);
        return { cy: cy.toFixed(2), rx, ry: Math.max(0.5, ry).toFixed(2) };
      },
      [picture, view],
    ),
  );
  return (
    <>
      <Light id={id} names={['round', 'glass']} />
      {([-1, 1] as const).map((side) => (
        <g key={side}>
          <rect x={side > 0 ? VESSEL : -VESSEL - WALL} width={WALL} height={view.height} fill={`url(#${id}-glass)`} />
          {[VESSEL, VESSEL + WALL].map((x) => (
            <line key={x} x1={side * x} x2={side * x} y2={view.height} stroke="#8ba096" strokeWidth={weight} />
          ))}
        </g>
      ))}
      <g ref={around}>
        <path d={body} fill={tint} fillOpacity="0.3" />
        <path d={body} fill={`url(#${id}-round)`} fillOpacity="0.7" />
        <path
          d={line}
          fill="none"
          stroke="var(--color-curve)"
          strokeWidth={2.2 * weight}
          strokeOpacity="0.85"
          strokeLinejoin="round"
        />
      </g>
      <ellipse ref={ring} cx="0" fill="none" stroke="#1d5673" strokeOpacity="0.75" strokeWidth={1.4 * weight} />
    </>
  );
}
