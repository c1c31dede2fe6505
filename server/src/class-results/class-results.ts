import type { ClassResults, ClassResultsSummary, GroupToPool } from '@green-beam/contract';
import { fn, col, where, Op, type WhereOptions } from 'sequelize';
import type { ClassAccess } from '../auth/access.ts';
import { labelOf } from '../auth/labels.ts';
import { authorFor, inForce } from '../hand-ins/in-force.ts';
import { RunMember, RunResultRow, RunRow } from '../models/notebook.ts';
import { HandIn } from '../models/reports.ts';
import { Person } from '../models/people.ts';
import { notFound, Refusal } from '../refusal.ts';
import { handedInOf, pairsShown, type LetteredRun } from './pairs.ts';

/** Readings that were drawn or copied are no group’s own, and are not put together with others. */
const OWN_READINGS = { given: null };

/** What is needed of each page: its laboratory, which is the same for all, is long. */
const OF_EACH = ['classId', 'id', 'tools', 'choices', 'compared'];

/** Which page is the same work: of one opening, or of one thing, done by the same laboratory. */
function workOf({ openingId, protocolId, specimen }: RunRow): string {
  return openingId ?? `${protocolId} ${specimen.trim().toLowerCase()}`;
}

function sameWork({ classId, openingId, protocolId, specimen }: RunRow): WhereOptions {
  if (openingId !== null) return { classId, openingId, ...OWN_READINGS };
  const same = where(fn('lower', col('specimen')), specimen.toLowerCase());
  return { [Op.and]: [{ classId, protocolId, openingId: null, ...OWN_READINGS }, same] };
}

/** Of a row in which the title stands in the place of the whole laboratory. */
function titleOf(run: RunRow): string {
  const title: unknown = run.get('protocol');
  return typeof title === 'string' ? title : '';
}

/** What groups of a class have found, the latest first. */
export async function resultsOfClass(classId: string): Promise<ClassResultsSummary[]> {
  const runs = await RunRow.findAll({
    attributes: [
      'classId',
      'id',
      'openingId',
      'protocolId',
      'specimen',
      'startedAt',
      [fn('jsonb_extract_path_text', col('protocol'), 'title'), 'protocol'],
    ],
    where: { classId, ...OWN_READINGS },
    order: [
      ['startedAt', 'DESC'],
      ['id', 'ASC'],
    ],
  });
  const found = await RunResultRow.findAll({ attributes: ['runId'], where: { classId, position: 0 } });
  const withResults = new Set(found.map(({ runId }) => runId));
  const works = new Map<string, ClassResultsSummary>();
  // The page of whoever began first stands for all, with a result or without: it stays the same while results come in.
  const first = new Map(runs.map((run) => [workOf(run), run.id]));
  for (const run of runs) {
    if (!withResults.has(run.id)) continue;
    const work = workOf(run);
    const known = works.get(work);
    works.set(work, {
      runId: first.get(work) ?? run.id,
      title: known?.title ?? titleOf(run),
      specimen: known?.specimen ?? run.specimen,
      startedAt: run.startedAt.toISOString(),
      groups: (known?.groups ?? 0) + 1,
    });
  }
  return [...works.values()];
}

/** A run whose results the caller may see beside others: a teacher’s, or one’s own, handed in. */
async function runToCompare({ caller, as, schoolClass }: ClassAccess, runId: string): Promise<RunRow> {
  const run = await RunRow.findOne({ where: { classId: schoolClass.id, id: runId } });
  if (!run) throw notFound();
  if (as !== 'student') return run;
  const membership = await RunMember.findOne({ where: { classId: run.classId, runId, personId: caller.personId } });
  if (!membership?.joinedAt) throw new Refusal(403, 'This page belongs to another group.');
  const author = authorFor(run, caller.personId);
  if (!(await inForce(run)).some((one) => one.author === author))
    throw new Refusal(403, 'Hand in your own page first. Then you see what the others found.');
  // Who has seen what the others found goes on only where a teacher returns the page.
  await HandIn.update(
    { openedAt: new Date() },
    { where: { classId: run.classId, runId, author, endedAt: null, openedAt: null } },
  );
  return run;
}

/** Rows by the page they belong to. */
function byRun<Row extends { readonly runId: string }>(rows: readonly Row[]): Map<string, Row[]> {
  const found = new Map<string, Row[]>();
  for (const row of rows) {
    const known = found.get(row.runId);
    if (known) known.push(row);
    else found.set(row.runId, [row]);
  }
  return found;
}

/** A letter for each, and two where there are more than the alphabet has. */
function letterAt(i: number): string {
  const letter = String.fromCharCode(65 + (i % 26));
  return i < 26 ? letter : `${String.fromCharCode(64 + Math.floor(i / 26))}${letter}`;
}

/** Pages of all groups that did the same as on one, each with its letter. */
async function lettered(run: RunRow): Promise<readonly (LetteredRun & { readonly row: RunRow })[]> {
  // Ids are drawn by lot: in their order nobody can tell who began first.
  const runs = await RunRow.findAll({ attributes: OF_EACH, where: sameWork(run), order: [['id', 'ASC']] });
  return runs.map((row, i) => ({ id: row.id, letter: letterAt(i), row }));
}

/** Pages of all groups that did the same as on a page, which a teacher may pair. */
export async function groupsAlike(access: ClassAccess, runId: string): Promise<readonly LetteredRun[]> {
  return lettered(await runToCompare(access, runId));
}

/**
 * What groups found who did the same as on a page: teachers see who they are, students letters.
 * @throws Refusal for students of other groups, and before they have handed in.
 */
export async function classResults(access: ClassAccess, runId: string): Promise<ClassResults> {
  const run = await runToCompare(access, runId);
  const { classId } = run;
  const runs = await lettered(run);
  const key = { classId, runId: runs.map(({ id }) => id) };
  const [results, members, handedIn, pairs] = await Promise.all([
    RunResultRow.findAll({ where: key, order: [['position', 'ASC']], raw: true }),
    RunMember.findAll({ where: key, raw: true }),
    handedInOf(classId, key.runId),
    pairsShown(classId, runs, access.as === 'student' ? runId : null),
  ]);
  const isTeacher = access.as !== 'student';
  const people = isTeacher ? await Person.findAll({ where: { id: members.map(({ personId }) => personId) } }) : [];
  const labels = new Map(people.map((person) => [person.id, labelOf(person, 'short')]));
  const [resultsOf, membersOf] = [byRun(results), byRun(members)];
  const groups = runs.map(({ letter, row: one }): GroupToPool => {
    const ofGroup = membersOf.get(one.id) ?? [];
    const isOwn = !isTeacher && ofGroup.some(({ personId }) => personId === access.caller.personId);
    return {
      letter,
      names: isTeacher ? ofGroup.map(({ personId }) => labels.get(personId) ?? '').sort() : null,
      runId: isTeacher || isOwn ? one.id : null,
      isOwn,
      isHandedIn: handedIn.has(one.id),
      tools: one.tools,
      choices: one.choices,
      compared: one.compared,
      results: (resultsOf.get(one.id) ?? []).map(
        ({ quantity, members: at, name, unit, value, place, variance, accepted }) => ({
          quantity,
          members: at,
          name,
          unit,
          value,
          place,
          variance,
          accepted,
        }),
      ),
    };
  });
  const { title, options } = run.protocol;
  return {
    title,
    specimen: run.specimen,
    groups: groups.filter((group) => group.results.length > 0),
    pairs,
    without: groups.filter((group) => group.results.length === 0).length,
    options: options.map(({ id, name, choices }) => ({
      id,
      name,
      choices: choices.map((one) => ({ id: one.id, name: one.name })),
    })),
  };
}
