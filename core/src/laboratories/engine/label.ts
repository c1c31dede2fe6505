import type { Layout } from '../protocol/layout.ts';
import type { InputLabel } from './inputs.ts';
import { membersOf, type Members } from '../run/address.ts';
import type { Setting } from './setting.ts';

/** Members by their names, as people call them: `fine, trial 2`. */
export function membersInWords({ layout, members }: Pick<Setting, 'layout' | 'members'>, at: Members): string {
  return Object.entries(at)
    .map(([dimension, member]) => {
      const found = layout.dimensions.get(dimension);
      const name = members.get(dimension)?.find(({ id }) => id === member)?.name ?? member;
      return found?.kind === 'case' ? name : `${found?.name.toLowerCase() ?? dimension} ${name}`;
    })
    .join(', ');
}

/** A quantity at members, as people call it: `Volume, fine, trial 2`. */
export function cellInWords(setting: Pick<Setting, 'layout' | 'members'>, quantity: string, at: Members): string {
  const found = setting.layout.quantities.get(quantity);
  const where = membersInWords(setting, found ? membersOf(at, found.over) : at);
  return [found?.name ?? quantity, where].filter((part) => part !== '').join(', ');
}

function quantityName(layout: Layout, id: string | null): string {
  return id === null ? '' : (layout.quantities.get(id)?.name.toLowerCase() ?? id);
}

/** What an uncertainty comes from, in words: `reading of C-01, width (fine)`, `repeats of width`, `tolerance of M-02`. */
export function labelInWords(setting: Pick<Setting, 'layout' | 'members'>, label: InputLabel): string {
  const { kind, quantity, members, tool } = label;
  const name = quantityName(setting.layout, quantity);
  const where = membersInWords(setting, members);
  const named = where === '' ? name : `${name} (${where})`;
  switch (kind) {
    case 'reading':
      return tool === null ? `reading of ${named}` : `reading of ${tool}, ${named}`;
    case 'zero':
    case 'tolerance':
      return `${kind} of ${tool ?? 'the tool'}`;
    case 'repeats':
      return `repeats of ${named}`;
    case 'line':
      return `scatter about the line of ${named}`;
    case 'given':
      return `${named}, as given`;
    case 'looked-up':
      return `${named}, as looked up`;
    case 'counted':
      return `count of ${named}`;
    case 'adjustment':
      return `adjustment of ${named}`;
  }
}
