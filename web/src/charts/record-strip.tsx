import type { StripMark } from '@green-beam/contract';
import { ticks } from 'd3-array';
import type { ReactNode } from 'react';
import { useNumerals } from '../numbers/decimal-mark.ts';
import { useWidth } from './use-width.ts';

const HEIGHT = 84;
const BASE = 52;
/** Farther off than this, in divisions, an entry stands at the end of the strip; and what is left free beside its ends, in pixels. */
const REACH = 1.4;
const SIDE = 24;

interface RecordStripProps {
  readonly marks: readonly StripMark[];
  /** Half the accepted band, in divisions. */
  readonly band: number;
}

function Tick({ x, mark }: { readonly x: number; readonly mark: StripMark }): ReactNode {
  if (mark.sound) return <line x1={x} x2={x} y1={BASE - 30} y2={BASE} stroke="var(--color-ink)" strokeWidth="2.5" />;
  const beyond = Math.abs(mark.offBy) > REACH;
  return (
    <g stroke="var(--color-slip)" strokeWidth="2.5" fill="none">
      <path d={`M${x} ${BASE}V${BASE - 26}Q${x} ${BASE - 32} ${x + 8} ${BASE - 32}`} />
      {beyond && <path d={mark.offBy > 0 ? `M${x - 9} ${BASE - 16}l6 5l-6 5` : `M${x + 9} ${BASE - 16}l-6 5l6 5`} />}
    </g>
  );
}

/** This round's readings against the true value: scatter and bias to be seen rather than told. */
export function RecordStrip({ marks, band }: RecordStripProps): ReactNode {
  const numerals = useNumerals();
  const { ref, width } = useWidth<HTMLElement>(1240);
  // The first page draws this strip: a straight line from end to end needs none of the dates and colours that a library of scales brings.
  const x = (offBy: number): number =>
    SIDE + ((width - 2 * SIDE) * (Math.min(REACH, Math.max(-REACH, offBy)) + REACH)) / (2 * REACH);
  // A narrow strip has room for the outer labels only, and for fewer lines.
  const labelled = width < 760 ? [-1, 1] : [-1, -0.5, 0.5, 1];
  const sound = marks.filter((mark) => mark.sound).length;
  return (
    <figure ref={ref} className="overflow-hidden border-t border-hairline bg-surface">
      <svg
        width={width}
        height={HEIGHT}
        className="block"
        role="img"
        aria-label={`${marks.length} entries so far in this round, ${sound} of them right.`}
      >
        <rect x={x(-band)} width={x(band) - x(-band)} y={BASE - 40} height="40" fill="var(--color-band)" />
        <line x1={x(-REACH)} x2={x(REACH)} y1={BASE} y2={BASE} stroke="var(--color-muted)" strokeWidth="1.4" />
        {ticks(-REACH, REACH, width < 760 ? 6 : 28).map((tick) => (
          <line
            key={tick}
            x1={x(tick)}
            x2={x(tick)}
            y1={BASE}
            y2={BASE + (Math.abs((tick * 2) % 1) < 1e-9 ? 9 : 5)}
            stroke="var(--color-muted)"
            strokeWidth="1.2"
          />
        ))}
        {labelled.map((tick) => (
          <text
            key={tick}
            x={x(tick)}
            y={HEIGHT - 8}
            textAnchor="middle"
            fontSize="14"
            fill="var(--color-muted)"
            className="font-mono"
          >
            {numerals(`${tick > 0 ? '+' : '−'}${Math.abs(tick).toFixed(1)}${width < 760 ? '' : ' division'}`)}
          </text>
        ))}
        <text x={x(0)} y={HEIGHT - 8} textAnchor="middle" fontSize="14" fill="var(--color-muted)" className="font-mono">
          true value
        </text>
        <line x1={x(0)} x2={x(0)} y1={BASE - 46} y2={BASE + 6} stroke="var(--color-beam)" strokeWidth="2.5" />
        {marks.map((mark) => (
          <Tick key={`${mark.taskId}${mark.tryNumber}`} x={x(mark.offBy)} mark={mark} />
        ))}
      </svg>
    </figure>
  );
}
