import type { RunPage } from '@green-beam/contract';
import type { WorkedRun } from '@green-beam/core';
import { placeInWords } from './place-in-words.ts';

/** Where each of the group has written last, the latest first, but for who is writing here. */
export function wherePartnersAre(
  { events, people, group }: Pick<RunPage, 'events' | 'people' | 'group'>,
  run: WorkedRun,
  writer: string,
): { readonly person: string; readonly name: string; readonly place: string }[] {
  const found = new Map<string, string>();
  for (const { person, address } of [...events].sort((a, b) => (b.order ?? Infinity) - (a.order ?? Infinity)))
    if (person !== writer && group.includes(person) && !found.has(person))
      found.set(person, placeInWords(run, address));
  return [...found].map(([person, place]) => ({ person, name: people[person]?.label ?? '', place }));
}
