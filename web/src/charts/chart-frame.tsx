import { useRef, type ReactNode, type RefObject } from 'react';
import { useNumerals } from '../numbers/decimal-mark.ts';
import { saveAs } from '../ui/save-as.ts';
import { pngOf, svgTextOf } from './picture-file.ts';

/** A chart in words and numbers: for who cannot see it, and for who wants to have the numbers. */
export interface ChartTable {
  readonly headings: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

interface ChartFrameProps {
  readonly title: string;
  /** What is to be seen, in a sentence. */
  readonly summary: string;
  readonly table: ChartTable;
  readonly width: number;
  readonly height: number;
  /** How many times larger than its measures it is shown. */
  readonly scale?: number;
  /** The element whose width the chart follows. */
  readonly frame: RefObject<HTMLElement | null>;
  readonly children: ReactNode;
}

const ACTION = 'min-h-9 underline decoration-hairline decoration-2 underline-offset-4 hover:decoration-beam';
const FONT = "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif";

/** `Repeats of volume` as the name of a file. */
function fileName(title: string): string {
  return title
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '');
}

/** A chart with its title, its numbers as a table, and the ways to save it. */
export function ChartFrame({
  title,
  summary,
  table,
  width,
  height,
  scale = 1,
  frame,
  children,
}: ChartFrameProps): ReactNode {
  const numerals = useNumerals();
  const drawn = useRef<SVGSVGElement>(null);
  const save = async (kind: 'svg' | 'png'): Promise<void> => {
    if (!drawn.current) return;
    const text = svgTextOf(drawn.current);
    if (kind === 'svg') saveAs(`${fileName(title)}.svg`, text, 'image/svg+xml');
    else saveAs(`${fileName(title)}.png`, await pngOf(text, width, height), 'image/png');
  };
  return (
    <figure ref={frame} className="min-w-0 overflow-hidden">
      <figcaption className="font-bold">{title}</figcaption>
      <svg
        ref={drawn}
        width={width * scale}
        height={height * scale}
        viewBox={`0 0 ${width} ${height}`}
        className="mt-1 block"
        role="img"
        aria-label={numerals(summary)}
        fontFamily={FONT}
        fontSize="14"
        fill="var(--color-ink)"
      >
        {children}
      </svg>
      <details className="text-small text-muted">
        <summary className="inline-flex min-h-9 cursor-pointer items-center underline decoration-hairline decoration-2 underline-offset-4">
          Numbers and saving
        </summary>
        <p>{numerals(summary)}</p>
        <div className="overflow-x-auto">
          <table className="my-2">
            <thead>
              <tr>
                {table.headings.map((heading) => (
                  <th key={heading} scope="col" className="pr-6 text-left font-semibold">
                    {heading}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {table.rows.map((row, i) => (
                <tr key={i} className="border-t border-hairline">
                  {row.map((text, k) => (
                    <td key={k} className={`pr-6 ${k === 0 ? '' : 'font-mono'}`}>
                      {numerals(text)}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        <span className="flex gap-5">
          <button type="button" className={ACTION} onClick={() => void save('svg')}>
            Save as SVG
          </button>
          <button type="button" className={ACTION} onClick={() => void save('png')}>
            Save as PNG
          </button>
        </span>
      </details>
    </figure>
  );
}
