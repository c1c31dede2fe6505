import type { Protocol, SampleEntries, SampleRun } from '../protocol/protocol.ts';
import type { Address, Members } from './address.ts';
import type { Run, RunEvent } from './run.ts';

/** One entry of a tidy table. */
export interface Row {
  readonly quantity: string;
  readonly members?: Members;
  readonly text: string;
}

/** What is chosen beside the entries. */
export interface RunChoices {
  readonly accepted?: string;
  /** The tool of each quantity, as a run’s log keeps it. */
  readonly tools?: Readonly<Record<string, string>>;
  /** The members of the dimensions where they are chosen. */
  readonly cases?: Readonly<Record<string, readonly (string | { readonly id: string; readonly tool?: string })[]>>;
  readonly options?: Readonly<Record<string, string>>;
}

/** A run made of entries in their order, each at a place of its own. */
export function runOfEntries(entries: readonly { readonly address: Address; readonly text: string }[]): Run {
  const events = entries.map(({ address, text }, i): RunEvent => ({
    id: `row ${i + 1}`,
    address,
    text,
    replaces: null,
    reason: null,
    person: '',
    deviceTime: '1970-01-01T00:00:00.000Z',
    order: i + 1,
  }));
  return { events };
}

/** A run made of a tidy table: each row one entry, in its order. */
export function runFromRows(_protocol: Protocol, rows: readonly Row[], choices: RunChoices = {}): Run {
  const entries: [Address, string][] = [
    ...Object.entries(choices.options ?? {}).map(([option, choice]): [Address, string] => [
      { kind: 'option', option },
      choice,
    ]),
    ...Object.entries(choices.cases ?? {}).map(([dimension, members]): [Address, string] => [
      { kind: 'members', dimension },
      JSON.stringify(members.map((member) => (typeof member === 'string' ? { id: member } : member))),
    ]),
    ...Object.entries(choices.tools ?? {}).map(([quantity, tool]): [Address, string] => [
      { kind: 'tool', quantity, members: {} },
      tool,
    ]),
    ...(choices.accepted === undefined ? [] : [[{ kind: 'accepted' }, choices.accepted] as [Address, string]]),
    ...rows.map(({ quantity, members = {}, text }): [Address, string] => [{ kind: 'cell', quantity, members }, text]),
  ];
  return runOfEntries(entries.map(([address, text]) => ({ address, text })));
}

function rowsOf(quantity: string, over: readonly string[], entries: SampleEntries, members: Members): Row[] {
  const [dimension, ...rest] = over;
  if (dimension === undefined) return typeof entries === 'string' ? [{ quantity, members, text: entries }] : [];
  if (typeof entries === 'string') return [];
  const each = Array.isArray(entries)
    ? (entries as readonly string[]).map((entry, i): [string, SampleEntries] => [String(i + 1), entry])
    : Object.entries(entries as Readonly<Record<string, SampleEntries>>);
  return each.flatMap(([member, inner]) => rowsOf(quantity, rest, inner, { ...members, [dimension]: member }));
}

/** One of a protocol’s believable runs. */
export function sampleRun(protocol: Protocol, sample: SampleRun = protocol.samples[0]): Run {
  const rows = Object.entries(sample.entries).flatMap(([id, entries]) => {
    const quantity = protocol.quantities.find((candidate) => candidate.id === id && overFits(candidate.over, entries));
    return quantity ? rowsOf(id, quantity.over, entries, {}) : [];
  });
  return runFromRows(protocol, rows, {
    ...(sample.accepted === undefined ? {} : { accepted: sample.accepted }),
    cases: sample.members ?? {},
    options: sample.options ?? {},
  });
}

/** Whether entries are nested as deep as a quantity stands over dimensions. */
function overFits(over: readonly string[], entries: SampleEntries): boolean {
  if (typeof entries === 'string') return over.length === 0;
  const [first] = Object.values(entries);
  return over.length > 0 && (first === undefined || overFits(over.slice(1), first));
}
