import type { RunSummary } from '@green-beam/contract';
import { useQuery } from '@tanstack/react-query';
import Papa from 'papaparse';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { ask } from '../../../api/request.ts';
import { Button } from '../../../ui/button.tsx';
import type { HandedTable } from '../../../tables/handed-table.ts';

interface IntoLaboratoryProps {
  readonly classId: string;
  /** Upright, with its headings in the first row. */
  readonly table: readonly (readonly string[])[];
}

/** The readings of a table are taken into a page of the notebook, where each column is said to be a quantity. */
export function IntoLaboratory({ classId, table }: IntoLaboratoryProps): ReactNode {
  const navigate = useNavigate();
  const { data: runs } = useQuery({
    queryKey: ['runs', classId],
    queryFn: () => ask<RunSummary[]>('GET', `/classes/${classId}/runs`),
  });
  const [chosen, setChosen] = useState('');
  const open = runs?.filter(({ handedInAt, isGiven }) => handedInAt === null && !isGiven) ?? [];
  if (open.length === 0) return null;
  const take = (): void => {
    const handed: HandedTable = {
      table: Papa.unparse(
        table.map((row) => [...row]),
        { delimiter: '\t' },
      ),
    };
    void navigate(`/notebook/${chosen}`, { state: handed });
  };
  return (
    <form
      className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (chosen !== '') take();
      }}
    >
      <label className="flex max-w-full flex-wrap items-center gap-3 text-small font-semibold">
        Take it into a laboratory
        <select
          value={chosen}
          className="min-h-11 max-w-full min-w-0 border-b-2 border-ink bg-surface px-2 text-base font-normal"
          onChange={(event) => setChosen(event.target.value)}
        >
          <option value="">choose a page …</option>
          {open.map(({ id, specimen, title }) => (
            <option key={id} value={id}>
              {specimen}: {title}
            </option>
          ))}
        </select>
      </label>
      <Button type="submit" look="quiet" disabled={chosen === ''}>
        Open it there
      </Button>
    </form>
  );
}
