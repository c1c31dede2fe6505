import type { ArrangementChange, LaboratoryShown } from '@green-beam/contract';
import { canBeLeft, usualArrangement, type Arrangement, type Protocol } from '@green-beam/core';
import { laboratoriesInUse, laboratoryInUse } from '../lab-sheets/known.ts';
import type { SchoolClass } from '../models/classes.ts';
import { ClassLaboratory } from '../models/notebook.ts';
import { Refusal } from '../refusal.ts';

/** What a class has decided, as far as a version of the laboratory still has what it is about. */
function decidedOf(lab: Protocol, decided: ClassLaboratory | null | undefined): Arrangement {
  if (!decided) return usualArrangement(lab);
  const possible = canBeLeft(lab).map(({ id }) => id);
  return { ...decided.arrangement, byStudent: decided.arrangement.byStudent.filter((id) => possible.includes(id)) };
}

/** The laboratories that can be begun, with what is decided of each for a class. */
export async function laboratoriesOf(schoolClass: SchoolClass): Promise<LaboratoryShown[]> {
  const decided = await ClassLaboratory.findAll({ where: { classId: schoolClass.id } });
  return (await laboratoriesInUse(schoolClass)).map(({ lab, isOwn }) => {
    const { id, title, setting, purpose, steps } = lab;
    return {
      id,
      title,
      setting,
      purpose,
      isOwn,
      minutes: steps.reduce((sum, { minutes }) => sum + minutes, 0),
      arrangement: decidedOf(
        lab,
        decided.find(({ protocolId }) => protocolId === id),
      ),
      canBeLeft: canBeLeft(lab),
    };
  });
}

/** What a run of a laboratory that is begun now goes by. */
export async function arrangementFor(classId: string, lab: Protocol): Promise<Arrangement> {
  return decidedOf(lab, await ClassLaboratory.findOne({ where: { classId, protocolId: lab.id } }));
}

/**
 * Decides for a class who calculates in a laboratory, and when the accepted value is shown. Runs that have begun stay as they are.
 * @throws Refusal naming the quantity that cannot be left to students.
 */
export async function arrange(schoolClass: SchoolClass, protocolId: string, change: ArrangementChange): Promise<void> {
  const possible = canBeLeft(await laboratoryInUse(schoolClass, protocolId)).map(({ id }) => id);
  const unknown = change.byStudent.find((id) => !possible.includes(id));
  if (unknown !== undefined) throw new Refusal(400, `“${unknown}” is not calculated in this laboratory.`, 'byStudent');
  const byStudent = possible.filter((id) => change.byStudent.includes(id));
  await ClassLaboratory.upsert({ classId: schoolClass.id, protocolId, arrangement: { ...change, byStudent } });
}
