import type { ReportComment } from '@green-beam/contract';
import type { WorkedRun } from '@green-beam/core';
import { useId, useState, type ReactNode } from 'react';
import { newId } from '../../outbox/new-id.ts';
import { Button } from '../../ui/button.tsx';
import type { About } from './about.ts';
import { commentPlace } from '../notebook/report/come-back.tsx';

interface CommentBoxProps {
  readonly run: WorkedRun;
  readonly comments: readonly ReportComment[];
  /** The teacher’s commonest comments. */
  readonly common: readonly string[];
  /** What the next comment is about; null for the whole report. */
  readonly about: About | null;
  readonly onWhole: () => void;
  readonly onChange: (comments: readonly ReportComment[]) => void;
}

/** So many of the commonest comments are offered. */
const OFFERED = 3;

/** What is said of a report: one’s own commonest comments first, or a new one. */
export function CommentBox({ run, comments, common, about, onWhole, onChange }: CommentBoxProps): ReactNode {
  const id = useId();
  const [text, setText] = useState('');
  const add = (said: string): void => {
    const trimmed = said.trim();
    if (trimmed === '') return;
    onChange([...comments, { id: newId(), at: about?.at ?? null, quote: about?.quote ?? null, text: trimmed }]);
    setText('');
  };
  const place = about && commentPlace(about, run);
  return (
    <section aria-label="Your comments">
      <h2 className="font-bold">Your comment</h2>
      <p className="text-small text-muted">
        {place === null
          ? 'About the whole report. Choose a cell or a part to say something about it.'
          : `About: ${place}. `}
        {place !== null && (
          <button type="button" className="underline underline-offset-4" onClick={onWhole}>
            About the whole report
          </button>
        )}
      </p>
      <div className="mt-1 flex flex-wrap gap-x-4">
        {common.slice(0, OFFERED).map((said) => (
          <button
            key={said}
            type="button"
            className="min-h-11 text-left font-semibold underline decoration-hairline decoration-2 underline-offset-4 hover:decoration-beam"
            onClick={() => add(said)}
          >
            {said}
          </button>
        ))}
      </div>
      <form
        className="mt-1 flex items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          add(text);
        }}
      >
        <label htmlFor={id} className="sr-only">
          Your comment
        </label>
        <textarea
          id={id}
          rows={2}
          maxLength={2000}
          value={text}
          placeholder="or write your own"
          className="min-w-0 flex-1 border-b-2 border-ink bg-surface p-2"
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter' && !event.shiftKey) {
              event.preventDefault();
              add(text);
            }
          }}
        />
        <Button type="submit" look="plain" disabled={text.trim() === ''}>
          Add
        </Button>
      </form>
      <ul className="mt-3 flex flex-col gap-2">
        {comments.map((comment) => {
          const where = commentPlace(comment, run);
          return (
            <li key={comment.id} className="flex items-start justify-between gap-3 border-l-[3px] border-beam pl-3">
              <span>
                {where !== null && <span className="block text-small text-muted">{where}</span>}
                <span className="whitespace-pre-line">{comment.text}</span>
              </span>
              <button
                type="button"
                className="min-h-11 shrink-0 text-small text-muted underline underline-offset-4"
                aria-label={`Take away “${comment.text.slice(0, 40)}”`}
                onClick={() => onChange(comments.filter((one) => one.id !== comment.id))}
              >
                Take away
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
