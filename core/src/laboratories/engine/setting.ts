import type { HouseRules } from '../../rules/house-rules.ts';
import { inClassUnits } from '../protocol/class-units.ts';
import { layoutOf, type Chosen, type Layout } from '../protocol/layout.ts';
import type { CaseDimension, Dimension, Protocol, ReadQuantity } from '../protocol/protocol.ts';
import { addressKey, type Members } from '../run/address.ts';
import { foldRun, type Run, type SlotState } from '../run/run.ts';
import { anyTool, instrumentsOfKinds, toolFrom, toolMembers, type ToolInRun } from '../run/tool-in-run.ts';

/** One member of a dimension as it is in a run. */
export interface MemberInRun {
  readonly id: string;
  readonly name: string;
  /** The tool it is, where members are tools. */
  readonly tool: ToolInRun | null;
}

/** A repeat that does not count. */
export interface Exclusion {
  readonly dimension: string;
  readonly member: string;
  readonly within: Members;
  readonly reason: string;
  readonly by: string;
}

/** StudentWork calculations are looked at, and which quantities are left to them. */
export interface StudentWork {
  /** A person, or the group. */
  readonly author: string;
  readonly quantities: readonly string[];
}

/** Everything about a run that is not a reading: what it has, and what it is read on. */
export interface Setting {
  readonly layout: Layout;
  readonly rules: HouseRules;
  readonly slots: ReadonlyMap<string, SlotState>;
  readonly members: ReadonlyMap<string, readonly MemberInRun[]>;
  readonly exclusions: readonly Exclusion[];
  /** Null where everything is worked out by the book. */
  readonly own: StudentWork | null;
}

function textAt(slots: Setting['slots'], address: Parameters<typeof addressKey>[0]): string {
  return slots.get(addressKey(address))?.current.text.trim() ?? '';
}

/** The choices made in a run; what is left open is as the class’s rules have it, else the first. */
function chosenIn(protocol: Protocol, slots: Setting['slots'], rules: HouseRules): Chosen {
  return Object.fromEntries(
    protocol.options.flatMap(({ id, rule }) => {
      const written = textAt(slots, { kind: 'option', option: id });
      const byRule = rule ? rule.choices[String(rules[rule.name])] : undefined;
      const choice = written === '' ? byRule : written;
      return choice === undefined ? [] : [[id, choice]];
    }),
  );
}

/** The members of a case dimension that were chosen, as the log keeps them: ids, with the tool of those that are one. */
export interface ChosenMember {
  readonly id: string;
  readonly name?: string;
  readonly tool?: string;
}

/** The members in a log’s entry; null where it is none. */
export function chosenMembersFrom(text: string): ChosenMember[] | null {
  try {
    const list: unknown = JSON.parse(text);
    if (!Array.isArray(list)) return null;
    return (list as unknown[]).flatMap((one) => {
      const { id, name, tool } = (one ?? {}) as Partial<Record<string, unknown>>;
      if (typeof id !== 'string') return [];
      return [
        {
          id,
          ...(typeof name === 'string' ? { name } : {}),
          ...(typeof tool === 'string' ? { tool } : {}),
        },
      ];
    });
  } catch {
    return null;
  }
}

function caseMembers(dimension: CaseDimension, slots: Setting['slots']): MemberInRun[] {
  const known = dimension.members.map(({ id, name, tool }) => ({ id, name, tool: tool ? anyTool(tool) : null }));
  const chosen = dimension.choose
    ? chosenMembersFrom(textAt(slots, { kind: 'members', dimension: dimension.id }))
    : null;
  if (!chosen) return dimension.choose ? known.slice(0, dimension.choose.least) : known;
  return chosen.flatMap(({ id, name, tool }): MemberInRun[] => {
    const member = known.find((one) => one.id === id);
    const own = tool === undefined ? null : toolFrom(tool);
    if (!member && !own) return [];
    const named = own ? `${own.code === null ? '' : `${own.code}, `}${own.instrument.name}` : id;
    return [{ id, name: name ?? member?.name ?? named, tool: own ?? member?.tool ?? null }];
  });
}

/** How far repeats have got: the highest member that an entry names, within what the protocol allows. */
function countedMembers(dimension: Exclude<Dimension, CaseDimension>, slots: Setting['slots']): MemberInRun[] {
  let highest = dimension.least;
  for (const { current } of slots.values()) {
    const { address } = current;
    const member =
      address.kind === 'cell' || address.kind === 'link' || address.kind === 'adjustment'
        ? address.members[dimension.id]
        : address.kind === 'excluded' && address.dimension === dimension.id
          ? address.member
          : undefined;
    if (member !== undefined && /^[1-9]\d*$/.test(member)) highest = Math.max(highest, Number(member));
  }
  return Array.from({ length: Math.min(dimension.most, highest) }, (_, i) => ({
    id: String(i + 1),
    name: String(i + 1),
    tool: null,
  }));
}

function exclusionsIn(slots: Setting['slots']): Exclusion[] {
  return [...slots.values()].flatMap(({ current }) => {
    const { address, text, person } = current;
    if (address.kind !== 'excluded' || text.trim() === '') return [];
    const { dimension, member, within } = address;
    return [{ dimension, member, within, reason: text, by: person }];
  });
}

/**
 * What a run’s log says about everything but its readings.
 * @throws ProtocolError when the protocol cannot be worked out.
 */
export function settingOf(protocol: Protocol, run: Run, rules: HouseRules, own: StudentWork | null = null): Setting {
  const slots = foldRun(run);
  const layout = layoutOf(inClassUnits(protocol, rules), chosenIn(protocol, slots, rules));
  const members = new Map(
    [...layout.dimensions.values()].map((dimension) => [
      dimension.id,
      dimension.kind === 'case' ? caseMembers(dimension, slots) : countedMembers(dimension, slots),
    ]),
  );
  return { layout, rules, slots, members, exclusions: exclusionsIn(slots), own };
}

/** True where a repeat does not count at a place. */
export function isExcluded({ exclusions }: Setting, members: Members): boolean {
  return exclusions.some(
    ({ dimension, member, within }) =>
      members[dimension] === member && Object.entries(within).every(([other, at]) => members[other] === at),
  );
}

/** Every place that a quantity has: a member of each dimension, in order. */
export function placesOf(
  { members }: Setting,
  over: readonly string[],
  only: Readonly<Record<string, readonly string[]>> = {},
): Members[] {
  return over.reduce<Members[]>(
    (places, dimension) =>
      places.flatMap((place) =>
        (members.get(dimension) ?? [])
          .filter(({ id }) => only[dimension]?.includes(id) ?? true)
          .map(({ id }) => ({ ...place, [dimension]: id })),
      ),
    [{}],
  );
}

/** The kinds of tools a quantity can be read on at a place, the usual one first. */
export function toolsAllowed({ tools }: ReadQuantity, members: Members): string[] {
  if ('kinds' in tools) return instrumentsOfKinds(tools.kinds);
  if ('by' in tools) return instrumentsOfKinds(tools.of[members[tools.by] ?? ''] ?? []);
  return [];
}

/** The tool a quantity is read on at a place; null where none is known. */
export function toolAt(setting: Setting, quantity: ReadQuantity, members: Members): ToolInRun | null {
  const { tools } = quantity;
  if ('member' in tools)
    return setting.members.get(tools.member)?.find(({ id }) => id === members[tools.member])?.tool ?? null;
  if ('sameAs' in tools) {
    const other = setting.layout.quantities.get(tools.sameAs);
    return other?.kind === 'read' && other !== quantity ? toolAt(setting, other, members) : null;
  }
  const allowed = toolsAllowed(quantity, members);
  const written = toolFrom(
    textAt(setting.slots, { kind: 'tool', quantity: quantity.id, members: toolMembers(tools, members) }),
  );
  if (written && allowed.includes(written.instrument.id)) return written;
  const [usual] = allowed;
  return usual === undefined ? null : anyTool(usual);
}
