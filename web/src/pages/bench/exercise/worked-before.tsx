import type { AttemptShown } from '@green-beam/contract';
import { letterOf, type ExerciseShown } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { cellsIn, marksIn } from './answer-in-words.ts';
import { ExercisePaper } from './exercise-paper.tsx';

/** An exercise as it was worked: what was asked, what was marked in its table, and what was chosen. */
export function WorkedBefore({
  attempt,
  shown,
}: {
  readonly attempt: AttemptShown;
  readonly shown: ExerciseShown;
}): ReactNode {
  const numerals = useNumerals();
  const { answered } = shown;
  const letters = { chosen: attempt.entry.trim().toLowerCase(), right: attempt.expected?.text ?? null };
  return (
    <>
      <ExercisePaper
        shown={shown}
        question={attempt.question}
        marks={answered.by === 'marks' ? marksIn(attempt.entry, cellsIn(answered)) : []}
      />
      {answered.by === 'choice' && (
        <ul className="mt-3">
          {answered.options.map((option, i) => {
            const letter = letterOf(i);
            return (
              <li key={option} className="py-1">
                <span className={letter === letters.chosen && letter !== letters.right ? 'text-slip line-through' : ''}>
                  {numerals(option)}
                </span>
                {letter === letters.chosen && <span className="ml-2 text-small text-muted">chosen</span>}
                {letter === letters.right && <span className="ml-2 text-small text-beam">right</span>}
              </li>
            );
          })}
        </ul>
      )}
    </>
  );
}
