import { USUAL_RUBRIC, type Rubric } from '@green-beam/contract';
import { ClassRubric } from '../models/reports.ts';

/** What the reports of a class are marked by. */
export async function rubricOf(classId: string): Promise<Rubric> {
  const row = await ClassRubric.findOne({ where: { classId } });
  return row?.rubric ?? USUAL_RUBRIC;
}

export async function changeRubric(classId: string, rubric: Rubric): Promise<void> {
  await ClassRubric.upsert({ classId, rubric });
}
