import type { AttemptPage, AttemptShown } from '@green-beam/contract';
import { subjectById } from '@green-beam/core';
import { format } from 'date-fns';
import { useState, type ReactNode } from 'react';
import { ToolAsRead } from '../instruments/tool-as-read.tsx';
import { useNumerals } from '../numbers/decimal-mark.ts';
import { MeasuredNumber } from '../numbers/measured-number.tsx';
import { Button } from '../ui/button.tsx';
import { answerInWords } from './bench/exercise/answer-in-words.ts';
import { WorkedBefore } from './bench/exercise/worked-before.tsx';
import { shortened } from './shortened.ts';

const VERDICTS: Record<AttemptShown['verdict'], string> = {
  sound: 'correct',
  record: 'right value, written wrongly',
  slip: 'slip',
  unexplained: 'unexplained',
  unreadable: 'could not be read',
  shown: 'answer shown',
};

function howItWasRead({ timeTaken, hints }: AttemptShown): string {
  if (timeTaken === null) return 'Read from paper.';
  return `As it was when you pressed Enter. ${Math.round(timeTaken / 1000)} s, ${hints === 0 ? 'no hints' : hints === 1 ? 'one hint' : `${hints} hints`}.`;
}

function howItWasWorked({ timeTaken, hints }: AttemptShown): string {
  if (timeTaken === null) return 'Worked on paper.';
  return `${Math.round(timeTaken / 1000)} s, ${hints === 0 ? 'no hints' : hints === 1 ? 'one hint' : `${hints} hints`}.`;
}

/** Longest answer in words that stands in a line of the list. */
const IN_WORDS = 90;

function Attempt({ attempt }: { readonly attempt: AttemptShown }): ReactNode {
  const numerals = useNumerals();
  const [open, setOpen] = useState(false);
  const { picture } = attempt;
  const { name } = subjectById(attempt.subjectId);
  const exercise = picture.kind === 'exercise';
  const inWords = exercise && (picture.answered.by === 'choice' || picture.answered.by === 'marks');
  const entered = (entry: string): string =>
    inWords ? numerals(shortened(answerInWords(picture, entry), IN_WORDS)) : shortened(entry);
  return (
    <li className="border-t border-hairline">
      <button
        type="button"
        aria-expanded={open}
        className="grid min-h-12 w-full grid-cols-[7.5rem_8rem_7rem_minmax(0,1fr)_8rem] items-center gap-3 py-1 text-left hover:bg-wash max-sm:grid-cols-2"
        onClick={() => setOpen(!open)}
      >
        <span className="text-small text-muted">{format(new Date(attempt.at), 'd MMM, HH:mm')}</span>
        <span>{numerals(name)}</span>
        <span
          data-typed
          className={`${inWords ? 'text-small' : 'font-mono'} ${attempt.verdict === 'sound' ? '' : 'text-slip'}`}
        >
          {entered(attempt.entry) || '–'}
        </span>
        <span>
          {attempt.slips.length > 0 ? attempt.slips.map((slip) => slip.name).join(', ') : VERDICTS[attempt.verdict]}
          {attempt.tryNumber > 1 ? ', second try' : ''}
        </span>
        <span className="text-right max-sm:text-left">
          {attempt.expected !== null &&
            (exercise && picture.answered.by !== 'number' ? (
              <span className={inWords ? 'text-small' : 'font-mono'}>{entered(attempt.expected.text)}</span>
            ) : (
              <MeasuredNumber text={attempt.expected.text} unit={attempt.expected.unit} />
            ))}
        </span>
      </button>
      {open && (
        <div className="max-w-3xl pb-6">
          {exercise ? (
            <WorkedBefore attempt={attempt} shown={picture} />
          ) : (
            <ToolAsRead
              picture={picture}
              eyeHeight={attempt.eyeHeight}
              remarks={attempt.remarks}
              wrongPath={attempt.slips.flatMap((slip) => slip.path)}
            />
          )}
          <p className="text-muted">
            {exercise ? howItWasWorked(attempt) : howItWasRead(attempt)}
            {attempt.offBy === null
              ? ''
              : numerals(` Off by ${attempt.offBy.toFixed(2).replace('-', '−')} division.`)}{' '}
            {numerals([attempt.slips[0]?.why ?? '', ...attempt.remarks.map(({ text }) => text)].join(' '))}
          </p>
        </div>
      )}
    </li>
  );
}

interface AttemptListProps {
  readonly pages: readonly AttemptPage[];
  readonly onMore: (() => void) | null;
}

/** Attempts, newest first; each opens to the picture as it was. */
export function AttemptList({ pages, onMore }: AttemptListProps): ReactNode {
  const attempts = pages.flatMap((page) => page.attempts);
  if (attempts.length === 0)
    return (
      <p className="border-t border-hairline py-6 text-muted">Nothing yet. Ten readings take about ten minutes.</p>
    );
  return (
    <>
      <ol>
        {attempts.map((attempt) => (
          <Attempt key={attempt.id} attempt={attempt} />
        ))}
      </ol>
      {onMore && (
        <Button look="plain" className="mt-4" onClick={onMore}>
          Earlier ones
        </Button>
      )}
    </>
  );
}
