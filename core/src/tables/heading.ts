import { isUnit } from './cell.ts';

/** A heading, parted. */
export interface Heading {
  readonly text: string;
  readonly name: string;
  /** As it is written; null where none is. */
  readonly unit: string | null;
}

const UNIT_BEHIND = [
  /^(.*?)\s*\(\s*([^()]+?)\s*\)\s*$/,
  /^(.*?)\s*\[\s*([^[\]]+?)\s*\]\s*$/,
  /^(.*?)\s+\/\s*(\S.*?)\s*$/,
  /^(.*?),\s*(\S+)\s*$/,
  /^(.*?)\s+in\s+(\S+)\s*$/,
] as const;

/** `Mass (g)`, `Mass / g`, `Mass [g]`, `Mass, g`, `Mass in g`: the name and the unit. */
export function headingOf(typed: string): Heading {
  const text = typed.trim();
  for (const form of UNIT_BEHIND) {
    const [, name = '', unit = ''] = form.exec(text) ?? [];
    if (name !== '' && (isUnit(unit) || unit === '%')) return { text, name, unit };
  }
  return { text, name: text, unit: /(^|\s)%$/.test(text) ? '%' : null };
}

/** What the words of a heading say of a column. */
export type Role = 'label' | 'repeat' | 'mean' | 'percent' | 'constant' | 'plain';

const ROLES: readonly (readonly [Role, RegExp])[] = [
  [
    'repeat',
    /^(trial|repeat|run|measurement|reading|attempt|position|time|go|observer|delivery)s?( (no|number|nr)\.?)?$/i,
  ],
  [
    'label',
    /^(no|nr|number|group|piece|sample|name|who|tool|fill|load|#|specimen|pebble|date|team|bath|liquid|material)\.?$/i,
  ],
  ['mean', /\b(mean|average|avg)\b/i],
  ['percent', /%|\bper ?cent(age)?\b/i],
  ['constant', /\b(accepted|true value|nominal|book|literature|known|expected)\b/i],
];

export function roleOf(name: string): Role {
  return ROLES.find(([, words]) => words.test(name.trim()))?.[0] ?? 'plain';
}

/** Words of something that is a pure number, and needs no unit. */
const PURE = /\b(count|how many|pieces|drops|ratio|factor|n|relative density)\b|^[nN#]$/;

export function needsNoUnit(name: string): boolean {
  return PURE.test(name) || ['label', 'repeat', 'percent'].includes(roleOf(name));
}

/** What a row at the foot of a table sums up. */
export type FootKind = 'mean' | 'sum' | 'other';

const FEET: readonly (readonly [FootKind, RegExp])[] = [
  ['mean', /^(mean|average|avg)\b/i],
  ['sum', /^(sum|total)\b/i],
  ['other', /^(s|sd|standard deviation|standard error|range|spread|median|average deviation|min|max)\b/i],
];

export function footOf(label: string): FootKind | null {
  return FEET.find(([, words]) => words.test(label.trim()))?.[0] ?? null;
}
