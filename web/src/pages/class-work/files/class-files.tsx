import type { LabSheetFault } from '@green-beam/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { ask, RefusedError } from '../../../api/request.ts';
import { newId } from '../../../outbox/new-id.ts';
import { Button } from '../../../ui/button.tsx';
import { FileChoice } from '../../../ui/file-choice.tsx';
import { FaultList } from '../../lab-sheets/fault-list.tsx';
import { readRunText, type RunFileRead } from './read-run-file.ts';
import { useClassZip } from './use-class-zip.ts';

/** Saves every page of the class. */
function SaveAll({ classId }: { readonly classId: string }): ReactNode {
  const { state, start, cancel } = useClassZip(classId);
  return (
    <div>
      <p className="max-w-prose text-muted">
        Every page as a table (CSV) and with its whole history (JSON), in one file. No marks are in it; those are in the
        gradebook.
      </p>
      <div className="mt-2 flex flex-wrap items-center gap-4">
        {state.kind === 'running' ? (
          <Button look="plain" onClick={cancel}>
            Cancel
          </Button>
        ) : (
          <Button look="plain" onClick={start}>
            Save all pages (ZIP)
          </Button>
        )}
        <p role="status" className="text-muted">
          {state.kind === 'running' && (state.of === 0 ? 'Looking …' : `${state.done} of ${state.of} …`)}
          {state.kind === 'saved' && (state.of === 1 ? 'One page is saved.' : `${state.of} pages are saved.`)}
        </p>
      </div>
      {state.kind === 'failed' && (
        <p role="alert" className="mt-2 text-slip">
          Nothing was saved. {state.message}
        </p>
      )}
    </div>
  );
}

function faultsOf(error: Error | null): readonly LabSheetFault[] {
  const body = error instanceof RefusedError ? (error.body as { readonly faults?: LabSheetFault[] } | null) : null;
  return body?.faults ?? [];
}

/** Who wrote, and who of them is in this class. */
function People({ classId, people }: { readonly classId: string; readonly people: RunFileRead['people'] }): ReactNode {
  const { data: students = [] } = useQuery({
    queryKey: ['classmates', classId],
    queryFn: () => ask<{ id: string; label: string }[]>('GET', `/classes/${classId}/classmates`),
  });
  const isHere = (id: string, label: string): boolean =>
    students.some((one) => one.id === id) || students.filter((one) => one.label === label).length === 1;
  return (
    <ul className="mt-1 text-small">
      {Object.entries(people).map(([id, label]) => (
        <li key={id}>
          {label}:{' '}
          <span className="text-muted">
            {isHere(id, label)
              ? 'is in this class and finds the page'
              : 'is not in this class; what they wrote is shown as yours'}
          </span>
        </li>
      ))}
    </ul>
  );
}

/** Takes in a saved laboratory: what is in it is shown first. */
function TakeIn({ classId }: { readonly classId: string }): ReactNode {
  const goTo = useNavigate();
  const queries = useQueryClient();
  const [read, setRead] = useState<(RunFileRead & { readonly id: string }) | null>(null);
  const [faults, setFaults] = useState<readonly LabSheetFault[]>([]);
  const taking = useMutation({
    mutationFn: (body: { readonly id: string; readonly file: unknown }) =>
      ask<{ id: string }>('POST', `/classes/${classId}/runs/import`, body),
    onSuccess: async (made) => {
      await queries.invalidateQueries({ queryKey: ['runs', classId] });
      await goTo(`/notebook/${made.id}`);
    },
  });
  const open = async (file: File): Promise<void> => {
    taking.reset();
    const found =
      file.size > 8_000_000
        ? { faults: [{ path: '', reason: `This file has ${Math.ceil(file.size / 1e6)} MB. That is too large.` }] }
        : readRunText(await file.text());
    setFaults('faults' in found ? found.faults : []);
    setRead('faults' in found ? null : { ...found, id: newId() });
  };
  const wrong = faults.length > 0 ? faults : faultsOf(taking.error);
  return (
    <div className="mt-6">
      <FileChoice
        label="Take in a saved page (JSON)"
        accept=".json,application/json"
        onFile={(file) => void open(file)}
      />
      <FaultList faults={wrong} title="Nothing was taken in. This is wrong in the file:" />
      {taking.error && wrong.length === 0 && (
        <p role="alert" className="text-slip">
          {taking.error.message}
        </p>
      )}
      {read && (
        <div className="border-l-[3px] border-beam pl-4">
          <p>
            <strong>{read.specimen}</strong>, {read.title}.{' '}
            {read.entries === 1 ? 'One entry' : `${read.entries} entries`}, by:
          </p>
          <People classId={classId} people={read.people} />
          <Button
            look="plain"
            className="mt-2"
            disabled={taking.isPending}
            onClick={() => taking.mutate({ id: read.id, file: read.file })}
          >
            Take it in
          </Button>
        </div>
      )}
    </div>
  );
}

/** The pages of the class as files: all of them saved, or one taken in. */
export function ClassFiles({ classId }: { readonly classId: string }): ReactNode {
  return (
    <details className="border-t border-hairline pt-2">
      <summary className="min-h-11 cursor-pointer py-2 text-lg font-bold">Files</summary>
      <SaveAll classId={classId} />
      <TakeIn classId={classId} />
    </details>
  );
}
