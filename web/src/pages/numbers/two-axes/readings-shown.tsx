import { bin, max } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import type { ReactNode } from 'react';
import { BottomAxis } from '../../../charts/axis.tsx';
import { useWidth } from '../../../charts/use-width.ts';
import { TRUTH, type Reader } from './readings.ts';

const STRIP = 56;
const BARS = 116;
const GAP = 14;
const FOOT = 44;
const SIDE = 24;
/** As far as readings can lie from the true value on the picture, in mL. */
const REACH = 1.1;
const WIDEST = 44;

interface ReadingsShownProps {
  readonly reader: Reader;
  readonly readings: readonly number[];
}

/** The readings as ticks on one line against the true value and the tolerance, and how often each comes under them. */
export function ReadingsShown({ reader: { tolerance }, readings }: ReadingsShownProps): ReactNode {
  const { ref, width } = useWidth<HTMLDivElement>(520);
  const x = scaleLinear()
    .domain([TRUTH - REACH, TRUTH + REACH])
    .range([SIDE, Math.max(SIDE + 60, width - SIDE)]);
  const steps = Array.from({ length: WIDEST + 1 }, (_, i) => TRUTH - REACH + (i * 2 * REACH) / WIDEST);
  const bins = bin<number, number>()
    .domain([TRUTH - REACH, TRUTH + REACH])
    .thresholds(steps)([...readings]);
  const tallest = max(bins, ({ length }) => length) ?? 1;
  const y = scaleLinear()
    .domain([0, Math.max(3, tallest)])
    .range([0, BARS]);
  const base = STRIP + GAP + BARS;
  const mean = readings.reduce((sum, value) => sum + value, 0) / readings.length;
  return (
    <div ref={ref} className="min-w-0 overflow-hidden">
      <svg
        width={width}
        height={base + FOOT}
        className="block text-[14px]"
        role="img"
        aria-label={`${readings.length} readings from ${Math.min(...readings).toFixed(2)} to ${Math.max(...readings).toFixed(2)} mL; the true value is ${TRUTH.toFixed(2)} mL.`}
      >
        <rect
          x={x(TRUTH - tolerance)}
          width={x(TRUTH + tolerance) - x(TRUTH - tolerance)}
          height={base}
          fill="var(--color-band)"
        />
        <path d={`M${x(TRUTH)} 0V${base + 6}`} stroke="var(--color-beam)" strokeWidth="2" />
        {readings.map((value, i) => (
          <path key={i} d={`M${x(value)} 16V${STRIP}`} stroke="var(--color-ink)" strokeWidth="2" strokeOpacity="0.55" />
        ))}
        <path d={`M${SIDE} ${STRIP}H${width - SIDE}`} stroke="var(--color-muted)" strokeWidth="1.4" />
        <path d={`M${x(mean)} 2l6 9h-12Z`} fill="var(--color-ink)" />
        {bins.map(({ x0 = 0, x1 = 0, length }) => (
          <rect
            key={x0}
            x={x(x0) + 0.5}
            width={Math.max(0, x(x1) - x(x0) - 1)}
            y={base - y(length)}
            height={y(length)}
            fill="var(--color-muted)"
          />
        ))}
        <BottomAxis scale={x} y={base} label="mL" />
      </svg>
    </div>
  );
}
