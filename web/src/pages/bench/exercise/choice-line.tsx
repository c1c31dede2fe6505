import { letterOf } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import type { ItemWork } from '../entry/use-entry.ts';

interface ChoiceLineProps {
  readonly work: ItemWork;
  readonly options: readonly string[];
  /** The letter of the right one and why each is right or is not; once the answer is known. */
  readonly known: { readonly right: string; readonly whys: readonly string[] } | null;
}

/** Answers to choose from; those tried stay struck through. */
export function ChoiceLine({ work, options, known }: ChoiceLineProps): ReactNode {
  const numerals = useNumerals();
  const tried = work.made.filter(({ result }) => result.verdict === 'slip').map(({ text }) => text);
  const chosen = known ? (work.made.find(({ result }) => result.verdict === 'sound')?.text ?? '') : work.entry;
  return (
    <fieldset className="mt-6" disabled={known !== null}>
      <legend className="sr-only">Answers</legend>
      {options.map((option, i) => {
        const letter = letterOf(i);
        const wrong = tried.includes(letter);
        const right = known?.right === letter;
        return (
          <label
            key={option}
            className={`flex min-h-12 gap-3 border-t border-hairline py-3 ${known || wrong ? '' : 'cursor-pointer hover:bg-wash'}`}
          >
            <input
              type="radio"
              name="answer"
              className="mt-1 size-5 shrink-0 accent-beam"
              checked={chosen === letter}
              disabled={wrong}
              onChange={() => work.write(letter)}
            />
            <span>
              <span className={wrong ? 'text-slip line-through' : right ? 'font-semibold' : ''}>
                {numerals(option)}
              </span>
              {wrong && <span className="sr-only"> (tried, not right)</span>}
              {right && <span className="ml-2 text-beam">right</span>}
              {known && <span className="mt-1 block text-small text-muted">{numerals(known.whys[i] ?? '')}</span>}
            </span>
          </label>
        );
      })}
    </fieldset>
  );
}
