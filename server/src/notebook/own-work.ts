import type { NewRunEvent } from '@green-beam/contract';
import { GROUP, isReadingPlace, type Address, type Arrangement } from '@green-beam/core';
import type { RunEventRow, RunRow } from '../models/notebook.ts';
import { Refusal } from '../refusal.ts';

/** Whose own work an entry is; undefined for what is everybody’s. */
function authorIn(address: RunEventRow['address']): string | undefined {
  return 'author' in address ? address.author : undefined;
}

/** Whose an entry at this place has to be; undefined for what is everybody’s. */
function ownerOf(address: Address, person: string, { ownWork, byStudent }: Arrangement): string | undefined {
  const owner = ownWork === 'group' ? GROUP : person;
  switch (address.kind) {
    case 'cell':
      return address.author === undefined && !byStudent.includes(address.quantity) ? undefined : owner;
    case 'shown':
      return owner;
    case 'answer':
    case 'statement':
    case 'report':
      return ownWork === 'group' ? undefined : owner;
    case 'tool':
    case 'adjustment':
    case 'link':
    case 'option':
    case 'members':
    case 'excluded':
    case 'accepted':
    case 'specimen':
      return undefined;
  }
}

/**
 * Looks whether everybody writes their own: nobody calculates or answers for another one, and what the page works out nobody writes.
 * @throws Refusal naming the field.
 */
export function checkAuthors(arrangement: Arrangement, events: readonly NewRunEvent[]): void {
  for (const { address, person } of events) {
    const author = authorIn(address);
    const needsOwn = address.kind === 'shown' || (address.kind === 'cell' && author !== undefined);
    if (needsOwn && 'quantity' in address && !arrangement.byStudent.includes(address.quantity))
      throw new Refusal(400, 'The page works this out by itself.', 'address.quantity');
    if (author !== ownerOf(address, person, arrangement))
      throw new Refusal(
        author === undefined ? 400 : 403,
        author === undefined ? 'Say whose work it is.' : 'You can only write your own work.',
        'address.author',
      );
  }
}

/** @throws Refusal where somebody would change readings that were given. */
export function checkGiven({ given }: RunRow, events: readonly NewRunEvent[]): void {
  if (given !== null && events.some(({ address }) => isReadingPlace(address)))
    throw new Refusal(403, 'Your teacher has given these readings. They stay as they are.', 'address');
}

/**
 * The part of a log that these people may see: what others have worked out for themselves is theirs until they have handed it in, and is
 * seen by who has handed in too.
 * @param handedIn authors whose reports are handed in.
 */
export function visibleTo(
  people: readonly string[],
  rows: readonly RunEventRow[],
  handedIn: readonly string[] = [],
): RunEventRow[] {
  const isThrough = people.every((person) => handedIn.includes(person));
  return rows.filter(({ address }) => {
    const author = authorIn(address);
    if (author === undefined || author === GROUP || people.includes(author)) return true;
    return isThrough && handedIn.includes(author);
  });
}
