import { holds, seededRandom, type Statement } from '@green-beam/core';
import { useId, type ReactNode } from 'react';
import type { OnPage } from './on-page.ts';
import { statementAt } from './own/whose.ts';
import { textAt } from './written.ts';

type On = Pick<OnPage, 'page' | 'run' | 'author' | 'onWrite'>;

/** Statements on technique: each is judged, and a false one put right. */
export function Statements(props: On): ReactNode {
  const { protocol, chosen } = props.run.setting.layout;
  const statements = protocol.statements.filter(({ when }) => holds(when, chosen));
  if (statements.length === 0) return null;
  return (
    <section className="mt-10" id="technique" tabIndex={-1}>
      <h2 className="text-lg font-bold">True or false?</h2>
      <ol className="mt-2 max-w-3xl">
        {statements.map((statement) => (
          <Judged key={statement.id} {...props} statement={statement} />
        ))}
      </ol>
    </section>
  );
}

/** The corrections in an order of their own for each statement and page, so that the right one is not always the first. */
function mixed(runId: string, { id, corrections }: Statement): number[] {
  const seed = Array.from(`${runId}${id}`).reduce(
    (sum, letter) => (sum * 31 + (letter.codePointAt(0) ?? 0)) % 2 ** 31,
    7,
  );
  const random = seededRandom(seed);
  return corrections
    .map((_, index) => ({ index, at: random.uniform() }))
    .sort((a, b) => a.at - b.at)
    .map(({ index }) => index);
}

function Judged({ page, run, author, onWrite, statement }: On & { readonly statement: Statement }): ReactNode {
  const name = useId();
  const address = statementAt(statement.id, author, page.arrangement);
  const text = textAt(run, address);
  const isFalse = text !== '' && text !== 'holds';
  const correction = /^\d+$/.test(text) ? Number(text) : null;
  const isRight = statement.holds ? text === 'holds' : correction === 0;
  const isDecided = text === 'holds' || correction !== null || (isFalse && statement.holds);
  const choices = [
    ['holds', 'true', text === 'holds'],
    ['fails', 'false', isFalse],
  ] as const;
  return (
    <li className="border-t border-hairline py-3">
      <fieldset disabled={!page.mayWrite}>
        <legend className="float-left mr-6">{statement.text}</legend>
        {choices.map(([value, label, isChosen]) => (
          <label key={value} className="mr-5 inline-flex min-h-9 items-center gap-2">
            <input
              type="radio"
              name={name}
              className="size-5 accent-beam"
              checked={isChosen}
              onChange={() => onWrite(address, value)}
            />
            {label}
          </label>
        ))}
        {isFalse && !statement.holds && (
          <div className="mt-2" role="group" aria-label="What it should say">
            <p className="text-small font-semibold">What should it say?</p>
            {mixed(page.id, statement).map((index) => (
              <label key={index} className="flex min-h-11 items-center gap-3">
                <input
                  type="radio"
                  name={`${name} correction`}
                  className="size-5 accent-beam"
                  checked={correction === index}
                  onChange={() => onWrite(address, String(index))}
                />
                {statement.corrections[index]}
              </label>
            ))}
          </div>
        )}
      </fieldset>
      {isDecided && (
        <p className={`mt-1 border-l-2 pl-3 ${isRight ? 'border-beam' : 'border-slip'}`}>
          <strong>{isRight ? 'Right.' : 'Not quite.'}</strong> {statement.because}
        </p>
      )}
    </li>
  );
}
