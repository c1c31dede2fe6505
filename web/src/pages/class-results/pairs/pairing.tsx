import type { ClassResults, NewPairs, ResultPairShown } from '@green-beam/contract';
import { pairsApart, type HouseRules } from '@green-beam/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { ask } from '../../../api/request.ts';
import { newId } from '../../../outbox/new-id.ts';
import { Button } from '../../../ui/button.tsx';
import { counted, listed } from '../in-words.ts';
import type { ComparedResult } from '../result-rows.ts';
import { Note } from './own-pair.tsx';
import { TwoResults } from './two-results.tsx';

const SELECT = 'min-h-11 border-b-2 border-ink bg-surface px-2 font-normal';

interface PairingProps {
  readonly classId: string;
  readonly runId: string;
  readonly found: ClassResults;
  readonly compared: ComparedResult;
  readonly rules: HouseRules;
}

/** Ends pairs: what was written stays to be read. */
function useEnd(classId: string): {
  readonly end: (pairs: readonly string[]) => void;
  readonly isPending: boolean;
  readonly error: Error | null;
} {
  const queries = useQueryClient();
  const { mutate, isPending, error } = useMutation({
    mutationFn: (pairs: readonly string[]) =>
      Promise.all(pairs.map((id) => ask('POST', `/classes/${classId}/pairs/${id}/end`, {}))),
    onSettled: () => queries.invalidateQueries({ queryKey: ['class-results', classId] }),
  });
  return { end: mutate, isPending, error };
}

function Opened({
  classId,
  found,
  pair,
  rules,
}: {
  readonly classId: string;
  readonly found: ClassResults;
  readonly pair: ResultPairShown;
  readonly rules: HouseRules;
}): ReactNode {
  const { end, isPending, error } = useEnd(classId);
  const [first, second] = pair.sides;
  const name = `${first.letter} and ${second.letter}`;
  return (
    <li className="border-t border-hairline py-4">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h4 className="font-bold">{name}</h4>
        <span className="text-small text-muted">{pair.isOpen ? 'still open' : 'ended'}</span>
        {pair.isOpen && (
          <Button look="quiet" disabled={isPending} onClick={() => end([pair.id])} aria-label={`End ${name}`}>
            End
          </Button>
        )}
      </div>
      {error && (
        <p role="alert" className="text-small text-slip">
          {error.message}
        </p>
      )}
      <div className="grid grid-cols-[minmax(0,1fr)] gap-x-12 gap-y-3 wide:grid-cols-2">
        {pair.sides.map((side) => (
          <div key={side.letter}>
            <p className="text-small font-semibold">
              {side.letter}: {listed(side.names)}
            </p>
            <Note side={side} nothing="Nothing written yet." />
          </div>
        ))}
      </div>
      <details className="mt-2">
        <summary className="flex min-h-11 w-fit cursor-pointer items-center text-small underline decoration-hairline decoration-2 underline-offset-4">
          Both results of {name}
        </summary>
        <TwoResults found={found} sides={pair.sides} rules={rules} />
      </details>
    </li>
  );
}

/** The teacher brings groups together that have handed in, and reads what each writes about the difference. */
export function Pairing({ classId, runId, found, compared, rules }: PairingProps): ReactNode {
  const queries = useQueryClient();
  const [chosen, setChosen] = useState<readonly [string, string]>(['', '']);
  const open = useMutation({
    mutationFn: (body: NewPairs) => ask<ClassResults>('POST', `/classes/${classId}/class-results/${runId}/pairs`, body),
    onSuccess: (changed) => {
      setChosen(['', '']);
      queries.setQueryData(['class-results', classId, runId], changed);
    },
  });
  const runOf = new Map(
    found.groups.flatMap(({ letter, runId: run }) => (run === null ? [] : [[letter, run] as const])),
  );
  const busy = new Set(
    found.pairs.filter(({ isOpen }) => isOpen).flatMap(({ sides }) => sides.map(({ letter }) => letter)),
  );
  const ending = useEnd(classId);
  const writing = found.pairs.filter(({ isOpen }) => isOpen).map(({ id }) => id);
  const ready = compared.rows.filter(({ group }) => group.isHandedIn);
  const waiting = compared.rows.length - ready.length;
  const free = ready.filter(({ group }) => !busy.has(group.letter));
  const suggested = pairsApart(free.map(({ group, result }) => ({ group: group.letter, value: result.value })));
  const send = (pairs: readonly (readonly [string, string])[]): void =>
    open.mutate({ pairs: pairs.map(([a, b]) => ({ id: newId(), runs: [runOf.get(a) ?? '', runOf.get(b) ?? ''] })) });
  const letters = ready.map(({ group }) => group.letter).sort();
  return (
    <section id="pairs" aria-label="Groups in pairs" className="mt-10 max-w-5xl">
      <h3 className="text-lg font-bold">Groups in pairs</h3>
      <p className="max-w-prose text-muted">
        Two groups see each other’s results and names, and each writes what explains the difference.
        {waiting > 0 && ` ${waiting === 1 ? 'One group has' : `${waiting} groups have`} not handed in yet.`}
      </p>
      {suggested.length > 0 && (
        <div className="mt-3 flex flex-wrap items-center gap-x-5 gap-y-2">
          <Button look="plain" disabled={open.isPending} onClick={() => send(suggested)}>
            Pair these {counted(2 * suggested.length)} groups
          </Button>
          <span className="text-small">far apart: {suggested.map(([a, b]) => `${a} with ${b}`).join(', ')}</span>
        </div>
      )}
      {letters.length > 1 && (
        <form
          className="mt-2 flex flex-wrap items-center gap-3 text-small"
          onSubmit={(event) => {
            event.preventDefault();
            if (chosen[0] !== '' && chosen[1] !== '') send([chosen]);
          }}
        >
          {([0, 1] as const).map((side) => (
            <label key={side} className="flex items-center gap-2 font-semibold">
              {side === 0 ? 'Or group' : 'with group'}
              <select
                value={chosen[side]}
                className={SELECT}
                onChange={(event) =>
                  setChosen(side === 0 ? [event.target.value, chosen[1]] : [chosen[0], event.target.value])
                }
              >
                <option value="">…</option>
                {letters.map((letter) => (
                  <option key={letter}>{letter}</option>
                ))}
              </select>
            </label>
          ))}
          <Button type="submit" look="quiet" disabled={open.isPending || chosen.includes('')}>
            Pair them
          </Button>
        </form>
      )}
      {open.error && (
        <p role="alert" className="mt-2 text-slip">
          {open.error.message}
        </p>
      )}
      {writing.length > 1 && (
        <Button look="quiet" className="mt-3" disabled={ending.isPending} onClick={() => ending.end(writing)}>
          End all {counted(writing.length)}
        </Button>
      )}
      <ul className="mt-4">
        {found.pairs.map((pair) => (
          <Opened key={pair.id} classId={classId} found={found} pair={pair} rules={rules} />
        ))}
      </ul>
    </section>
  );
}
