import { instrumentById } from '../instruments/catalogue.ts';
import type { FamilyId } from '../instruments/instrument.ts';
import { holds, layoutOf, type Layout } from '../laboratories/protocol/layout.ts';
import type { Protocol, ReadQuantity, Step, Water } from '../laboratories/protocol/protocol.ts';
import { instrumentsOfKinds } from '../laboratories/run/tool-in-run.ts';
import type { PlanProblem, PlanStep } from './plan.ts';
import { HOT_PLATE_WATTS, minutesFor } from './water.ts';

/** A step of a lesson, as its groups know it. */
export interface LessonStep extends PlanStep {
  readonly name: string;
  /** The laboratory it belongs to; null for setting up and clearing up. */
  readonly station: string | null;
  /** Of water that heats or cools: its minutes follow from this. */
  readonly water?: Water;
}

/** Tools or apparatus of one kind. */
export interface LessonTool {
  readonly kind: string;
  /** `balance`. */
  readonly one: string;
  /** `balances`. */
  readonly many: string;
  /** How many there are for all groups; null where every bench has its own. */
  readonly count: number | null;
  /** Codes of those in the cabinet, as far as there are any. */
  readonly codes: readonly string[];
}

/** What is done in a lesson, and with what. */
export interface Lesson {
  readonly groups: number;
  readonly steps: readonly LessonStep[];
  readonly tools: readonly LessonTool[];
}

/** A tool of the cabinet that is fit for use. */
interface CabinetTool {
  readonly instrumentId: string;
  readonly code: string;
}

/** What tools of a family are called, and whether every bench has its own: those are seldom written into a cabinet one by one. */
const FAMILIES: Readonly<Record<FamilyId, readonly [kind: string, one: string, many: string, onEachBench: boolean]>> = {
  rulers: ['rulers', 'ruler', 'rulers', true],
  'graduated-glass': ['graduated-glass', 'cylinder or beaker', 'cylinders or beakers', true],
  burettes: ['burettes', 'burette', 'burettes', false],
  rings: ['rings', 'pipette or flask', 'pipettes or flasks', true],
  thermometers: ['thermometers', 'thermometer', 'thermometers', true],
  hydrometers: ['hydrometers', 'hydrometer', 'hydrometers', false],
  calipers: ['calipers', 'caliper', 'calipers', false],
  'digital-calipers': ['calipers', 'caliper', 'calipers', false],
  micrometers: ['micrometers', 'micrometer', 'micrometers', false],
  'beam-balances': ['balances', 'balance', 'balances', false],
  'digital-balances': ['balances', 'balance', 'balances', false],
  clocks: ['clocks', 'clock', 'clocks', true],
};

/** Minutes before and after the laboratory. */
const SET_UP = 3;
const CLEAR_UP = 5;

const familyOf = (instrumentId: string): (typeof FAMILIES)[FamilyId] => FAMILIES[instrumentById(instrumentId).family];

/** The tools that a quantity is usually read on, at the members that are read in a step. */
function usualTools({ dimensions, quantities }: Layout, { tools }: ReadQuantity, members: readonly string[]): string[] {
  if ('kinds' in tools) return instrumentsOfKinds(tools.kinds).slice(0, 1);
  if ('by' in tools)
    return Object.entries(tools.of).flatMap(([member, kinds]) =>
      members.length === 0 || members.includes(member) ? instrumentsOfKinds(kinds).slice(0, 1) : [],
    );
  if ('sameAs' in tools) {
    const other = quantities.get(tools.sameAs);
    return other?.kind === 'read' ? usualTools({ dimensions, quantities } as Layout, other, members) : [];
  }
  const dimension = dimensions.get(tools.member);
  return dimension?.kind === 'case' ? dimension.members.flatMap(({ tool }) => tool ?? []) : [];
}

/** Kinds of tools that are read in a step. */
function readIn(layout: Layout, step: Step): string[] {
  const kinds = new Set<string>();
  for (const quantity of layout.quantities.values()) {
    if (quantity.kind !== 'read' || quantity.step === undefined) continue;
    const { step: where } = quantity;
    const members = typeof where === 'string' ? [] : Object.keys(where.of).filter((one) => where.of[one] === step.id);
    if (where !== step.id && members.length === 0) continue;
    for (const id of usualTools(layout, quantity, members)) kinds.add(familyOf(id)[0]);
  }
  return [...kinds];
}

/** Steps of one laboratory, with the usual choice of its options. */
function stepsOf(protocol: Protocol): LessonStep[] {
  const layout = layoutOf(protocol);
  const there = protocol.steps.filter(({ when }) => holds(when, layout.chosen));
  const isThere = (id: string): boolean => there.some((step) => step.id === id);
  const named = (id: string): string => `${protocol.id}/${id}`;
  return there.map((step, i): LessonStep => {
    const before = there[i - 1];
    const { water, follows } = step;
    const after = step.after ?? (before ? [before.id] : []);
    const minutes = (water && minutesFor(water, { watts: HOT_PLATE_WATTS, room: 20 })) ?? step.minutes;
    return {
      id: named(step.id),
      name: step.title,
      station: protocol.title,
      minutes: Math.max(1, Math.round(minutes)),
      attention: step.attention,
      after: ['set-up', ...after.filter(isThere).map(named)],
      ...(follows !== undefined && isThere(follows) ? { follows: named(follows) } : {}),
      tools: [...readIn(layout, step), ...(step.apparatus ?? [])],
      ...(water ? { water } : {}),
    };
  });
}

/** The tools of some steps, with how many the cabinet has: where it has none, or enough, every bench has its own. */
function toolsOf(steps: readonly LessonStep[], cabinet: readonly CabinetTool[], groups: number): LessonTool[] {
  return [...new Set(steps.flatMap(({ tools }) => tools))].map((kind): LessonTool => {
    const family = Object.values(FAMILIES).find(([name]) => name === kind);
    if (!family) return { kind, one: kind, many: `${kind}s`, count: null, codes: [] };
    const [, one, many, onEachBench] = family;
    const codes = cabinet.filter(({ instrumentId }) => familyOf(instrumentId)[0] === kind).map(({ code }) => code);
    const isShared = !onEachBench && codes.length > 0 && codes.length < groups;
    return { kind, one, many, count: isShared ? codes.length : null, codes };
  });
}

/**
 * The lesson in which every group does some laboratories, in any order: setting up before them, clearing up after them, and every step on
 * its usual tools.
 * @param cabinet tools that are there and fit for use.
 */
export function lessonOf(protocols: readonly Protocol[], cabinet: readonly CabinetTool[], groups: number): Lesson {
  const done = protocols.flatMap(stepsOf);
  const steps: LessonStep[] = [
    { id: 'set-up', name: 'Set up', station: null, minutes: SET_UP, attention: 'hands', after: [], tools: [] },
    ...done,
    {
      id: 'clear-up',
      name: 'Clear up',
      station: null,
      minutes: CLEAR_UP,
      attention: 'hands',
      after: ['set-up', ...done.map(({ id }) => id)],
      tools: [],
    },
  ];
  return { groups, steps, tools: toolsOf(done, cabinet, groups) };
}

/** Whether groups have to share tools of a kind. */
export const isShared = ({ groups }: Pick<Lesson, 'groups'>, { count }: LessonTool): boolean =>
  count !== null && count < groups;

/** What is to be planned of a lesson: tools that every group has for itself are in nobody’s way. */
export function problemOf(lesson: Lesson): PlanProblem {
  const { groups, steps, tools } = lesson;
  const shared = tools.filter((tool) => isShared(lesson, tool));
  const kinds = new Set(shared.map(({ kind }) => kind));
  return {
    groups,
    steps: steps.map(({ id, minutes, attention, after, follows, tools: needed }) => ({
      id,
      minutes,
      attention,
      after,
      ...(follows === undefined ? {} : { follows }),
      tools: needed.filter((kind) => kinds.has(kind)),
    })),
    tools: Object.fromEntries(shared.map(({ kind, count }) => [kind, count ?? 0])),
  };
}
