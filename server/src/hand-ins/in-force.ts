import { GROUP } from '@green-beam/core';
import type { Transaction } from 'sequelize';
import type { RunRow } from '../models/notebook.ts';
import { HandIn } from '../models/reports.ts';
import { Refusal } from '../refusal.ts';

export type RunKey = Pick<RunRow, 'classId' | 'id'>;

/** Under whose name somebody hands in: the group’s where all work on one report. */
export function authorFor({ arrangement }: RunRow, personId: string): string {
  return arrangement.ownWork === 'group' ? GROUP : personId;
}

/** Reports of a page that are handed in and not gone on with. */
export function inForce({ classId, id: runId }: RunKey, transaction?: Transaction): Promise<HandIn[]> {
  return HandIn.findAll({ where: { classId, runId, endedAt: null }, ...(transaction ? { transaction } : {}) });
}

/** Whether an author may go on with what is handed in: nobody has opened it yet, or it has come back to be improved. */
export function mayTakeBack({ openedAt, returnedAt, mayImprove }: HandIn, now = new Date()): boolean {
  return openedAt === null || (mayImprove && returnedAt !== null && returnedAt <= now);
}

/** Looks, while a page is locked, whether everybody who writes still may. @throws Refusal (409). */
export async function checkNotHandedIn(
  run: RunRow,
  people: readonly string[],
  transaction?: Transaction,
): Promise<void> {
  const authors = new Set(people.map((person) => authorFor(run, person)));
  if (run.handedInAt || (await inForce(run, transaction)).some(({ author }) => authors.has(author))) throw handedIn();
}

export const handedIn = (): Refusal => new Refusal(409, 'This page has been handed in. Your teacher can return it.');
