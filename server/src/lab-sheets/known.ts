import { protocol, protocolIds, type Protocol } from '@green-beam/core';
import { Op, type WhereOptions } from 'sequelize';
import { ClassTeacher, type SchoolClass } from '../models/classes.ts';
import { LabSheet, LabSheetVersion } from '../models/lab-sheets.ts';
import { notFound, Refusal } from '../refusal.ts';

type OfClass = Pick<SchoolClass, 'id' | 'schoolId'>;

/** The school’s own laboratories that a class can do: those of its teachers, and those that are shared. */
async function reachedBy({ id: classId, schoolId }: OfClass): Promise<WhereOptions<LabSheet>> {
  const teachers = await ClassTeacher.findAll({ where: { classId } });
  return {
    schoolId,
    version: { [Op.ne]: null },
    [Op.or]: [{ isShared: true }, { ownerId: teachers.map(({ personId }) => personId) }],
  };
}

/** Every laboratory that a class can begin: those that ship with the application, then the school’s own, by their titles. */
export async function laboratoriesInUse(schoolClass: OfClass): Promise<{ lab: Protocol; isOwn: boolean }[]> {
  const sheets = await LabSheet.findAll({
    attributes: ['schoolId', 'id', 'version'],
    where: { [Op.and]: [await reachedBy(schoolClass), { retiredAt: null }] },
  });
  const own = await Promise.all(sheets.map(({ id, version }) => laboratoryAt(schoolClass.schoolId, id, version ?? 0)));
  return [
    ...protocolIds().map((id) => ({ lab: protocol(id), isOwn: false })),
    ...own.sort((a, b) => a.title.localeCompare(b.title)).map((lab) => ({ lab, isOwn: true })),
  ];
}

async function found(schoolClass: OfClass, id: string): Promise<Protocol | null> {
  if (protocolIds().includes(id)) return protocol(id);
  const sheet = await LabSheet.findOne({
    attributes: ['version'],
    where: { [Op.and]: [await reachedBy(schoolClass), { id, retiredAt: null }] },
  });
  return sheet && laboratoryAt(schoolClass.schoolId, id, sheet.version ?? 0);
}

/** A laboratory that a class can begin. @throws Refusal (404) where there is none, or it is not offered any more. */
export async function laboratoryInUse(schoolClass: OfClass, id: string): Promise<Protocol> {
  const lab = await found(schoolClass, id);
  if (!lab) throw notFound();
  return lab;
}

/** As `laboratoryInUse`, of one that a request names. @throws Refusal naming the field. */
export async function laboratoryToBegin(schoolClass: OfClass, id: string): Promise<Protocol> {
  const lab = await found(schoolClass, id);
  if (!lab) throw new Refusal(400, 'There is no such laboratory.', 'protocolId');
  return lab;
}

/** A version of a laboratory, whether or not it is still offered. @throws Refusal (404). */
export async function laboratoryAt(schoolId: string, id: string, version: number): Promise<Protocol> {
  if (protocolIds().includes(id)) return protocol(id);
  const inUse = await LabSheetVersion.findOne({ where: { schoolId, id, version } });
  if (!inUse) throw notFound();
  return inUse.protocol;
}
