import type { ReactNode } from 'react';
import { useController } from 'react-hook-form';
import { LinesShown } from '../fields.tsx';
import { useFault } from '../faults-here.ts';

interface Named {
  readonly id: string;
  readonly name: string;
}

/** An id made of a name: “half-centimetre rule” is `halfCentimetreRule`. */
export function idFrom(name: string, taken: readonly string[]): string {
  const [first = '', ...rest] = name
    .normalize('NFD')
    .replace(/[^A-Za-z0-9 _-]/g, '')
    .split(/[\s_-]+/)
    .filter((word) => word !== '');
  const joined = [first.toLowerCase(), ...rest.map((word) => `${word[0]?.toUpperCase() ?? ''}${word.slice(1)}`)]
    .join('')
    .slice(0, 30);
  const start = /^[a-z]/i.test(joined) ? joined : `m${joined}`;
  let id = start;
  for (let number = 2; taken.includes(id); number += 1) id = `${start}${number}`;
  return id;
}

/** Things with names, one in a line: those that stay in their line keep their ids, which formulas may name. */
export function renamed(before: readonly Named[], lines: readonly string[]): Named[] {
  const taken: string[] = [];
  return lines.map((name, i) => {
    const same = before.find((one) => one.name === name && !taken.includes(one.id));
    const here = lines.length === before.length ? before[i] : undefined;
    const kept = same ?? (here && !taken.includes(here.id) ? here : undefined);
    const id = kept?.id ?? idFrom(name, [...taken, ...before.map((one) => one.id)]);
    taken.push(id);
    return { ...kept, id, name };
  });
}

interface MembersFieldProps {
  readonly name: string;
  readonly label: string;
}

/** The members of a dimension, or what can be seen. */
export function MembersField({ name, label }: MembersFieldProps): ReactNode {
  const { field } = useController({ name });
  const fault = useFault(name, true);
  const members = (Array.isArray(field.value) ? field.value : []) as readonly Named[];
  const ids = members.map((one) => one.id).join(', ');
  return (
    <LinesShown
      label={label}
      hint={ids === '' ? 'One in a line.' : `One in a line. In formulas: ${ids}.`}
      fault={fault}
      rows={Math.max(3, members.length + 1)}
      lines={members.map((one) => one.name)}
      onChange={(lines) => field.onChange(renamed(members, lines))}
    />
  );
}
