import type { ExerciseShown, Marked } from '@green-beam/core';
import type { ReactNode } from 'react';
import { ToolAsRead } from '../../../instruments/tool-as-read.tsx';
import { MarkedTable } from './marked-table.tsx';
import { RepeatsOnStrips } from './repeats-on-strips.tsx';
import { Story } from './story.tsx';

interface ExercisePaperProps {
  readonly shown: ExerciseShown;
  /** Where it is not said beside it. */
  readonly question?: string;
  readonly marks?: readonly Marked[];
  readonly faulty?: ReadonlySet<number>;
  readonly onMark?: ((cell: number) => void) | null;
}

/** What an exercise tells, and the table, the tool or the readings it is about. */
export function ExercisePaper({ shown, question, marks = [], faulty, onMark = null }: ExercisePaperProps): ReactNode {
  const { answered, story } = shown;
  return (
    <>
      {question === undefined ? (
        <p className="max-w-prose text-xl leading-relaxed wide:text-2xl wide:leading-relaxed">
          <Story parts={story} />
        </p>
      ) : (
        <p className="max-w-prose text-lg">
          <Story parts={story} /> <strong>{question}</strong>
        </p>
      )}
      {answered.by === 'choice' && answered.seen && <ToolAsRead picture={answered.seen} />}
      {answered.by === 'choice' && answered.repeats && <RepeatsOnStrips repeats={answered.repeats} />}
      {answered.by === 'marks' && (
        <div className="mt-6">
          <MarkedTable table={answered} marks={marks} {...(faulty ? { faulty } : {})} onMark={onMark} />
        </div>
      )}
    </>
  );
}
