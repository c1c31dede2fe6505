import type { ArrangementChange, LaboratoryShown } from '@green-beam/contract';
import { canBeLeft, protocol, protocolIds, usualArrangement, type Arrangement } from '@green-beam/core';
import { ClassLaboratory } from '../models/notebook.ts';
import { notFound, Refusal } from '../refusal.ts';

/** The laboratories that can be begun, with what is decided of each for a class. */
export async function laboratoriesOf(classId: string): Promise<LaboratoryShown[]> {
  const decided = await ClassLaboratory.findAll({ where: { classId } });
  return protocolIds().map((id) => {
    const lab = protocol(id);
    const { title, setting, purpose, steps } = lab;
    return {
      id,
      title,
      setting,
      purpose,
      minutes: steps.reduce((sum, { minutes }) => sum + minutes, 0),
      arrangement: decided.find(({ protocolId }) => protocolId === id)?.arrangement ?? usualArrangement(lab),
      canBeLeft: canBeLeft(lab),
    };
  });
}

/** What a run of a laboratory that is begun now goes by. */
export async function arrangementFor(classId: string, protocolId: string): Promise<Arrangement> {
  const decided = await ClassLaboratory.findOne({ where: { classId, protocolId } });
  return decided?.arrangement ?? usualArrangement(protocol(protocolId));
}

/**
 * Decides for a class who calculates in a laboratory, and when the accepted value is shown. Runs that have begun stay as they are.
 * @throws Refusal naming the quantity that cannot be left to students.
 */
export async function arrange(classId: string, protocolId: string, change: ArrangementChange): Promise<void> {
  if (!protocolIds().includes(protocolId)) throw notFound();
  const possible = canBeLeft(protocol(protocolId)).map(({ id }) => id);
  const unknown = change.byStudent.find((id) => !possible.includes(id));
  if (unknown !== undefined) throw new Refusal(400, `“${unknown}” is not calculated in this laboratory.`, 'byStudent');
  const byStudent = possible.filter((id) => change.byStudent.includes(id));
  await ClassLaboratory.upsert({ classId, protocolId, arrangement: { ...change, byStudent } });
}
