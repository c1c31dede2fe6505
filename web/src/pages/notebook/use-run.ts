import {
  plainTextOf,
  type NewRunEvent,
  type NewRunEvents,
  type RunPage,
  type SignedIn,
  type StoredRunEvents,
} from '@green-beam/contract';
import { addressKey, chosenMembersFrom, workOut, type Address, type RunEvent, type WorkedRun } from '@green-beam/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef } from 'react';
import { inTheWay } from '../../api/in-the-way.ts';
import { fetchAgain } from '../../api/fetch-again.ts';
import { ask } from '../../api/request.ts';
import { newId } from '../../outbox/new-id.ts';
import { outbox } from '../../outbox/outbox.ts';
import { useOutbox } from '../../outbox/use-outbox.ts';
import { authorOf } from './own/whose.ts';
import { placeInWords } from './place-in-words.ts';

/** A run on the page: as the server has it, with what has been written here and is still on its way. */
export interface RunOnPage {
  readonly page: RunPage | undefined;
  /** With the own calculations of whose work is looked at. */
  readonly worked: WorkedRun | null;
  /** By the book, for a teacher to see beside it; null for everybody else. */
  readonly book: WorkedRun | null;
  /** Whose calculations and answers these are. */
  readonly author: string;
  readonly unsent: number;
  /** Whether the server cannot be reached just now. */
  readonly stuck: boolean;
  readonly error: Error | null;
  write(address: Address, text: string, reason?: string | null): void;
  /** Writes many entries at once: of a table that was taken in. */
  writeAll(entries: readonly Written[], reason: string | null): void;
}

/** An entry and where it belongs. */
export interface Written {
  readonly address: Address;
  readonly text: string;
}

/** So many entries go to the server together. */
const MOST_AT_ONCE = 100;

function asEvent(event: NewRunEvent): RunEvent {
  return { ...event, replaces: event.replaces ?? null, reason: event.reason ?? null, order: null };
}

/** Entries are never taken out of a log: those known already stay, even where a page answered earlier comes in later. */
function withKnown(fetched: RunPage, known: RunPage | undefined): RunPage {
  const ids = new Set(fetched.events.map(({ id }) => id));
  return { ...fetched, events: [...fetched.events, ...(known?.events ?? []).filter(({ id }) => !ids.has(id))] };
}

/** What was written, as its writer would know it again. */
function textInWords(address: Address, text: string): string {
  if (text === '') return 'emptied';
  if (address.kind === 'members') return (chosenMembersFrom(text) ?? []).map(({ id }) => id).join(', ');
  if (address.kind === 'report') return plainTextOf(text).slice(0, 200);
  return address.kind === 'link' ? 'taken over' : text;
}

/**
 * @param writer who is writing, among those signed in at this screen.
 * @param chosen whose work a teacher has chosen to look at.
 */
export function useRun(
  classId: string,
  runId: string,
  signedIn: SignedIn,
  writer: string,
  chosen: string | null,
): RunOnPage {
  const queries = useQueryClient();
  const path = `/classes/${classId}/runs/${runId}`;
  const key = useMemo(() => ['run', classId, runId], [classId, runId]);
  const { data, error } = useQuery({
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
  const author = data ? authorOf(data, signedIn, writer, chosen) : writer;
  // Who has handed in writes no more, though partners may.
  const page = useMemo(
    () => data && { ...data, mayWrite: data.mayWrite && !data.handIns.some((one) => one.author === author) },
    [data, author],
  );
  const worked = useMemo(() => {
    if (!page) return null;
    const { byStudent } = page.arrangement;
    const student = byStudent.length > 0 ? { author, quantities: byStudent } : null;
    return workOut(page.protocol, { events: [...page.events, ...unsent] }, page.rules, student);
  }, [page, unsent, author]);
  const compares = signedIn.role !== 'student' && (page?.arrangement.byStudent.length ?? 0) > 0;
  const book = useMemo(
    () => (page && compares ? workOut(page.protocol, { events: page.events }, page.rules) : null),
    [page, compares],
  );

  /** What has to be entered for a text to stand at a place. */
  const eventsFor = useCallback(
    (address: Address, text: string, reason: string | null): NewRunEvent[] => {
      if (!worked) return [];
      const slot = worked.setting.slots.get(addressKey(address));
      // Where two people wrote different numbers, what is written now replaces them all.
      const others = [slot?.current, ...(slot?.rivals ?? [])].flatMap((one) =>
        one && one.text !== text ? [one.id] : [],
      );
      if (slot && others.length === 0) return [];
      if (!slot && text === '') return [];
      return (slot ? others : [null]).map((replaces): NewRunEvent => ({
        id: newId(),
        address,
        text,
        replaces,
        reason,
        person: writer,
        deviceTime: new Date().toISOString(),
      }));
    },
    [worked, writer],
  );
  const send = useCallback(
    (events: readonly NewRunEvent[], written: string): void => {
      const [first] = events;
      if (!first) return;
      void outbox
        .post<StoredRunEvents>({
          id: first.id,
          personId: signedIn.person.id,
          path: `${path}/events`,
          body: { events },
          written: written.slice(0, 500),
        })
        .then(({ events: stored }) =>
          queries.setQueryData<RunPage>(key, (known) =>
            known
              ? {
                  ...known,
                  events: [...known.events.filter((one) => !stored.some((other) => other.id === one.id)), ...stored],
                }
              : known,
          ),
        )
        .catch(() => undefined);
    },
    [signedIn.person.id, path, queries, key],
  );
  const write = useCallback(
    (address: Address, text: string, reason: string | null = null): void => {
      if (worked)
        send(eventsFor(address, text, reason), `${placeInWords(worked, address)}: ${textInWords(address, text)}`);
    },
    [worked, eventsFor, send],
  );
  const writeAll = useCallback(
    (entries: readonly Written[], reason: string | null): void => {
      const events = entries.flatMap(({ address, text }) => eventsFor(address, text, reason));
      for (let from = 0; from < events.length; from += MOST_AT_ONCE) {
        const some = events.slice(from, from + MOST_AT_ONCE);
        send(some, some.map(({ text }) => text).join(', '));
      }
    },
    [eventsFor, send],
  );
  return { page, worked, book, author, unsent: unsent.length, stuck, error: inTheWay(error, data), write, writeAll };
}
