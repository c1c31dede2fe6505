import type { RunPage } from '@green-beam/contract';
import type { ResultFound } from '@green-beam/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { ask } from '../../../api/request.ts';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { MeasuredNumber } from '../../../numbers/measured-number.tsx';
import { METHODS } from './in-words.ts';

/** With as many degrees of freedom an uncertainty is known as well as if there were no end of them. */
const MANY = 1000;

interface MethodsProps {
  readonly page: RunPage;
  readonly classId: string;
  readonly result: ResultFound;
}

/** The result by every method, folded away: the teacher’s to see, and the group’s once the teacher shares them. */
export function Methods({ page, classId, result }: MethodsProps): ReactNode {
  const numerals = useNumerals();
  const queries = useQueryClient();
  // What was ticked, until the server has answered.
  const [wanted, setWanted] = useState<boolean | null>(null);
  const share = useMutation({
    mutationFn: (shared: boolean) => ask<RunPage>('POST', `/classes/${classId}/runs/${page.id}/methods`, { shared }),
    onSuccess: (changed) => queries.setQueryData(['run', classId, page.id], changed),
    onSettled: () => setWanted(null),
  });
  if (!page.showsMethods) return null;
  return (
    <details className="mt-4">
      <summary className="inline-flex min-h-11 cursor-pointer items-center font-semibold underline decoration-hairline decoration-2 underline-offset-4">
        By the other methods
      </summary>
      <dl className="max-w-xl">
        {result.methods.map(({ method, quoted, degreesOfFreedom, notes }) => (
          <div key={method} className="border-t border-hairline py-1.5">
            <div className="grid grid-cols-[9rem_1fr] gap-4">
              <dt className="text-muted">{METHODS[method]}</dt>
              <dd className="font-mono">
                {quoted && <MeasuredNumber text={quoted.value} uncertainty={quoted.uncertainty} unit={result.unit} />}
              </dd>
            </div>
            {degreesOfFreedom !== null && degreesOfFreedom < MANY && (
              <p className="text-small text-muted">effective degrees of freedom: {degreesOfFreedom}</p>
            )}
            {notes.map((note) => (
              <p key={note} className="text-small text-muted">
                {numerals(note)}
              </p>
            ))}
          </div>
        ))}
      </dl>
      {page.sharesMethods !== null && (
        <label className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="size-5 accent-beam"
            checked={wanted ?? page.sharesMethods}
            disabled={share.isPending}
            onChange={(event) => {
              setWanted(event.target.checked);
              share.mutate(event.target.checked);
            }}
          />
          The group sees these too
        </label>
      )}
      {share.error && (
        <p role="alert" className="text-small text-slip">
          {share.error.message}
        </p>
      )}
    </details>
  );
}
