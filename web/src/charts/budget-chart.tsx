import { scaleLinear } from 'd3-scale';
import type { ReactNode } from 'react';
import { useNumerals } from '../numbers/decimal-mark.ts';
import { ChartFrame } from './chart-frame.tsx';
import { useWidth } from './use-width.ts';

const TEXT = 18;
const BAR = 24;
const SHARE = 56;
/** Average width of a letter, in pixels. */
const LETTER = 7;
/** Smaller shares are put together. */
const SMALLEST = 0.005;

interface BudgetChartProps {
  readonly title: string;
  readonly shares: readonly Share[];
}

const percent = (share: number): string => {
  const rounded = Math.round(share * 100);
  return rounded === 0 && share > 0 ? '< 1 %' : `${rounded < 0 ? '−' : ''}${Math.abs(rounded)} %`;
};

interface Share {
  readonly name: string;
  readonly share: number;
}

/** The shares that can be seen, and what all others come to. */
function seen(shares: readonly Share[]): Share[] {
  const large = shares.filter(({ share }) => Math.abs(share) >= SMALLEST);
  const rest = shares.filter(({ share }) => Math.abs(share) < SMALLEST);
  if (rest.length < 2) return [...shares];
  return [...large, { name: `${rest.length} others together`, share: rest.reduce((sum, { share }) => sum + share, 0) }];
}

/** A text in lines that are not longer than so many letters. */
function linesOf(text: string, letters: number): string[] {
  const lines = [''];
  for (const word of text.split(' ')) {
    const last = lines.at(-1) ?? '';
    if (last !== '' && last.length + word.length >= letters) lines.push(word);
    else lines[lines.length - 1] = last === '' ? word : `${last} ${word}`;
  }
  return lines;
}

/** Where the uncertainty comes from: each contribution's share, largest first. */
export function BudgetChart({ title, shares }: BudgetChartProps): ReactNode {
  const numerals = useNumerals();
  const { ref, width } = useWidth<HTMLElement>(380);
  const bar = scaleLinear()
    .domain([0, 1])
    .range([0, width - SHARE])
    .clamp(true);
  const [first] = shares;
  let bottom = 0;
  const drawn = seen(shares).map((one) => {
    const lines = linesOf(numerals(one.name), Math.floor(width / LETTER));
    const top = bottom;
    bottom += lines.length * TEXT + BAR;
    return { ...one, lines, top };
  });
  return (
    <ChartFrame
      title={title}
      summary={
        first ? `The largest part, ${percent(first.share)}, comes from: ${first.name}.` : 'Nothing of it is uncertain.'
      }
      table={{ headings: ['from', 'share'], rows: shares.map(({ name, share }) => [name, percent(share)]) }}
      width={width}
      height={Math.max(1, bottom)}
      frame={ref}
    >
      {drawn.map(({ name, share, lines, top }) => (
        <g key={name} transform={`translate(0 ${top})`}>
          {lines.map((text, i) => (
            <text key={text} y={14 + i * TEXT}>
              {text}
            </text>
          ))}
          <rect y={lines.length * TEXT + 1} width={bar(1)} height="11" fill="var(--color-hairline)" fillOpacity="0.6" />
          <rect y={lines.length * TEXT + 1} width={Math.max(1, bar(share))} height="11" />
          <text x={width} y={lines.length * TEXT + 11} textAnchor="end">
            {percent(share)}
          </text>
        </g>
      ))}
    </ChartFrame>
  );
}
