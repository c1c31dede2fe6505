import type { ClassResults, NewPairNote, PairSide, ResultPairShown } from '@green-beam/contract';
import type { HouseRules } from '@green-beam/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import { useId, useState, type ReactNode } from 'react';
import { ask } from '../../../api/request.ts';
import { newId } from '../../../outbox/new-id.ts';
import { Button } from '../../../ui/button.tsx';
import { useDraft } from '../../../ui/use-draft.ts';
import { listed } from '../in-words.ts';
import { TwoResults } from './two-results.tsx';

const LONGEST = 1000;

/** What one group has written of the difference. */
export function Note({ side: { note }, nothing }: { readonly side: PairSide; readonly nothing: string }): ReactNode {
  if (!note) return <p className="text-muted">{nothing}</p>;
  return (
    <blockquote className="border-l-[3px] border-hairline pl-3">
      <p className="whitespace-pre-line">{note.text}</p>
      <footer className="text-small text-muted">
        {note.by}, {format(new Date(note.at), 'd MMM, HH:mm')}
      </footer>
    </blockquote>
  );
}

interface OwnPairProps {
  readonly classId: string;
  readonly personId: string;
  readonly found: ClassResults;
  readonly pair: ResultPairShown;
  readonly rules: HouseRules;
}

function Writing({ classId, personId, pair }: Omit<OwnPairProps, 'found' | 'rules'>): ReactNode {
  const id = useId();
  const queries = useQueryClient();
  const [own] = pair.sides;
  const [text, setText] = useDraft(`explanation ${pair.id} ${personId}`, own.note?.text ?? '');
  const [noteId, setNoteId] = useState(newId);
  const { mutate, isPending, error } = useMutation({
    mutationFn: (body: NewPairNote) => ask('POST', `/classes/${classId}/pairs/${pair.id}/notes`, body),
    onSuccess: () => {
      setNoteId(newId());
      return queries.invalidateQueries({ queryKey: ['class-results', classId] });
    },
  });
  const written = text.trim();
  const isSaved = written === (own.note?.text ?? '');
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (written !== '' && !isPending) mutate({ id: noteId, personId, text: written });
      }}
    >
      <label htmlFor={id} className="font-semibold">
        What explains the difference?
      </label>
      <textarea
        id={id}
        rows={4}
        maxLength={LONGEST}
        value={text}
        aria-invalid={error !== null}
        className="mt-1 w-full border-b-2 border-ink bg-surface p-2"
        onChange={(event) => setText(event.target.value)}
      />
      {error && (
        <p role="alert" className="text-small text-slip">
          {error.message}
        </p>
      )}
      <div className="mt-2 flex items-center gap-4">
        <Button type="submit" disabled={isPending || written === '' || isSaved}>
          {own.note ? 'Save the change' : 'Save'}
        </Button>
        <span role="status" className="text-small text-muted">
          {own.note && isSaved && `Saved by ${own.note.by}. The other group reads it.`}
        </span>
      </div>
    </form>
  );
}

/** One’s own group and another look at each other’s results, and each writes what explains the difference. */
export function OwnPair({ classId, personId, found, pair, rules }: OwnPairProps): ReactNode {
  const [own, other] = pair.sides;
  return (
    <section aria-label="Your group and another" className="mt-6 border-y border-hairline py-5">
      <h3 className="text-lg font-bold">
        You and group {other.letter}: {listed(other.names)}
      </h3>
      <p className="mb-3 max-w-prose text-muted">
        Sit down with them. Look at both pages, and find out together where the difference comes from.
      </p>
      <TwoResults found={found} sides={pair.sides} rules={rules} />
      <div className="mt-5 grid grid-cols-[minmax(0,1fr)] gap-x-12 gap-y-5 wide:grid-cols-2">
        {pair.isOpen ? (
          <Writing classId={classId} personId={personId} pair={pair} />
        ) : (
          <div>
            <p className="mb-1 font-semibold">What you wrote</p>
            <Note side={own} nothing="Nothing." />
          </div>
        )}
        <div>
          <p className="mb-1 font-semibold">What they {pair.isOpen ? 'write' : 'wrote'}</p>
          <Note side={other} nothing={pair.isOpen ? 'Nothing yet.' : 'Nothing.'} />
        </div>
      </div>
    </section>
  );
}
