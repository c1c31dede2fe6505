import type { Person } from '../models/people.ts';

const GONE = 'A former member';

/** How a person is called: in full, by first name and initial, or by initials. Somebody deleted has a neutral label. */
export function labelOf(person: Pick<Person, 'givenName' | 'familyName'>, form: 'full' | 'short' | 'initials'): string {
  const { givenName, familyName } = person;
  if (!givenName) return form === 'initials' ? '··' : GONE;
  const initial = familyName ? (familyName[0] ?? '') : '';
  if (form === 'initials') return `${givenName[0] ?? ''}${initial}`.toUpperCase();
  if (form === 'short') return initial ? `${givenName} ${initial}.` : givenName;
  return familyName ? `${givenName} ${familyName}` : givenName;
}
