import type { RunPage } from '@green-beam/contract';
import { holds, placesOf, type OwnWork, type WorkedRun } from '@green-beam/core';
import type { Seen } from '../on-page.ts';

/** Whether everything that has to be read has been. */
function isRead(run: WorkedRun): boolean {
  return [...run.setting.layout.quantities.values()].every(
    ({ id, kind, optional, over, only }) =>
      optional ||
      !['read', 'counted', 'timed'].includes(kind) ||
      placesOf(run.setting, over, only).every((at) => !run.counts(at) || run.cellAt(id, at)?.kind === 'entry'),
  );
}

/** Whether the student has a result of their own at every place where one is asked for. */
function hasOwnResults(run: WorkedRun, own: OwnWork): boolean {
  const { protocol, chosen, quantities } = run.setting.layout;
  return protocol.results
    .filter(({ when }) => holds(when, chosen))
    .every(({ quantity: id }) => {
      const quantity = quantities.get(id);
      return (
        !quantity ||
        placesOf(run.setting, quantity.over, quantity.only).every((at) => {
          const state = own.at(id, at)?.state;
          return state !== 'turn' && state !== 'waiting' && state !== 'unreadable';
        })
      );
    });
}

/** Whether the accepted value, the comparison and the budget are shown: the page does not answer its own questions. */
export function isRevealed(
  { arrangement, handIns }: RunPage,
  { run, own, as, author }: { run: WorkedRun; own: OwnWork; as: Seen; author: string },
): boolean {
  if (as === 'teacher' || handIns.some((one) => one.author === author)) return true;
  switch (arrangement.reveals) {
    case 'from-the-start':
      return true;
    case 'after-handing-in':
      return false;
    case 'with-own-answer':
      return isRead(run) && hasOwnResults(run, own);
  }
}

/** What has to come first, in words. */
export function revealedWhen({ arrangement }: RunPage): string {
  return arrangement.reveals === 'after-handing-in'
    ? 'You see the accepted value and where the uncertainty comes from after you hand in.'
    : 'The accepted value and where the uncertainty comes from appear when all readings and your own results are there.';
}
