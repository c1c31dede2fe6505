import { randomUUID } from 'node:crypto';
import { subHours } from 'date-fns';
import { RunMember, RunRow } from '../models/notebook.ts';
import { PairNote, ResultPair } from '../models/result-pairs.ts';
import { DEMO_CLASS, DEMO_TEACHER, HERON_STUDENTS } from './people.ts';
import { GLASSWARE_SPECIMEN } from './sample-glassware.ts';

/** A group that weighed on a good balance, and one that did not: the second has written already. */
const [GOOD, FAULTY] = [0, 4];
const NOTE =
  'All four of our volumes are about 0.25 mL lower than yours, even with the pipette. We used B-04 and you did not. The tools were the same, so it may be the balance.';

/** Two groups of the glassware laboratory that talk about their difference. */
export async function seedPairs(now: Date): Promise<void> {
  const runs = await RunRow.findAll({
    attributes: ['classId', 'id'],
    where: { classId: DEMO_CLASS, specimen: GLASSWARE_SPECIMEN },
  });
  const runOf = async (index: number): Promise<string> => {
    const personId = HERON_STUDENTS[index]?.id ?? '';
    const member = await RunMember.findOne({
      where: { classId: DEMO_CLASS, personId, runId: runs.map(({ id }) => id) },
    });
    return member?.runId ?? '';
  };
  const [runA, runB] = [await runOf(GOOD), await runOf(FAULTY)];
  const pairId = randomUUID();
  await ResultPair.create({
    classId: DEMO_CLASS,
    id: pairId,
    runA,
    runB,
    openedBy: DEMO_TEACHER,
    openedAt: subHours(now, 3),
  });
  await PairNote.create({
    classId: DEMO_CLASS,
    id: randomUUID(),
    pairId,
    runId: runB,
    author: HERON_STUDENTS[FAULTY]?.id ?? '',
    text: NOTE,
    writtenAt: subHours(now, 2),
  });
}
