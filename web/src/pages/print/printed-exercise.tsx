import { FAULT_KINDS, letterOf, type Answered, type ExerciseShown } from '@green-beam/core';
import type { ReactNode } from 'react';
import { PaperPicture } from '../../instruments/paper-picture.tsx';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { RepeatsOnStrips } from '../bench/exercise/repeats-on-strips.tsx';
import { Story } from '../bench/exercise/story.tsx';

/** A table whose cells are numbered, so that they can be named on paper. */
function NumberedTable({
  table: { headings, rows },
}: {
  readonly table: Extract<Answered, { by: 'marks' }>;
}): ReactNode {
  const numerals = useNumerals();
  const cell = (row: number, column: number, text: string): ReactNode => (
    <>
      <sup className="mr-1 text-muted">{row * headings.length + column + 1}</sup>
      {numerals(text)}
    </>
  );
  return (
    <table className="mt-[2mm] w-full border-collapse">
      <thead>
        <tr className="border-y border-ink">
          {headings.map((heading, i) => (
            <th key={i} scope="col" className="px-1 py-[1mm] text-left">
              {cell(0, i, heading)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row, i) => (
          <tr key={i} className="border-b border-hairline">
            {row.map((text, j) => (
              <td key={j} className="px-1 py-[1mm] font-mono">
                {cell(i + 1, j, text)}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function ToAnswer({ answered }: { readonly answered: Answered }): ReactNode {
  const numerals = useNumerals();
  if (answered.by === 'choice') {
    return (
      <>
        {answered.seen && (
          <div className="mt-[2mm] h-(--picture-height)">
            <PaperPicture picture={answered.seen} label="The tool" />
          </div>
        )}
        {answered.repeats && <RepeatsOnStrips repeats={answered.repeats} />}
        <ol className="mt-[2mm]">
          {answered.options.map((option, i) => (
            <li key={option}>
              <span className="font-mono font-bold">{letterOf(i)}</span> {numerals(option)}
            </li>
          ))}
        </ol>
      </>
    );
  }
  if (answered.by !== 'marks') return null;
  return (
    <>
      <NumberedTable table={answered} />
      <p className="mt-[1mm] text-small text-muted">
        {FAULT_KINDS.map(({ name }, i) => `${letterOf(i)} ${name}`).join('; ')}. Write numbers and letters, as 7c.
      </p>
    </>
  );
}

const WRITTEN: Readonly<Record<Answered['by'], string>> = {
  number: 'Result and unit',
  count: 'How many',
  choice: 'Letter',
  marks: 'Cells and letters',
};

/** An exercise on paper, with a line for its answer. */
export function PrintedExercise({
  shown,
  question,
  number,
}: {
  readonly shown: ExerciseShown;
  readonly question: string;
  readonly number: number;
}): ReactNode {
  return (
    <li className="col-span-2 flex break-inside-avoid flex-col">
      <div className="flex gap-2">
        <span className="font-mono font-bold">{number}</span>
        <div className="flex-1">
          <p>
            <Story parts={shown.story} /> <span className="font-semibold">{question}</span>
          </p>
          <ToAnswer answered={shown.answered} />
        </div>
      </div>
      <p className="mt-auto flex items-end gap-2 pt-[3mm] text-small text-muted">
        {WRITTEN[shown.answered.by]} <span className="h-[6mm] flex-1 border-b border-ink" />
      </p>
    </li>
  );
}
