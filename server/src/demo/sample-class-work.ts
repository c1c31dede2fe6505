import { randomUUID } from 'node:crypto';
import type { Marking } from '@green-beam/contract';
import {
  CORE_VERSION,
  DEFAULT_RULES,
  drawDifferent,
  isReadingPlace,
  OwnWork,
  placesOf,
  proposal,
  protocol,
  usualArrangement,
  workOut,
  type Address,
  type GivenEntry,
  type RunEvent,
} from '@green-beam/core';
import { addHours, addMilliseconds, addMinutes, addSeconds, subDays } from 'date-fns';
import { Opening, RunEventRow, RunMember, RunRow } from '../models/notebook.ts';
import { HandIn } from '../models/reports.ts';
import { DEMO_CLASS, DEMO_SCHOOL, DEMO_TEACHER, HERON_STUDENTS } from './people.ts';

const LAB = protocol('solid-by-displacement');
const ARRANGEMENT = usualArrangement(LAB);
/** The readings of the groups are drawn from this. */
const SEED = 7;

/** What somebody of a group makes of its readings. */
interface SampleAuthor {
  /** Index in the roster of Heron 9. */
  readonly who: number;
  /** A calculation that goes wrong, at a trial; everything after it goes on from it. */
  readonly slip?: { readonly quantity: string; readonly trial: string; readonly reading: string };
  readonly conclusion: string;
  readonly causes: string;
  readonly marking?: Marking;
  readonly isReturned?: true;
}

const said = (text: string): { id: string; at: null; text: string } => ({ id: randomUUID(), at: null, text });

/** Three groups that have handed in, each with reports of their own. */
const GROUPS: readonly (readonly SampleAuthor[])[] = [
  [
    {
      who: 0,
      conclusion: 'Nickel fits: 8.9 lies inside our range. Zinc does not, and lead does not.',
      causes: 'Small bubbles in the holes of the washers would make the volume too large, so the density too small.',
      marking: {
        points: { readings: 4, digits: 4, calculation: 4, judgement: 3, conclusion: 3 },
        comments: [said('Good use of the spread.'), said('Which of your tools decides how well you know it?')],
        isDone: true,
      },
      isReturned: true,
    },
    {
      who: 6,
      conclusion: 'It is nickel because our number is near 8.9.',
      causes: 'Water stayed on the washers when we weighed them again.',
      marking: {
        points: { readings: 4, digits: 4, calculation: 4, judgement: 2, conclusion: 2 },
        comments: [said('Would brass fit too? Look at your uncertainty.')],
        isDone: true,
      },
    },
    {
      who: 14,
      conclusion: 'Nickel or something as dense.',
      causes: 'Reading the cylinder, since the balance repeats.',
    },
  ],
  [
    {
      who: 1,
      slip: { quantity: 'volume', trial: '2', reading: 'after' },
      conclusion: 'One trial was very different. We think there was a bubble under the washers.',
      causes: 'A bubble in trial 2.',
    },
    { who: 17, conclusion: 'Nickel. All three trials agree.', causes: 'The meniscus, half a mark each way.' },
  ],
  [
    { who: 10, conclusion: '', causes: '' },
    {
      who: 19,
      conclusion: 'Nickel fits. Brass would fit too, at the lower end of our range, so we cannot be sure.',
      causes:
        'If the washers were still wet they were too heavy. That would make the density too large, so it was not that.',
    },
  ],
];

const rich = (text: string): string =>
  JSON.stringify({ type: 'doc', content: [{ type: 'paragraph', content: [{ type: 'text', text }] }] });

/** A log that grows entry by entry. */
class SampleLog {
  readonly entries: { readonly person: string; readonly address: Address; readonly text: string }[] = [];

  write(person: string, address: Address, text: string): void {
    this.entries.push({ person, address, text });
  }

  get events(): RunEvent[] {
    return this.entries.map(({ person, address, text }, i) => ({
      id: String(i),
      address,
      text,
      replaces: null,
      reason: null,
      person,
      deviceTime: '1970-01-01T00:00:00.000Z',
      order: i + 1,
    }));
  }
}

/** Calculates cell by cell from one’s own numbers, with the slip where it happens. */
function calculate(log: SampleLog, author: string, { slip }: SampleAuthor): void {
  const student = { author, quantities: ARRANGEMENT.byStudent };
  const { setting } = workOut(LAB, { events: log.events }, DEFAULT_RULES, student);
  for (const { id, kind, over, only } of setting.layout.quantities.values()) {
    if (kind !== 'computed' || !student.quantities.includes(id)) continue;
    for (const members of placesOf(setting, over, only)) {
      const run = workOut(LAB, { events: log.events }, DEFAULT_RULES, student);
      const right = new OwnWork(run).at(id, members)?.right;
      if (!right) continue;
      const isSlip = slip?.quantity === id && members['trial'] === slip.trial;
      const read = run.cellAt(slip?.reading ?? '', members);
      const text = isSlip && read?.kind === 'entry' ? read.text : right.text;
      log.write(author, { kind: 'cell', quantity: id, members, author }, `${text} ${right.unit}`);
    }
  }
}

/** The volume of one piece, from one’s own numbers. */
function each(log: SampleLog, author: string): string {
  const student = { author, quantities: ARRANGEMENT.byStudent };
  const cell = workOut(LAB, { events: log.events }, DEFAULT_RULES, student).cellAt('onePiece', {});
  return cell && 'text' in cell ? `${cell.text} mL` : '';
}

function write(log: SampleLog, author: string, one: SampleAuthor): void {
  calculate(log, author, one);
  if (one.conclusion !== '') log.write(author, { kind: 'answer', question: 'conclusion', author }, one.conclusion);
  if (one.causes === '') return;
  log.write(author, { kind: 'answer', question: 'tool', author }, 'The cylinder: one mark is much of the volume.');
  const ofAll = 'Yes. A cylinder with its marks too low would make all of them wrong together.';
  log.write(author, { kind: 'answer', question: 'repeats', author }, ofAll);
  log.write(author, { kind: 'answer', question: 'one', author }, each(log, author));
  log.write(author, { kind: 'report', section: 'causes', author }, rich(one.causes));
  log.write(
    author,
    { kind: 'report', section: 'purpose', author },
    rich('We wanted to find out what the washers are made of, by their mass and the water they push aside.'),
  );
}

async function storeRun(
  openingId: string,
  start: Date,
  people: readonly string[],
  log: SampleLog,
  handedInAt: Date | null,
): Promise<{ runId: string; upTo: string }> {
  const runId = randomUUID();
  await RunRow.create({
    classId: DEMO_CLASS,
    id: runId,
    schoolId: DEMO_SCHOOL,
    protocolId: LAB.id,
    protocol: LAB,
    arrangement: ARRANGEMENT,
    specimen: 'Nickel washers, six',
    rulesVersion: 1,
    startedBy: DEMO_TEACHER,
    startedAt: start,
    openingId,
    handedInAt,
  });
  await RunMember.bulkCreate(people.map((personId) => ({ classId: DEMO_CLASS, runId, personId, joinedAt: start })));
  const rows = await RunEventRow.bulkCreate(
    log.entries.map(({ person, address, text }, i) => {
      const when = addSeconds(start, 60 + i * 40);
      return {
        classId: DEMO_CLASS,
        id: randomUUID(),
        runId,
        schoolId: DEMO_SCHOOL,
        personId: person,
        address,
        text,
        replaces: null,
        reason: null,
        deviceTime: when,
        coreVersion: CORE_VERSION,
        createdAt: when,
      };
    }),
    { returning: true },
  );
  return { runId, upTo: rows.at(-1)?.serverOrder ?? '0' };
}

const idOf = (index: number): string => HERON_STUDENTS[index]?.id ?? '';

async function openingAt(start: Date, dueAt: Date): Promise<string> {
  const id = randomUUID();
  await Opening.create({
    classId: DEMO_CLASS,
    id,
    schoolId: DEMO_SCHOOL,
    protocolId: LAB.id,
    protocolVersion: LAB.version,
    specimen: 'Nickel washers, six',
    openedBy: DEMO_TEACHER,
    openedAt: start,
    dueAt,
    excused: [idOf(23)],
  });
  return id;
}

function readings(log: SampleLog, people: readonly string[], entries: readonly GivenEntry[]): void {
  for (const [i, { address, text }] of entries.filter((entry) => isReadingPlace(entry.address)).entries())
    log.write(people[Math.floor(i / 3) % people.length] ?? '', address, text);
}

/** A laboratory that was opened for Heron 9: three groups have handed in, one is still at it, and one has nothing yet. */
export async function seedClassWork(now: Date): Promise<void> {
  const start = subDays(now, 2);
  const openingId = await openingAt(start, addHours(start, 24));
  const drawn = drawDifferent(LAB, GROUPS.length + 1, { seed: SEED, rules: DEFAULT_RULES });
  for (const [i, group] of GROUPS.entries()) {
    const people = group.map(({ who }) => idOf(who));
    const log = new SampleLog();
    readings(log, people, drawn[i] ?? []);
    for (const one of group) write(log, idOf(one.who), one);
    const handedInAt = addMinutes(start, 50 + 7 * i);
    const { runId, upTo } = await storeRun(openingId, addMilliseconds(start, i), people, log, handedInAt);
    for (const one of group) {
      const author = idOf(one.who);
      const run = workOut(LAB, { events: log.events }, DEFAULT_RULES, { author, quantities: ARRANGEMENT.byStudent });
      await HandIn.create({
        classId: DEMO_CLASS,
        runId,
        author,
        number: 1,
        handedInBy: author,
        handedInAt,
        upTo,
        proposal: proposal(run, new OwnWork(run), author),
        ...(one.marking ? { marking: one.marking, markedBy: DEMO_TEACHER, markedAt: now, openedAt: now } : {}),
        ...(one.isReturned ? { returnedAt: now, mayImprove: true } : {}),
      });
    }
  }
  const writing = [idOf(20), idOf(21)];
  const log = new SampleLog();
  readings(log, writing, (drawn.at(-1) ?? []).slice(0, 5));
  await storeRun(openingId, addMilliseconds(start, GROUPS.length), writing, log, null);
  await storeRun(openingId, addMilliseconds(start, GROUPS.length + 1), [idOf(22), idOf(15)], new SampleLog(), null);
}
