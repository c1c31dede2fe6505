import type { TogetherBefore, TogetherDot } from '@green-beam/contract';
import { bandwidth, kernelDensity } from '@green-beam/core';
import { greatest, max } from 'd3-array';
import { scaleLinear, type ScaleLinear } from 'd3-scale';
import { area } from 'd3-shape';
import type { ReactNode } from 'react';
import { useWidth } from '../../charts/use-width.ts';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { unitText } from '../../numbers/unit-text.ts';
import { readingText, usualPlace, type Room } from './room-in-words.ts';

const SIDE = 60;
const FOOT = 46;
const TALLEST = 20;
/** Where the steps of writing lie nearer than this, dots cover one another rather than becoming too small to see. */
const SMALLEST = 11;
/** Room for what is written above the dots. */
const HEAD = 24;

/** A stack of dots that stand at one number. */
interface Stack {
  readonly value: number;
  readonly dots: readonly TogetherDot[];
}

/** Dots by the number they stand at, to the place that most wrote to; right ones below, so that rings stand out on top. */
function stacksOf(dots: readonly TogetherDot[], place: number): Stack[] {
  const step = 10 ** Math.min(place, usualPlace(dots));
  const stacks = new Map<number, TogetherDot[]>();
  for (const dot of dots) {
    const at = Math.round(dot.value / step);
    stacks.set(at, [...(stacks.get(at) ?? []), dot]);
  }
  return [...stacks].map(([at, of]) => ({
    value: at * step,
    dots: [...of].sort((a, b) => Number(a.sound === false) - Number(b.sound === false)),
  }));
}

/** Points at which the shape of an earlier reading is drawn. */
const SHAPE_POINTS = 160;

/** How high the shape of an earlier reading stands, as a part of the room there is. */
const SHAPE_HEIGHT = 0.55;

interface Shape {
  readonly path: string;
  /** Where its top is. */
  readonly top: readonly [x: number, y: number];
}

/** An earlier reading as a smooth shape: how wide it is and where it stands is to be seen, not how many there were. */
function shapeOf(dots: readonly TogetherDot[], step: number, x: ScaleLinear<number, number>, base: number): Shape {
  const values = dots.map(({ value }) => value);
  const density = kernelDensity(values, bandwidth(values, step));
  const [from = 0, to = 1] = x.domain();
  const points = Array.from({ length: SHAPE_POINTS + 1 }, (_, i) => from + ((to - from) * i) / SHAPE_POINTS);
  const peak = greatest(points, density) ?? from;
  const height = (SHAPE_HEIGHT * (base - HEAD)) / density(peak);
  const y = (at: number): number => base - height * density(at);
  return { path: area<number>(x, base, y)(points) ?? '', top: [x(peak), y(peak)] };
}

function FarOff({
  dots,
  side,
  x,
  y,
  unit,
}: {
  readonly dots: readonly TogetherDot[];
  readonly side: 'left' | 'right';
  readonly x: number;
  readonly y: number;
  readonly unit: string;
}): ReactNode {
  const numerals = useNumerals();
  if (dots.length === 0) return null;
  const texts = dots.map(({ value, place }) => numerals(readingText(value, place, unit)));
  const told = texts.length > 3 ? `${texts.length} more` : texts.join(', ');
  return (
    <text x={x} y={y} textAnchor={side === 'left' ? 'start' : 'end'} className="fill-slip text-lg">
      {side === 'left' ? `← ${told}` : `${told} →`}
    </text>
  );
}

interface RoomStripProps {
  readonly room: Room;
  readonly before: readonly TogetherBefore[];
  readonly toolName: string;
  readonly height: number;
  /** Once it is shown. */
  readonly truth: number | null;
  readonly own?: TogetherDot | null;
}

/** Everybody’s readings on one number line: as dots, the earlier ones as an outline, and the true value in green. */
export function RoomStrip({ room, before, toolName, height, truth, own = null }: RoomStripProps): ReactNode {
  const numerals = useNumerals();
  const { ref, width } = useWidth<HTMLElement>(1180);
  const { near, farOff, spread, usual, unit, division } = room;
  const earlier = before
    .flatMap(({ dots }) => dots)
    .filter(({ value }) => Math.abs(value - spread.middle) <= 2 * spread.reach);
  const seen = [...near, ...earlier].map(({ value }) => value).concat(truth === null ? [] : [truth]);
  const least = Math.min(...seen, spread.middle - division) - division / 4;
  const most = Math.max(...seen, spread.middle + division) + division / 4;
  const x = scaleLinear()
    .domain([least, most])
    .range([SIDE, Math.max(SIDE + 60, width - SIDE)]);
  const base = height - FOOT;
  const stacks = stacksOf(near, usual);
  const past = before
    .map((one) => ({ ...one, dots: one.dots.filter((dot) => earlier.includes(dot)) }))
    .filter(({ dots }) => dots.length > 0);
  const tallest = max(stacks, ({ dots }) => dots.length) ?? 1;
  const step = Math.abs(x(10 ** usual) - x(0));
  const pitch = Math.min(TALLEST, (base - HEAD) / tallest, Math.max(SMALLEST, step));
  const radius = pitch / 2 - 1;
  const unitShown = unitText(unit);
  const ticks = x.ticks(Math.max(2, Math.floor(width / 150)));
  const tickPlace = Math.min(usual, -Math.ceil(-Math.log10((ticks[1] ?? 1) - (ticks[0] ?? 0)) - 1e-9));
  const ownAt = own && near.includes(own) ? stacks.find(({ dots }) => dots.includes(own)) : undefined;
  return (
    <figure ref={ref} className="min-w-0 overflow-hidden">
      <svg
        width={width}
        height={height}
        className="block"
        role="img"
        aria-label={numerals(
          `${near.length + farOff.length} readings, from ${readingText(Math.min(...near.map(({ value }) => value)), usual, unit)} to ${readingText(Math.max(...near.map(({ value }) => value)), usual, unit)} ${unitShown}${farOff.length > 0 ? `, and ${farOff.length} far off` : ''}.`,
        )}
      >
        {truth !== null && <path d={`M${x(truth)} 0V${base + 8}`} className="stroke-beam" strokeWidth="3" />}
        {past.map((one) => {
          const { path, top } = shapeOf(one.dots, 10 ** usual, x, base);
          return (
            <g key={one.id}>
              <path d={path} className="fill-muted/15 stroke-muted" strokeWidth="2" strokeDasharray="2 4" />
              <text x={top[0]} y={top[1] - 8} textAnchor="end" className="fill-muted">
                {numerals(one.toolName === toolName ? `reading ${one.number}` : one.toolName)}
              </text>
            </g>
          );
        })}
        {stacks.map(({ value, dots }) =>
          dots.map((dot, i) => (
            <circle
              key={`${value} ${i}`}
              cx={x(value)}
              cy={base - (i + 0.5) * pitch}
              r={Math.max(2, dot.sound === false ? radius - 1 : radius)}
              className={dot.sound === false ? 'fill-paper stroke-slip' : 'fill-ink'}
              strokeWidth={dot.sound === false ? 2.5 : 0}
            />
          )),
        )}
        {ownAt && (
          <circle
            cx={x(ownAt.value)}
            cy={base - (ownAt.dots.indexOf(own as TogetherDot) + 0.5) * pitch}
            r={radius + 4}
            className="fill-none stroke-beam"
            strokeWidth="2.5"
          />
        )}
        <FarOff
          dots={farOff.filter(({ value }) => value < spread.middle)}
          side="left"
          x={0}
          y={base - 10}
          unit={unit}
        />
        <FarOff
          dots={farOff.filter(({ value }) => value > spread.middle)}
          side="right"
          x={width}
          y={base - 10}
          unit={unit}
        />
        <path d={`M${SIDE / 2} ${base}H${width - SIDE / 2}`} className="stroke-muted" strokeWidth="1.5" />
        {ticks.map((tick) => (
          <g key={tick}>
            <path d={`M${x(tick)} ${base}v8`} className="stroke-muted" strokeWidth="1.5" />
            <text x={x(tick)} y={base + 28} textAnchor="middle" className="fill-muted font-mono">
              {numerals(readingText(tick, tickPlace, unit).replace('-', '−'))}
            </text>
          </g>
        ))}
        <text x={width} y={base + 28} textAnchor="end" className="fill-muted">
          {unitShown}
        </text>
      </svg>
    </figure>
  );
}
