import type { Drawing } from '../drawing/drawing.ts';
import { Round, SetRound } from '../models/bench.ts';
import { notFound, Refusal } from '../refusal.ts';
import { rulesOf } from '../rules.ts';
import { toolChoices } from '../cabinet/tools-shown.ts';
import { createRound, withTasks, type RoundOfTasks } from './create-round.ts';
import { isFor } from './set-rounds.ts';

interface Person {
  readonly classId: string;
  readonly schoolId: string;
  readonly personId: string;
}

/**
 * A student’s own round of one that was set: drawn at the first call, and the same one ever after, in however many tabs.
 * @throws Refusal when it is not for this student, or is given on paper (404), or was taken back before it was begun (409).
 */
export async function beginSetRound(
  person: Person,
  setRoundId: string,
  rulesVersion: number,
  drawing: Drawing,
): Promise<RoundOfTasks> {
  const set = await SetRound.findOne({ where: { classId: person.classId, id: setRoundId } });
  if (!set || set.onPaper || !isFor(set, person.personId)) throw notFound();
  return ownRound(person, set, rulesVersion, drawing);
}

/** The round with which somebody answers one that was set, drawn when there is none yet. @throws Refusal (409) when that was taken back before. */
export async function ownRound(
  person: Person,
  set: SetRound,
  rulesVersion: number,
  drawing: Drawing,
): Promise<RoundOfTasks> {
  const { classId, personId } = person;
  const own = (): Promise<Round | null> => Round.findOne({ where: { classId, setRoundId: set.id, personId } });
  const begun = await own();
  if (begun) return withTasks(await begun.update({ takenUpAt: new Date() }));
  if (set.withdrawnAt)
    throw new Refusal(409, 'Your teacher has withdrawn this practice set. You can practise on your own.', 'setRoundId');
  const version = set.rulesVersion ?? rulesVersion;
  try {
    const tools =
      set.toolIds.length === 0 ? [] : (await toolChoices(classId)).filter(({ id }) => set.toolIds.includes(id));
    const { id, length, aims, tries, hints, onPaper, given } = set;
    return await createRound(
      {
        ...person,
        tools,
        subjectIds: set.subjectIds,
        rules: await rulesOf(classId, version),
        rulesVersion: version,
        set: { id, length, aims, tries, hints, onPaper, given },
      },
      drawing,
    );
  } catch (error) {
    // Two calls at the same moment: the database lets one of them through.
    const other = await own();
    if (other) return withTasks(other);
    throw error;
  }
}
