import type { PlanDraft } from '@green-beam/contract';
import { narrowPlace, toPrepare, waitsOf, type Lesson, type PlannedStep, type Protocol } from '@green-beam/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { countInWords, fitsInWords, narrowInWords, waitsInWords } from './in-words.ts';
import { clockAt } from './lesson-draft.ts';

interface AnswerProps {
  readonly question: string;
  readonly title: string;
  readonly isBad?: boolean;
  readonly children: ReactNode;
}

function Answer({ question, title, isBad = false, children }: AnswerProps): ReactNode {
  return (
    <section>
      <h2 className="text-small text-muted">{question}</h2>
      <p className={`text-xl font-bold ${isBad ? 'text-slip' : ''}`}>{title}</p>
      <div className="mt-1 text-small">{children}</div>
    </section>
  );
}

interface AnswersProps {
  readonly id: string;
  readonly draft: PlanDraft;
  readonly lesson: Lesson;
  readonly plan: readonly PlannedStep[];
  readonly protocols: readonly Protocol[];
}

/** What a teacher asks first: does it fit, where do groups meet, and what is begun before they come. */
export function Answers({ id, draft, lesson, plan, protocols }: AnswersProps): ReactNode {
  const { begins, minutes, groups } = draft;
  const needed = Math.max(0, ...plan.map(({ end }) => end));
  const { title, isTooLong } = fitsInWords(needed, minutes, groups);
  const narrow = narrowPlace(lesson);
  const prepare = toPrepare(protocols);
  const waits = waitsOf(lesson, plan);
  return (
    <div className="grid gap-x-10 gap-y-6 sm:grid-cols-2 wide:grid-cols-3">
      <Answer question={isTooLong ? 'Does not fit' : 'Fits'} title={title} isBad={isTooLong}>
        <p>
          {isTooLong
            ? 'Leave a laboratory out, take fewer repeats, or share less.'
            : `Done at ${clockAt(begins, needed)}, cleared up.`}
        </p>
      </Answer>
      <Answer question="Where groups meet" title={narrow ? narrowInWords(narrow) : 'Nothing is shared'}>
        <p>
          {narrow
            ? `${groups} groups, ${countInWords(narrow.tool, narrow.count)}. ${waitsInWords(waits)}`
            : `Every bench has its own tools. ${waitsInWords(waits)}`}
        </p>
      </Answer>
      <Answer
        question="Before they come"
        title={
          prepare.length === 0 ? 'Nothing to begin early' : `From ${clockAt(begins, -(prepare[0]?.minutesBefore ?? 0))}`
        }
      >
        <ul>
          {prepare.map(({ text, minutesBefore }) => (
            <li key={text}>
              <span className="font-mono font-semibold">{clockAt(begins, -minutesBefore)}</span> {text}
            </li>
          ))}
        </ul>
        <Link
          to={`/plan-lesson/${id}/print`}
          className="inline-flex min-h-9 items-center font-semibold underline decoration-hairline decoration-2 underline-offset-4 hover:decoration-beam"
        >
          Kit list and cards on paper
        </Link>
      </Answer>
    </div>
  );
}
