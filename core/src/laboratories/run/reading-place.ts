import type { Address } from './address.ts';

/**
 * Whether a place belongs to what a group has read: readings, their tools and the choices they were made by. It does not where somebody
 * judges, calculates or answers.
 */
export function isReadingPlace(address: Address): boolean {
  switch (address.kind) {
    case 'cell':
      return address.author === undefined;
    case 'tool':
    case 'option':
    case 'members':
    case 'link':
    case 'adjustment':
      return true;
    case 'excluded':
    case 'shown':
    case 'accepted':
    case 'specimen':
    case 'answer':
    case 'statement':
    case 'report':
      return false;
  }
}
