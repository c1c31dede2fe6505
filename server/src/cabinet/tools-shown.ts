import type { ToolChoice, ToolNote, ToolShown } from '@green-beam/contract';
import { labelOf } from '../auth/labels.ts';
import { Tool, ToolNoteRow } from '../models/cabinet.ts';
import { Person } from '../models/people.ts';

/** Notes that are shown of a tool, and reckoned with in its chart. */
const NOTES = 200;

/** Tools of a class with what was found about them, by their codes; one of them, or all. */
export async function toolsShown(classId: string, id?: string): Promise<ToolShown[]> {
  const tools = await Tool.findAll({
    where: { classId, ...(id === undefined ? {} : { id }) },
    order: [['code', 'ASC']],
  });
  const rows = await ToolNoteRow.findAll({
    where: { classId, ...(id === undefined ? {} : { toolId: id }) },
    order: [['createdAt', 'DESC']],
  });
  const people = await Person.findAll({
    where: {
      id: [...new Set([...rows.map(({ personId }) => personId), ...tools.flatMap(({ changedBy }) => changedBy ?? [])])],
    },
  });
  const labels = new Map(people.map((person) => [person.id, labelOf(person, 'full')]));
  const noteOf = ({ id: noteId, kind, reading, nominal, remark, personId, createdAt }: ToolNoteRow): ToolNote => ({
    id: noteId,
    kind,
    reading,
    nominal,
    remark,
    by: labels.get(personId) ?? '',
    at: createdAt.toISOString(),
  });
  return tools.map((tool) => {
    const notes = rows.filter(({ toolId }) => toolId === tool.id).map(noteOf);
    return {
      id: tool.id,
      code: tool.code,
      instrumentId: tool.instrumentId,
      kind: tool.kind,
      keeper: tool.keeper,
      tolerance: tool.tolerance,
      state: tool.state,
      version: tool.version,
      changedBy: labels.get(tool.changedBy ?? '') ?? '',
      changedAt: tool.changedAt.toISOString(),
      zeroError: notes.find(({ kind }) => kind === 'zero')?.reading ?? null,
      notes: notes.slice(0, NOTES),
    };
  });
}

/** Tools that may be used, as students see them. */
export async function toolChoices(classId: string): Promise<ToolChoice[]> {
  const tools = await toolsShown(classId);
  return tools
    .filter(({ state }) => state !== 'out-of-use')
    .map(({ id, code, instrumentId, zeroError }) => ({ id, code, instrumentId, zeroError }));
}
