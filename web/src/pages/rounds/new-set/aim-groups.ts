import type { BoardRow } from '@green-beam/contract';
import { practiceSlipById, SLIPS, type KnownSlip } from '@green-beam/core';

interface Named {
  readonly id: string;
  readonly name: string;
}

/** Slips that are made at one stage of the work. */
export interface AimGroup {
  readonly name: string;
  readonly slips: readonly Named[];
}

/** The order in which a tool is read. */
const STAGES: readonly (readonly [name: string, stages: readonly KnownSlip['stage'][]])[] = [
  ['Looking', ['sight']],
  ['Counting the scale', ['count']],
  ['Zero and differences', ['correction']],
  ['Writing it down', ['digits', 'form']],
];

const STAGE_OF: ReadonlyMap<string, KnownSlip['stage']> = new Map(SLIPS.map(({ id, stage }) => [id, stage]));

function named(id: string): Named {
  return { id, name: practiceSlipById(id).name };
}

/** The group of the slips that this class makes. */
export const COMMON = 'Most made in your class';

/** So many of the class’s own slips come first. */
const COMMONEST = 4;

/** The slips that most students of a class make again and again, the most shared first, with how many make them. */
export function commonSlips(rows: readonly BoardRow[]): ReadonlyMap<string, number> {
  const students = new Map<string, number>();
  for (const { skills } of rows) {
    const made = new Set(skills.flatMap(({ slips }) => slips.filter(({ count }) => count > 1).map(({ id }) => id)));
    for (const id of made) students.set(id, (students.get(id) ?? 0) + 1);
  }
  return new Map([...students].sort((a, b) => b[1] - a[1]));
}

/** Slips by the stage at which they are made, in the order of the work; on top those this class makes most. */
export function aimGroups(ids: readonly string[], common: ReadonlyMap<string, number>): AimGroup[] {
  const own = [...common.keys()].filter((id) => ids.includes(id)).slice(0, COMMONEST);
  const others = ids.filter((id) => !own.includes(id));
  const groups: AimGroup[] = [
    {
      name: COMMON,
      slips: own.map((id) => ({ id, name: `${practiceSlipById(id).name} (${common.get(id) ?? 0} students)` })),
    },
    ...STAGES.map(([name, stages]) => ({
      name,
      slips: others.filter((id) => stages.some((stage) => stage === STAGE_OF.get(id))).map(named),
    })),
    { name: 'With numbers', slips: others.filter((id) => !STAGE_OF.has(id)).map(named) },
  ];
  return groups.filter(({ slips }) => slips.length > 0);
}
