import { randomUUID } from 'node:crypto';
import { CORE_VERSION, protocol } from '@green-beam/core';
import { addMinutes, addSeconds, subDays } from 'date-fns';
import type { CreationAttributes } from 'sequelize';
import { RunEventRow, RunMember, RunRow } from '../models/notebook.ts';
import { DEMO_CLASS, DEMO_SCHOOL, HERON_STUDENTS } from './people.ts';

/** One entry of a sample log: who (index in the group), where, what, and for a correction the reason. */
type Line = readonly [who: number, slot: string, text: string, reason?: string];

interface SampleRun {
  readonly specimen: string;
  /** Indices in the roster of Heron 9. */
  readonly group: readonly number[];
  readonly daysAgo: number;
  readonly handedIn: boolean;
  readonly lines: readonly Line[];
}

function trial(number: number, who: number, mass: string, before: string, after: string): Line[] {
  return [
    [who, `mass.${number}`, mass],
    [who, `before.${number}`, before],
    [(who + 1) % 2, `after.${number}`, after],
  ];
}

/** Two finished laboratories, each with one mistake left in for a teacher to find, and one that is running. */
const RUNS: readonly SampleRun[] = [
  {
    specimen: 'Bronze deck nail',
    group: [0, 1, 6, 14],
    daysAgo: 12,
    handedIn: true,
    lines: [
      [0, 'accepted', 'bronze'],
      [0, 'behaviour', 'sank'],
      ...trial(1, 0, '54.31', '21.4', '27.8'),
      [1, 'mass.2', '54.30'],
      [1, 'before.2', '22.0'],
      [0, 'after.2', '27.0'],
      [0, 'after.2', '28.0', 'read the mark below'],
      ...trial(3, 0, '54.31', '20.7', '27.0'),
      // The fourth "before" is a digit short: the column says 1 decimal.
      [1, 'mass.4', '54.30'],
      [1, 'before.4', '22'],
      [0, 'after.4', '28.1'],
      [0, 'answer.tool', 'The cylinder. Both of its bars are long and the balance can hardly be seen.'],
      [1, 'answer.repeats', 'Yes. A cylinder with its marks too low would make all of them wrong together.'],
      [0, 'answer.conclusion', 'Bronze or brass. Not tin, which is too light for our range.'],
    ],
  },
  {
    specimen: 'Slate tile, a corner',
    group: [2, 7, 9, 11],
    daysAgo: 5,
    handedIn: true,
    lines: [
      [0, 'accepted', 'slate'],
      [1, 'behaviour', 'sank'],
      ...trial(1, 0, '31.42', '18.3', '29.6'),
      ...trial(2, 1, '31.42', '20.1', '31.6'),
      // Third mass with two digits exchanged.
      ...trial(3, 0, '34.12', '19.4', '30.8'),
      ...trial(4, 1, '31.43', '17.9', '29.3'),
      [0, 'answer.tool', 'The cylinder, though less than for the nail, since the tile takes up more room.'],
      [1, 'answer.conclusion', 'It could be slate or marble; our range covers both.'],
    ],
  },
  {
    specimen: 'Tin ballast ingot',
    group: [0, 3, 8, 18],
    daysAgo: 0,
    handedIn: false,
    lines: [
      [0, 'accepted', 'tin'],
      ...trial(1, 0, '43.87', '16.2', '22.3'),
      [1, 'mass.2', '43.86'],
      [1, 'before.2', '17.5'],
    ],
  },
];

function eventsOf(
  run: SampleRun,
  runId: string,
  people: readonly string[],
  start: Date,
): CreationAttributes<RunEventRow>[] {
  const latest = new Map<string, string>();
  return run.lines.map(([who, slot, text, reason], i) => {
    const id = randomUUID();
    const replaces = latest.get(slot) ?? null;
    latest.set(slot, id);
    const at = addSeconds(addMinutes(start, i * 2), (i * 17) % 60);
    return {
      classId: DEMO_CLASS,
      id,
      runId,
      schoolId: DEMO_SCHOOL,
      personId: people[who] ?? people[0] ?? '',
      slot,
      text,
      replaces,
      reason: reason ?? null,
      deviceTime: at,
      coreVersion: CORE_VERSION,
      createdAt: at,
    };
  });
}

function startOf(run: SampleRun, now: Date): Date {
  if (run.daysAgo === 0) return addMinutes(now, -25);
  const day = subDays(now, run.daysAgo);
  day.setHours(10, 14, 0, 0);
  return day;
}

/** Stores the sample laboratories of Heron 9. */
export async function seedRuns(now: Date): Promise<void> {
  const lab = protocol('solid-by-displacement');
  for (const run of RUNS) {
    const id = randomUUID();
    const people = run.group.map((index) => HERON_STUDENTS[index]?.id ?? '');
    const start = startOf(run, now);
    await RunRow.create({
      classId: DEMO_CLASS,
      id,
      schoolId: DEMO_SCHOOL,
      protocolId: lab.id,
      protocol: lab,
      specimen: run.specimen,
      rulesVersion: 1,
      startedBy: people[0] ?? null,
      startedAt: start,
      handedInAt: run.handedIn ? addMinutes(start, 45) : null,
    });
    await RunMember.bulkCreate(
      people.map((personId) => ({ classId: DEMO_CLASS, runId: id, personId, joinedAt: start })),
    );
    await RunEventRow.bulkCreate(eventsOf(run, id, people, start));
  }
}
