import type { PlanDraft } from '@green-beam/contract';
import { HOT_PLATE_WATTS, lessonOf, minutesFor, type Lesson, type Protocol } from '@green-beam/core';

/** A tool of the cabinet that is fit for use. */
export interface UsableTool {
  readonly instrumentId: string;
  readonly code: string;
}

/** The room in which water cools, in °C. */
export const ROOM = 20;

/** What is done in a plan, and with what, as core knows it. */
export function lessonIn({ groups, steps, tools }: PlanDraft): Lesson {
  return { groups, steps, tools };
}

/** What a teacher says of a new plan. */
interface Wanted {
  readonly title: string;
  readonly begins: string;
  readonly minutes: number;
  readonly groups: number;
  readonly protocols: readonly Protocol[];
}

/** A plan of which nothing is placed yet. */
export function newDraft({ protocols, ...wanted }: Wanted, cabinet: readonly UsableTool[]): PlanDraft {
  const { steps, tools } = lessonOf(protocols, cabinet, wanted.groups);
  return {
    ...wanted,
    stations: protocols.map(({ id }) => id),
    watts: HOT_PLATE_WATTS,
    steps,
    tools,
    placed: [],
  } as unknown as PlanDraft;
}

/** The same with other laboratories. What was said of tools and of steps that stay, stays. */
export function withStations(
  draft: PlanDraft,
  protocols: readonly Protocol[],
  cabinet: readonly UsableTool[],
): PlanDraft {
  const next = newDraft({ ...draft, protocols }, cabinet);
  return {
    ...next,
    watts: draft.watts,
    steps: next.steps.map((step) => draft.steps.find(({ id }) => id === step.id) ?? step),
    tools: next.tools.map((tool) => draft.tools.find(({ kind }) => kind === tool.kind) ?? tool),
  };
}

/** The same with another number of one kind of tool; null where every bench has its own. */
export function withCount(draft: PlanDraft, kind: string, count: number | null): PlanDraft {
  return { ...draft, tools: draft.tools.map((tool) => (tool.kind === kind ? { ...tool, count } : tool)), placed: [] };
}

type StepChange = Partial<Pick<PlanDraft['steps'][number], 'minutes' | 'water'>>;

/** The same with a step that lasts longer or shorter; of water, by how much there is. */
export function withStep(draft: PlanDraft, id: string, change: StepChange): PlanDraft {
  const steps = draft.steps.map((step) => (step.id === id ? timed({ ...step, ...change }, draft.watts, change) : step));
  return { ...draft, steps, placed: [] };
}

/** The same with other hot plates. */
export function withWatts(draft: PlanDraft, watts: number): PlanDraft {
  return { ...draft, watts, steps: draft.steps.map((step) => timed(step, watts, { water: step.water })), placed: [] };
}

function timed(step: PlanDraft['steps'][number], watts: number, { water }: StepChange): PlanDraft['steps'][number] {
  const minutes = water ? minutesFor(water, { watts, room: ROOM }) : null;
  return minutes === null ? step : { ...step, minutes };
}

/** Whether something is a time of day, with or without its first zero. */
export const isTime = (text: string): boolean => /^([01]?\d|2[0-3]):[0-5]\d$/.test(text);

/** A time of day, so many minutes after another: `10:23`. */
export function clockAt(begins: string, minutes: number): string {
  const [hours = 0, rest = 0] = begins.split(':').map(Number);
  const total = (((hours * 60 + rest + Math.round(minutes)) % 1440) + 1440) % 1440;
  return `${Math.floor(total / 60)}:${String(total % 60).padStart(2, '0')}`;
}
