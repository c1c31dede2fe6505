import type { RunSummary } from '@green-beam/contract';
import { useQuery } from '@tanstack/react-query';
import { format } from 'date-fns';
import { useId, type ReactNode } from 'react';
import { ask } from '../../../api/request.ts';
import { Ticks } from '../../../ui/ticks.tsx';

interface GivenToProps {
  readonly classId: string;
  readonly students: readonly { readonly id: string; readonly label: string }[];
  readonly chosen: readonly string[];
  readonly onChosen: (ids: readonly string[]) => void;
  /** Where readings are copied: the laboratory, and the page they are on. */
  readonly copied: { readonly protocolId: string; readonly from: string } | null;
  readonly onFrom: (runId: string) => void;
}

/** The page whose readings everybody gets. */
function FromPage({
  classId,
  protocolId,
  from,
  onFrom,
}: {
  readonly classId: string;
  readonly protocolId: string;
  readonly from: string;
  readonly onFrom: (runId: string) => void;
}): ReactNode {
  const id = useId();
  const { data: runs } = useQuery({
    queryKey: ['runs', classId],
    queryFn: () => ask<RunSummary[]>('GET', `/classes/${classId}/runs`),
  });
  const pages = runs?.filter((run) => run.protocolId === protocolId && !run.isGiven) ?? [];
  if (protocolId === '') return <p className="text-muted">Choose the laboratory first.</p>;
  if (runs && pages.length === 0)
    return (
      <p className="text-muted">
        There is no page of this laboratory yet. Begin one of your own under “Class work” and type the readings there.
      </p>
    );
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="text-small font-semibold">
        Readings of
      </label>
      <select
        id={id}
        value={from}
        onChange={(event) => onFrom(event.target.value)}
        className="min-h-11 w-full max-w-xl border-b-2 border-ink bg-surface px-2"
      >
        <option value="" disabled>
          choose a page
        </option>
        {pages.map((run) => (
          <option key={run.id} value={run.id}>
            {run.specimen}, {run.members.join(', ')}, {format(new Date(run.startedAt), 'd MMM')}
          </option>
        ))}
      </select>
    </div>
  );
}

/** Who is given readings, and, where everybody gets the same, which. */
export function GivenTo({ classId, students, chosen, onChosen, copied, onFrom }: GivenToProps): ReactNode {
  return (
    <section className="flex flex-col gap-5" aria-label="Given readings">
      {copied && <FromPage classId={classId} {...copied} onFrom={onFrom} />}
      <Ticks
        legend="Who gets them"
        options={students.map(({ id, label }) => ({ id, name: label }))}
        chosen={chosen}
        onChange={onChosen}
      />
      <p className="text-muted">
        Each gets a page of their own, and calculates alone. If this laboratory leaves nothing to the students, they
        calculate everything here.
      </p>
    </section>
  );
}
