import { holds, type Question } from '@green-beam/core';
import { useId, type ReactNode } from 'react';
import { useFieldDraft } from './draft.ts';
import type { OnPage } from './on-page.ts';
import { answerAt } from './own/whose.ts';
import { textAt } from './written.ts';

type On = Pick<OnPage, 'page' | 'run' | 'author' | 'onWrite'>;

/** The questions of the laboratory with the answers of the group, or of one student. */
export function Questions(props: On): ReactNode {
  const { protocol, chosen } = props.run.setting.layout;
  return (
    <section className="mt-10" id="questions" tabIndex={-1}>
      <h2 className="text-lg font-bold">Questions</h2>
      {protocol.questions
        .filter(({ when }) => holds(when, chosen))
        .map((question) => (
          <Answer key={question.id} {...props} question={question} />
        ))}
    </section>
  );
}

function Answer({ page, run, author, onWrite, question }: On & { readonly question: Question }): ReactNode {
  const id = useId();
  const address = answerAt(question.id, author, page.arrangement);
  const standing = textAt(run, address);
  const draft = useFieldDraft(standing, (text) => onWrite(address, text));
  if (!page.mayWrite)
    return (
      <div className="mt-4 max-w-3xl">
        <p>{question.text}</p>
        <p
          className={`mt-1 border-l-2 border-hairline py-1 pl-3 whitespace-pre-line ${standing === '' ? 'text-muted' : ''}`}
        >
          {standing === '' ? 'not answered' : standing}
        </p>
      </div>
    );
  if (question.answer?.kind === 'choice')
    return (
      <fieldset className="mt-4">
        <legend>{question.text}</legend>
        {question.answer.choices.map((choice) => (
          <label key={choice} className="flex min-h-11 items-center gap-3">
            <input
              type="radio"
              name={id}
              className="size-5 accent-beam"
              checked={standing === choice}
              onChange={() => onWrite(address, choice)}
            />
            {choice}
          </label>
        ))}
      </fieldset>
    );
  return (
    <div className="mt-4 flex flex-col gap-1">
      <label htmlFor={id}>{question.text}</label>
      {question.answer?.kind === 'number' ? (
        <input
          id={id}
          maxLength={100}
          className="min-h-11 w-56 border-b border-hairline bg-surface px-2 font-mono"
          {...draft}
        />
      ) : (
        <textarea
          id={id}
          rows={2}
          maxLength={4000}
          className="max-w-3xl border-b border-hairline bg-surface p-2"
          {...draft}
        />
      )}
    </div>
  );
}
