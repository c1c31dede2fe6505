import { holds, judgeAnswer, type AnswerVerdict, type Question } from '@green-beam/core';
import { useId, type ReactNode } from 'react';
import { useFieldDraft } from './draft.ts';
import type { OnPage } from './on-page.ts';
import { answerAt } from './own/whose.ts';
import { textAt } from './written.ts';

/** An answer that is a number, by the place of the run’s own. */
type NumberAsked = Extract<Question['answer'], { kind: 'number' }>;
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

const SAID: Readonly<Record<Exclude<AnswerVerdict, 'open'>, string>> = {
  agrees: 'This agrees with your results.',
  differs: 'This does not agree with your results, even within their uncertainty. Look at both again.',
  'unit-missing': 'The number agrees with your results. Write its unit too.',
  'unit-wrong': 'The unit does not fit what is asked.',
  unreadable: 'Write a number with its unit.',
};

/** Whether an answer that is a number agrees with the results on the page; nothing while they are not there. */
function Checked({
  run,
  answer,
  text,
}: Pick<On, 'run'> & { readonly answer: NumberAsked; readonly text: string }): ReactNode {
  const verdict = text.trim() === '' ? 'open' : judgeAnswer(run, answer, text);
  return (
    <p role="status" className={`text-small ${verdict === 'agrees' ? 'text-beam' : 'text-slip'}`}>
      {verdict === 'open' ? '' : SAID[verdict]}
    </p>
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
        {question.answer?.kind === 'number' && <Checked run={run} answer={question.answer} text={standing} />}
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
        <>
          <input
            id={id}
            maxLength={100}
            className="min-h-11 w-56 border-b border-hairline bg-surface px-2 font-mono"
            {...draft}
          />
          <Checked run={run} answer={question.answer} text={standing} />
        </>
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
