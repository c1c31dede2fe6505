import type { ClosedAnswer, ExerciseShown, HouseRules, Solution } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { MeasuredNumber } from '../../../numbers/measured-number.tsx';
import { cellText, faultName } from './answer-in-words.ts';
import { WorkedLine } from './worked-line.tsx';

/** The right answer, unless it was given or stands in the exercise itself. */
export function RightAnswer({
  answer: { text, unit },
  shown,
  given,
}: {
  readonly answer: ClosedAnswer;
  readonly shown: ExerciseShown;
  readonly given: boolean;
}): ReactNode {
  const { by } = shown.answered;
  if (given || by === 'marks' || by === 'choice') return null;
  return (
    <p className="mt-4 flex items-baseline gap-3 text-reading">
      {by === 'count' ? <span className="font-mono">{text}</span> : <MeasuredNumber text={text} unit={unit} />}
      <span className="text-small text-muted">{by === 'count' ? 'significant figures' : 'the right result'}</span>
    </p>
  );
}

function Faults({
  faults,
  shown,
}: {
  readonly faults: Extract<Solution, { by: 'faults' }>['faults'];
  readonly shown: ExerciseShown;
}): ReactNode {
  const numerals = useNumerals();
  const { answered } = shown;
  if (answered.by !== 'marks') return null;
  return (
    <ul className="mt-4 border-b border-hairline" aria-label="What was wrong">
      {faults.map(({ cells, fault, right, why }) => (
        <li key={cells.join()} className="border-t border-hairline py-3">
          <p>
            <span className="font-mono text-slip line-through">{numerals(cellText(answered, cells[0] ?? 1))}</span>{' '}
            <span className="font-mono font-semibold">{numerals(right)}</span>
          </p>
          <p className="text-small">
            <span className="font-semibold">{faultName(fault)}.</span>{' '}
            <span className="text-muted">{numerals(why)}</span>
          </p>
        </li>
      ))}
    </ul>
  );
}

/** How the right answer is worked out, once an exercise is closed. */
export function Solved({
  answer: { solution },
  shown,
  rules,
}: {
  readonly answer: ClosedAnswer;
  readonly shown: ExerciseShown;
  readonly rules: HouseRules;
}): ReactNode {
  const numerals = useNumerals();
  return (
    <>
      {solution?.by === 'words' && (
        <p className="mt-6 max-w-prose border-t border-hairline pt-4 text-muted">{numerals(solution.text)}</p>
      )}
      {solution?.by === 'working' && <WorkedLine line={solution.line} rules={rules} />}
      {solution?.by === 'faults' && <Faults faults={solution.faults} shown={shown} />}
    </>
  );
}
