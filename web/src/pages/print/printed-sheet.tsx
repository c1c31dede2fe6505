import type { PrintedReading, PrintedRound, PrintedSheet as SheetContent } from '@green-beam/contract';
import { needsWholeWidth, noteOn, type Picture } from '@green-beam/core';
import { format } from 'date-fns';
import { memo, type ReactNode } from 'react';
import { hasOwnHeight, PaperPicture } from '../../instruments/paper-picture.tsx';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { PrintedExercise } from './printed-exercise.tsx';
import { rulesInWords } from '../../rules/rules-in-words.ts';

/** What a reader needs to know of the rules while reading from paper. */
const ON_THE_SHEET = ['Estimating', 'Volumes'];

function Item({ reading, number }: { readonly reading: PrintedReading; readonly number: number }): ReactNode {
  const { picture, question } = reading;
  return picture.kind === 'exercise' ? (
    <PrintedExercise shown={picture} question={question} number={number} />
  ) : (
    <Reading reading={reading} picture={picture} number={number} />
  );
}

function Reading({
  reading,
  picture,
  number,
}: {
  readonly reading: PrintedReading;
  readonly picture: Picture;
  readonly number: number;
}): ReactNode {
  const numerals = useNumerals();
  const { question, tool } = reading;
  const note = noteOn(picture);
  return (
    <li className={`flex break-inside-avoid flex-col ${needsWholeWidth(picture) ? 'col-span-2' : ''}`}>
      <p className="flex gap-2">
        <span className="font-mono font-bold">{number}</span>
        <span>
          {question}
          {note !== null && <span className="block text-small text-muted">{numerals(note)}</span>}
        </span>
      </p>
      <div className={`mt-[2mm] ${hasOwnHeight(picture) ? 'mx-auto w-[135mm] max-w-full' : 'h-(--picture-height)'}`}>
        <PaperPicture picture={picture} label={`${tool}, reading ${number}`} />
      </div>
      <p className="mt-auto flex items-end pt-[3mm] gap-2 text-small text-muted">
        Reading and unit <span className="h-[6mm] flex-1 border-b border-ink" />
      </p>
    </li>
  );
}

/** One student’s sheet: their name, its code, and readings of their own. */
export const PrintedSheet = memo(function PrintedSheet({
  round,
  sheet,
}: {
  readonly round: PrintedRound;
  readonly sheet: SheetContent;
}): ReactNode {
  const rules = rulesInWords(round.rules).filter(({ topic }) => ON_THE_SHEET.includes(topic));
  return (
    <article className="printed-page" aria-label={`Sheet of ${sheet.student}`}>
      <header className="flex items-start justify-between gap-6 border-b-2 border-ink pb-[2mm]">
        <div>
          <h2 className="text-xl font-bold">{round.title}</h2>
          <p>
            {sheet.student}, {round.className}
            {round.dueAt === null ? '' : `, due ${format(new Date(round.dueAt), 'EEEE d MMMM')}`}
          </p>
        </div>
        <p className="text-right">
          <span className="block text-small text-muted">sheet</span>
          <span className="font-mono text-xl font-bold">{sheet.code}</span>
        </p>
      </header>
      <p className="mt-[2mm] text-small text-muted">
        Your eye is level with the mark in every picture. {rules.map(({ rule }) => rule).join(' ')}
      </p>
      <ol className="mt-[3mm] grid grid-cols-2 gap-x-[7mm] gap-y-[3mm]">
        {sheet.readings.map((reading, i) => (
          <Item key={i} reading={reading} number={i + 1} />
        ))}
      </ol>
    </article>
  );
});
