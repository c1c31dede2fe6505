import type { NewRunEvent, NewRunEvents, RunPage, SignedIn, StoredRunEvents } from '@green-beam/contract';
import { evaluateRun, type EvaluatedRun, type RunEvent } from '@green-beam/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef } from 'react';
import { fetchAgain } from '../../api/fetch-again.ts';
import { ask } from '../../api/request.ts';
import { newId } from '../../outbox/new-id.ts';
import { outbox } from '../../outbox/outbox.ts';
import { useOutbox } from '../../outbox/use-outbox.ts';

/** A run on the page: as the server has it, with what has been written here and is still on its way. */
export interface RunOnPage {
  readonly page: RunPage | undefined;
  readonly evaluated: EvaluatedRun | null;
  readonly unsent: number;
  /** Whether the server cannot be reached just now. */
  readonly stuck: boolean;
  readonly error: Error | null;
  write(slot: string, text: string, reason?: string | null): void;
}

function asEvent(event: NewRunEvent): RunEvent {
  return { ...event, replaces: event.replaces ?? null, reason: event.reason ?? null, order: null };
}

/** Entries are never taken out of a log: those known already stay, even where a page answered earlier comes in later. */
function withKnown(fetched: RunPage, known: RunPage | undefined): RunPage {
  const ids = new Set(fetched.events.map(({ id }) => id));
  return { ...fetched, events: [...fetched.events, ...(known?.events ?? []).filter(({ id }) => !ids.has(id))] };
}

/** A cell by its name, with what was written into it: `Dry mass, trial 1: 54.29`. */
function inWords(page: RunPage | undefined, slot: string, text: string): string {
  const [id = '', trial] = slot.split('.');
  const name = page?.protocol.quantities.find((quantity) => quantity.id === id)?.name ?? id;
  return `${name}${trial === undefined ? '' : `, trial ${trial}`}: ${text === '' ? 'emptied' : text}`;
}

/** @param writer who is writing, among those signed in at this screen. */
export function useRun(classId: string, runId: string, signedIn: SignedIn, writer: string): RunOnPage {
  const queries = useQueryClient();
  const path = `/classes/${classId}/runs/${runId}`;
  const key = useMemo(() => ['run', classId, runId], [classId, runId]);
  const { data: page, error } = useQuery({
    queryKey: key,
    queryFn: async () => withKnown(await ask<RunPage>('GET', path), queries.getQueryData<RunPage>(key)),
  });
  const { waiting, stuck } = useOutbox();
  const unsent = useMemo(
    () =>
      waiting
        .filter((entry) => entry.path === `${path}/events`)
        .flatMap((entry) => (entry.body as NewRunEvents).events.map(asEvent)),
    [waiting, path],
  );
  // What waited here from before a reload was taken by the server after this page had fetched the run.
  const waited = useRef(0);
  useEffect(() => {
    if (waited.current > 0 && unsent.length === 0) void fetchAgain(queries, key);
    waited.current = unsent.length;
  }, [unsent.length, queries, key]);
  const evaluated = useMemo(
    () => (page ? evaluateRun(page.protocol, { events: [...page.events, ...unsent] }, page.rules) : null),
    [page, unsent],
  );

  const write = useCallback(
    (slot: string, text: string, reason: string | null = null): void => {
      const standing = currentIn(evaluated, slot);
      if ((standing?.text ?? '') === text) return;
      const event: NewRunEvent = {
        id: newId(),
        slot,
        text,
        replaces: standing?.id ?? null,
        reason,
        person: writer,
        deviceTime: new Date().toISOString(),
      };
      void outbox
        .post<StoredRunEvents>({
          id: event.id,
          personId: signedIn.person.id,
          path: `${path}/events`,
          body: { events: [event] },
          written: inWords(page, slot, text),
        })
        .then(({ events }) =>
          queries.setQueryData<RunPage>(key, (known) =>
            known
              ? {
                  ...known,
                  events: [...known.events.filter((one) => !events.some((other) => other.id === one.id)), ...events],
                }
              : known,
          ),
        )
        .catch(() => undefined);
    },
    [page, evaluated, writer, signedIn.person.id, path, queries, key],
  );
  return { page, evaluated, unsent: unsent.length, stuck, error, write };
}

/** The entry in force in a slot, of a trial or of the run. */
export function currentIn(evaluated: EvaluatedRun | null, slot: string): RunEvent | null {
  const [id = '', trial] = slot.split('.');
  const cell = evaluated?.rows.find((row) => String(row.trial) === trial)?.cells[id];
  if (cell?.kind === 'reading' || cell?.kind === 'unusable' || cell?.kind === 'empty') return cell.event ?? null;
  return evaluated?.notes[slot]?.current ?? null;
}
