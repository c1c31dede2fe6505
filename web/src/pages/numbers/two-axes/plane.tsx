import { scaleLinear } from 'd3-scale';
import { useRef, type PointerEvent, type ReactNode } from 'react';
import { BottomAxis, LeftAxis } from '../../../charts/axis.tsx';
import { useWidth } from '../../../charts/use-width.ts';
import { BOUNDS, within, type Reader } from './readings.ts';

const HEIGHT = 360;
const LEFT = 56;
const SIDE = 24;
const TOP = 34;
const FOOT = 56;
/** What can be taken hold of is so large, in pixels. */
const HOLD = 22;

interface PlaneProps {
  readonly reader: Reader;
  readonly onChange: (changed: Partial<Reader>) => void;
}

type Held = 'mark' | 'tolerance';

/** Bias to the side, scatter upward: the tool is a mark that is dragged, and its tolerance a box whose edge is dragged. */
export function Plane({ reader, onChange }: PlaneProps): ReactNode {
  const { ref, width } = useWidth<HTMLDivElement>(560);
  const drawn = useRef<SVGSVGElement>(null);
  const held = useRef<Held | null>(null);
  const base = HEIGHT - FOOT;
  const x = scaleLinear()
    .domain([BOUNDS.bias.least * 1.1, BOUNDS.bias.most * 1.1])
    .range([LEFT, Math.max(LEFT + 60, width - SIDE)]);
  const y = scaleLinear()
    .domain([0, BOUNDS.scatter.most * 1.1])
    .range([base, TOP]);
  const { bias, scatter, tolerance } = reader;
  const hold =
    (what: Held) =>
    (event: PointerEvent<SVGElement>): void => {
      held.current = what;
      drawn.current?.setPointerCapture(event.pointerId);
      event.preventDefault();
    };
  const move = (event: PointerEvent<SVGSVGElement>): void => {
    const box = drawn.current?.getBoundingClientRect();
    if (held.current === null || !box) return;
    const at = [x.invert(event.clientX - box.left), y.invert(event.clientY - box.top)] as const;
    if (held.current === 'tolerance') onChange({ tolerance: within(Math.abs(at[0]), BOUNDS.tolerance) });
    else onChange({ bias: within(at[0], BOUNDS.bias), scatter: within(at[1], BOUNDS.scatter) });
  };
  return (
    <div ref={ref} className="min-w-0 overflow-hidden">
      <svg
        ref={drawn}
        width={width}
        height={HEIGHT}
        className="block touch-none text-[14px]"
        role="img"
        aria-label={`A tool that is off by ${bias.toFixed(2)} mL and scatters by ${scatter.toFixed(3)} mL; its tolerance is ± ${tolerance.toFixed(2)} mL.`}
        onPointerMove={move}
        onPointerUp={() => (held.current = null)}
        onPointerCancel={() => (held.current = null)}
      >
        <rect
          x={x(-tolerance)}
          y={y(tolerance / 2)}
          width={x(tolerance) - x(-tolerance)}
          height={base - y(tolerance / 2)}
          fill="var(--color-band)"
        />
        <text x={x(-tolerance) - 6} y={y(tolerance / 2) + 14} textAnchor="end" fill="var(--color-beam)">
          within tolerance
        </text>
        <path d={`M${x(0)} ${TOP - 8}V${base}`} stroke="var(--color-beam)" strokeWidth="2" />
        <LeftAxis scale={y} x={LEFT} label="standard deviation, mL: how precise" />
        <BottomAxis scale={x} y={base} label="bias, mL: how accurate" />
        <g onPointerDown={hold('tolerance')} className="cursor-ew-resize">
          <rect
            x={x(tolerance) - HOLD / 2}
            y={y(tolerance / 2)}
            width={HOLD}
            height={base - y(tolerance / 2)}
            fill="transparent"
          />
          <path d={`M${x(tolerance)} ${y(tolerance / 2)}V${base}`} stroke="var(--color-beam)" strokeWidth="2" />
          <path
            d={`M${x(tolerance)} ${(y(tolerance / 2) + base) / 2}m-4 -7v14m8 -14v14`}
            stroke="var(--color-beam)"
            strokeWidth="2"
          />
        </g>
        <g onPointerDown={hold('mark')} className="cursor-grab">
          <circle cx={x(bias)} cy={y(scatter)} r={HOLD} fill="transparent" />
          <circle
            cx={x(bias)}
            cy={y(scatter)}
            r="10"
            fill="var(--color-ink)"
            stroke="var(--color-paper)"
            strokeWidth="2"
          />
        </g>
      </svg>
    </div>
  );
}
