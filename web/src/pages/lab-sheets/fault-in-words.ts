import type { LabSheetDraft, LabSheetFault } from '@green-beam/contract';

/** The parts of the editor. */
export const SECTIONS = [
  { id: 'about', name: 'What it is about' },
  { id: 'tools', name: 'Tools and repeats' },
  { id: 'results', name: 'Results' },
  { id: 'steps', name: 'Steps' },
  { id: 'statements', name: 'Technique' },
  { id: 'questions', name: 'Questions' },
  { id: 'advanced', name: 'Advanced' },
  { id: 'try', name: 'Try it' },
  { id: 'use', name: 'Use it' },
] as const;
export type SectionId = (typeof SECTIONS)[number]['id'];

/** Where each part of a protocol is written. */
const WRITTEN_IN: Readonly<Record<string, SectionId>> = {
  title: 'about',
  setting: 'about',
  purpose: 'about',
  kit: 'about',
  cautions: 'about',
  results: 'results',
  comparisons: 'results',
  byStudent: 'results',
  steps: 'steps',
  statements: 'statements',
  questions: 'questions',
  samples: 'try',
};

const LISTS: Readonly<Record<string, string>> = {
  results: 'Result',
  comparisons: 'Comparison',
  steps: 'Step',
  statements: 'Statement',
  questions: 'Question',
  dimensions: 'Dimension',
  quantities: 'Quantity',
  options: 'Choice',
  checks: 'Check',
  samples: 'Example',
  kit: 'Kit, line',
  cautions: 'Cautions, line',
};

const FIELDS: Readonly<Record<string, string>> = {
  text: 'text',
  title: 'title',
  name: 'name',
  id: 'name in formulas',
  symbol: 'symbol',
  unit: 'unit',
  formula: 'formula',
  over: 'over',
  tools: 'tools',
  least: 'least',
  most: 'most',
  minutes: 'minutes',
  because: 'why',
  corrections: 'what it should say',
  goodPercentError: 'good percent error',
};

/** The section in which a fault is mended. */
export function sectionOf({ path }: LabSheetFault): SectionId {
  return WRITTEN_IN[path.split(/[.[]/)[0] ?? ''] ?? 'advanced';
}

/** What is called by its name in one of the lists. */
function nameOf(item: unknown): string | null {
  if (typeof item !== 'object' || item === null) return null;
  const { name, title } = item as { readonly name?: unknown; readonly title?: unknown };
  const named = name ?? title;
  return typeof named === 'string' && named.trim() !== '' ? named : null;
}

/** A path as who writes a lab sheet would say it: `quantities[3].formula` is “Volume, formula”. */
export function placeInWords(draft: LabSheetDraft, path: string): string {
  const [, list = '', index, field = ''] = /^([^.[]*)(?:\[(\d+)\])?(?:\.([^.[]*))?/.exec(path) ?? [];
  if (list === '') return 'The whole';
  if (index === undefined) return list === 'quantities' ? 'Quantities' : `${list[0]?.toUpperCase()}${list.slice(1)}`;
  const items = draft[list];
  const named = nameOf(Array.isArray(items) ? (items as unknown[])[Number(index)] : null);
  const what = named ?? `${LISTS[list] ?? list} ${Number(index) + 1}`;
  return field === '' ? what : `${what}, ${FIELDS[field] ?? path.slice(path.indexOf('.') + 1)}`;
}
