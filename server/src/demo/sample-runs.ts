import { randomUUID } from 'node:crypto';
import {
  addressKey,
  BY_THE_BOOK,
  CORE_VERSION,
  GROUP,
  protocol,
  sampleRun,
  usualArrangement,
  type Address,
  type Members,
} from '@green-beam/core';
import { addMinutes, addSeconds, subDays } from 'date-fns';
import type { CreationAttributes } from 'sequelize';
import { Opening, RunEventRow, RunMember, RunRow } from '../models/notebook.ts';
import { HandIn } from '../models/reports.ts';
import { GLASSWARE_SPECIMEN, glasswareRuns } from './sample-glassware.ts';
import type { Line, SampleRun } from './sample-run.ts';
import { DEMO_CLASS, DEMO_SCHOOL, DEMO_TEACHER, HERON_STUDENTS } from './people.ts';

const cell = (quantity: string, members: Members = {}): Address => ({ kind: 'cell', quantity, members });
const tool = (quantity: string, members: Members = {}): Address => ({ kind: 'tool', quantity, members });
const answer = (question: string): Address => ({ kind: 'answer', question });
const statement = (id: string): Address => ({ kind: 'statement', statement: id });
/** Where whoever writes stands as the author. */
const WRITER = 'writer';
const own = (quantity: string, number?: number): Address => ({
  kind: 'cell',
  quantity,
  members: number === undefined ? {} : { trial: String(number) },
  author: WRITER,
});
const ACCEPTED: Address = { kind: 'accepted' };

const at = (quantity: string, trial: number): Address => cell(quantity, { trial: String(trial) });

function trial(number: number, who: number, mass: string, before: string, after: string): Line[] {
  return [
    [who, at('mass', number), mass],
    [who, at('before', number), before],
    [(who + 1) % 2, at('after', number), after],
  ];
}

/**
 * The lines of a laboratory’s believable run, two people taking turns.
 * @param changed what somebody wrote otherwise than there, by the quantity and its members.
 * @param upTo how many entries there are so far.
 */
function believable(
  protocolId: string,
  { index = 0, changed = [], upTo = Infinity }: { index?: number; changed?: readonly Line[]; upTo?: number } = {},
): Line[] {
  const lab = protocol(protocolId);
  const instead = new Map(changed.map((line) => [addressKey(line[1]), line]));
  return sampleRun(lab, lab.samples[index])
    .events.slice(0, upTo)
    .map(({ address, text }, i): Line => instead.get(addressKey(address)) ?? [Math.floor(i / 3) % 2, address, text]);
}

const DISPLACEMENT = 'solid-by-displacement';

/** Laboratories of ten kinds: finished ones, some with a mistake left in for a teacher to find, and some that are running. */
const RUNS: readonly SampleRun[] = [
  {
    protocolId: DISPLACEMENT,
    specimen: 'Bronze deck nail',
    group: [0, 1, 6, 14],
    daysAgo: 12,
    handedIn: true,
    lines: [
      [0, ACCEPTED, 'bronze'],
      [0, cell('behaviour'), 'sank'],
      ...trial(1, 0, '54.31', '21.4', '27.8'),
      [1, at('mass', 2), '54.30'],
      [1, at('before', 2), '22.0'],
      [0, at('after', 2), '27.0'],
      [0, at('after', 2), '28.0', 'read the mark below'],
      ...trial(3, 0, '54.31', '20.7', '27.0'),
      // The fourth "before" is a digit short: the column says 1 decimal.
      [1, at('mass', 4), '54.30'],
      [1, at('before', 4), '22'],
      [0, at('after', 4), '28.1'],
      [0, answer('tool'), 'The cylinder. Both of its bars are long and the balance can hardly be seen.'],
      [1, answer('repeats'), 'Yes. A cylinder with its marks too low would make all of them wrong together.'],
      [0, answer('conclusion'), 'Bronze or brass. Not tin, which is too light for our range.'],
    ],
  },
  {
    protocolId: DISPLACEMENT,
    specimen: 'Slate tile, a corner',
    group: [2, 7, 9, 11],
    daysAgo: 5,
    handedIn: true,
    lines: [
      [0, ACCEPTED, 'slate'],
      [1, cell('behaviour'), 'sank'],
      ...trial(1, 0, '31.42', '18.3', '29.6'),
      ...trial(2, 1, '31.42', '20.1', '31.6'),
      // Third mass with two digits exchanged.
      ...trial(3, 0, '34.12', '19.4', '30.8'),
      ...trial(4, 1, '31.43', '17.9', '29.3'),
      [0, answer('tool'), 'The cylinder, though less than for the nail, since the tile takes up more room.'],
      [1, answer('conclusion'), 'It could be slate or marble; our range covers both.'],
    ],
  },
  {
    protocolId: DISPLACEMENT,
    specimen: 'Slate tile, a chip',
    group: [0, 3, 8, 18],
    daysAgo: 0,
    handedIn: false,
    arrangement: usualArrangement(protocol(DISPLACEMENT)),
    lines: [
      ...trial(1, 0, '16.84', '16.2', '22.3'),
      [1, at('mass', 2), '16.84'],
      [1, at('before', 2), '18.0'],
      [0, at('after', 2), '23.9'],
      [0, at('after', 2), '24.2', 'read the mark below'],
      [1, at('mass', 3), '16.83'],
      [1, at('before', 3), '15.6'],
      [0, own('volume', 1), 'after - before = 6.1 mL'],
      [0, own('density', 1), '2.8 g/mL'],
      [1, own('volume', 1), '6.1 mL'],
      // One who takes the final reading for the difference.
      [1, own('volume', 2), '24.2 mL'],
      [2, own('volume', 1), '6.10 mL'],
    ],
  },
  {
    protocolId: DISPLACEMENT,
    specimen: 'Tin ballast ingot',
    group: [0, 3, 8, 18],
    daysAgo: 0,
    handedIn: false,
    lines: [
      [0, ACCEPTED, 'tin'],
      ...trial(1, 0, '43.87', '16.2', '22.3'),
      [1, at('mass', 2), '43.86'],
      [1, at('before', 2), '17.5'],
    ],
  },
  {
    protocolId: 'plate-two-ways',
    specimen: 'Slate tile, whole',
    group: [0, 13],
    daysAgo: 8,
    handedIn: true,
    lines: [
      [0, tool('width', { method: 'fine' }), 'caliper-twentieth; C-01; 0.05; ; 1'],
      [1, tool('thickness'), 'micrometer-hundredth; M-02; 0.013; ; 1'],
      ...believable('plate-two-ways'),
      [0, statement('coarse-wrong'), '0'],
      [1, statement('two-observers'), 'holds'],
      [1, answer('limits'), 'the length'],
      [0, answer('agree'), 'Yes. The difference is smaller than what the coarse one may be off by.'],
    ],
  },
  {
    protocolId: 'glassware-delivery',
    specimen: 'Beaker, cylinder and burette',
    group: [0, 5, 16],
    daysAgo: 6,
    handedIn: true,
    lines: [
      ...believable('glassware-delivery', { index: 1 }),
      [1, answer('which'), 'The burette, because its spread is the smallest.'],
    ],
  },
  {
    protocolId: 'burn-rate',
    specimen: 'Beeswax nightlight',
    group: [4, 9],
    daysAgo: 3,
    handedIn: true,
    lines: [
      ...believable('burn-rate'),
      [1, answer('words'), 'Each minute about 0.126 g of wax is gone.'],
      [0, answer('believe'), 'By mass, because the balance has the most digits.'],
    ],
  },
  {
    protocolId: 'liquid-by-increments',
    specimen: 'Liquid B from the harbour kit',
    group: [10, 15, 20],
    daysAgo: 4,
    handedIn: true,
    lines: believable('liquid-by-increments', {
      // Written down in the order in which it was not read: 55.12 as 51.52.
      changed: [[1, cell('mass', { fill: '3' }), '51.52']],
    }),
  },
  {
    protocolId: 'thermometer-check',
    specimen: 'Thermometer T-04',
    group: [12, 17],
    daysAgo: 10,
    handedIn: true,
    lines: [
      [0, tool('reading'), 'thermometer-degree; T-04; ; ; 1'],
      ...believable('thermometer-check'),
      [1, answer('percent'), 'Because you would have to divide by zero degrees.'],
    ],
  },
  {
    protocolId: 'sheet-thickness',
    specimen: 'Copper sheet offcuts',
    group: [6, 19, 21],
    daysAgo: 2,
    handedIn: true,
    // A side of the second sheet in millimetres, in a column that is in centimetres.
    lines: believable('sheet-thickness', {
      changed: [[0, cell('short', { sheet: '2', observer: '1' }), '50.0']],
    }),
  },
  {
    protocolId: 'mass-per-item',
    specimen: 'Nickel washers',
    group: [11, 22],
    daysAgo: 0,
    handedIn: false,
    lines: believable('mass-per-item', { upTo: 9 }),
  },
  {
    protocolId: 'delivered-volume',
    specimen: 'An unmarked flask',
    group: [2, 18],
    daysAgo: 1,
    handedIn: false,
    lines: believable('delivered-volume'),
  },
  {
    protocolId: 'solid-by-apparent-mass',
    specimen: 'Brass bush',
    group: [7, 14],
    daysAgo: 7,
    handedIn: true,
    lines: believable('solid-by-apparent-mass'),
  },
];

function eventsOf(
  run: SampleRun,
  runId: string,
  people: readonly string[],
  start: Date,
): CreationAttributes<RunEventRow>[] {
  const latest = new Map<string, string>();
  return run.lines.map(([who, place, text, reason], i) => {
    const id = randomUUID();
    const person = people[who] ?? people[0] ?? '';
    const address = 'author' in place ? { ...place, author: person } : place;
    const key = addressKey(address);
    const replaces = latest.get(key) ?? null;
    latest.set(key, id);
    const when = addSeconds(addMinutes(start, i), (i * 17) % 60);
    return {
      classId: DEMO_CLASS,
      id,
      runId,
      schoolId: DEMO_SCHOOL,
      personId: person,
      address,
      text,
      replaces,
      reason: reason ?? null,
      deviceTime: when,
      coreVersion: CORE_VERSION,
      createdAt: when,
    };
  });
}

function startOf({ daysAgo, lines }: SampleRun, now: Date): Date {
  if (daysAgo === 0) return addMinutes(now, -lines.length - 12);
  const day = subDays(now, daysAgo);
  day.setHours(10, 14, 0, 0);
  return day;
}

/** What the groups’ pages were marked by, and came back with. */
const RETURNED = {
  marking: { points: {}, comments: [], isDone: true },
  markedBy: DEMO_TEACHER,
} as const;

/** The laboratory that twelve groups have done at once. */
async function seedGlasswareOpening(now: Date): Promise<string> {
  const id = randomUUID();
  const lab = protocol('glassware-delivery');
  const openedAt = subDays(now, 9);
  await Opening.create({
    classId: DEMO_CLASS,
    id,
    schoolId: DEMO_SCHOOL,
    protocolId: lab.id,
    protocolVersion: lab.version,
    specimen: GLASSWARE_SPECIMEN,
    openedBy: DEMO_TEACHER,
    openedAt,
    dueAt: subDays(now, 8),
    excused: [],
  });
  return id;
}

/** Stores the sample laboratories of Heron 9. Their results are worked out when the server starts. */
export async function seedRuns(now: Date): Promise<void> {
  const openingId = await seedGlasswareOpening(now);
  for (const run of [...RUNS, ...glasswareRuns(openingId)]) {
    const id = randomUUID();
    const people = run.group.map((index) => HERON_STUDENTS[index]?.id ?? '');
    const start = startOf(run, now);
    const lab = protocol(run.protocolId);
    await RunRow.create({
      classId: DEMO_CLASS,
      id,
      schoolId: DEMO_SCHOOL,
      protocolId: lab.id,
      protocol: lab,
      arrangement: run.arrangement ?? BY_THE_BOOK,
      specimen: run.specimen,
      rulesVersion: 1,
      startedBy: people[0] ?? null,
      startedAt: start,
      ...(run.openingId === undefined ? {} : { openingId: run.openingId }),
      handedInAt: run.handedIn ? addMinutes(start, 45) : null,
    });
    await RunMember.bulkCreate(
      people.map((personId) => ({ classId: DEMO_CLASS, runId: id, personId, joinedAt: start })),
    );
    const rows = await RunEventRow.bulkCreate(eventsOf(run, id, people, start), { returning: true });
    if (run.handedIn)
      await HandIn.create({
        classId: DEMO_CLASS,
        runId: id,
        author: GROUP,
        number: 1,
        handedInBy: people[0] ?? null,
        handedInAt: addMinutes(start, 45),
        upTo: rows.at(-1)?.serverOrder ?? '0',
        openedAt: addMinutes(start, 60 * 24),
        ...RETURNED,
        returnedAt: addMinutes(start, 60 * 26),
      });
  }
}
