import { instrumentById, subjectById, toolFamilies } from '@green-beam/core';

function listed(names: readonly string[]): string {
  const [first = '', ...others] = names;
  const rest = others.map((name) => name.toLowerCase());
  return rest.length === 0 ? first : `${[first, ...rest.slice(0, -1)].join(', ')} and ${rest.at(-1) ?? ''}`;
}

/** With more, a title would be a list. */
const NAMED = 3;

/** A title for a set, from what it is made of. @param tools of the equipment, where the very tools are named. */
export function suggestedTitle(
  subjectIds: readonly string[],
  tools: readonly { readonly code: string; readonly instrumentId: string }[],
): string {
  const families = toolFamilies().filter((family) => family.tools.some(({ id }) => subjectIds.includes(id)));
  const exercises = subjectIds.map(subjectById).filter(({ domain }) => domain === 'calculating');
  const names = [
    ...tools.map(({ code, instrumentId }) => `${instrumentById(instrumentId).name} ${code}`),
    ...families.map(({ name }) => name),
    ...exercises.map(({ name }) => name),
  ];
  if (names.length === 0) return 'Every tool';
  return names.length > NAMED
    ? `${listed(names.slice(0, NAMED))} and more`.replace(/ and (.*) and more$/, ', $1 and more')
    : listed(names);
}
