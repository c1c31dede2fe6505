import type { LabSheetDraft } from '@green-beam/contract';

/** Lists of texts, of which empty lines are left out. */
const LINES: readonly string[] = ['kit', 'cautions', 'corrections', 'choices'];
/** What means the same as nothing where it is empty. */
const MAY_BE_LEFT_OUT: readonly string[] = [
  'usual',
  'value',
  'message',
  'step',
  'goodPercentError',
  'halfWidth',
  'places',
  'optional',
  'container',
];

function isNothing(name: string, value: unknown): boolean {
  if (value === undefined || value === null || Number.isNaN(value)) return true;
  return MAY_BE_LEFT_OUT.includes(name) && (value === '' || value === false);
}

function tidy(name: string, value: unknown): unknown {
  if (Array.isArray(value)) {
    const items = LINES.includes(name)
      ? value.filter((one) => typeof one !== 'string' || one.trim() !== '')
      : (value as unknown[]);
    return items.map((one) => tidy('', one));
  }
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).flatMap(([inner, one]) => (isNothing(inner, one) ? [] : [[inner, tidy(inner, one)]])),
  );
}

/** What a form holds, as a lab sheet: without what was left empty. */
export function tidied(form: Readonly<Record<string, unknown>>): LabSheetDraft {
  return tidy('', form) as LabSheetDraft;
}

const LISTS = [
  'kit',
  'cautions',
  'options',
  'dimensions',
  'quantities',
  'results',
  'comparisons',
  'checks',
  'steps',
  'statements',
  'questions',
  'samples',
] as const;

/** A draft that every part of the editor can show, whatever is missing in it. */
export function showable(draft: LabSheetDraft): LabSheetDraft {
  const lists = LISTS.map((name) => {
    const list: unknown = draft[name];
    const isText = name === 'kit' || name === 'cautions';
    return [
      name,
      Array.isArray(list)
        ? list.filter((one: unknown) => (isText ? typeof one === 'string' : typeof one === 'object' && one !== null))
        : [],
    ];
  });
  return { ...draft, ...Object.fromEntries(lists) } as LabSheetDraft;
}
