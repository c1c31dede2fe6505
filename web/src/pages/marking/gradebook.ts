import { LETTERS, type ReportInQueue, type Rubric } from '@green-beam/contract';
import { format } from 'date-fns';
import Papa from 'papaparse';
import { pointsOf } from './points.ts';

/** What a gradebook can have in its columns, beside the criteria. */
export const GRADEBOOK_COLUMNS = [
  ['student', 'Student'],
  ['laboratory', 'Laboratory'],
  ['piece', 'What was measured'],
  ['handed-in', 'Handed in'],
  ['number', 'Report number'],
  ['late', 'Late'],
  ['criteria', 'Each criterion'],
  ['total', 'Total'],
  ['comments', 'Comments'],
] as const;
export type GradebookColumn = (typeof GRADEBOOK_COLUMNS)[number][0];

/** A mark as the class writes it; empty where none is decided. */
function written(points: number | null, scale: Rubric['scale']): string {
  if (points === null || scale === 'comments') return '';
  return scale === 'letters' ? (LETTERS[points] ?? '') : String(points);
}

/** One row a report that is marked, with the chosen columns. Formulas are neutralised. */
export function gradebookCsv(
  reports: readonly ReportInQueue[],
  rubric: Rubric,
  columns: readonly GradebookColumn[],
): string {
  const criteria = rubric.scale === 'comments' ? [] : rubric.criteria;
  const has = (column: GradebookColumn): boolean => columns.includes(column);
  const fields = GRADEBOOK_COLUMNS.filter(([id]) => has(id)).flatMap(([id, name]) =>
    id === 'criteria'
      ? criteria.map((criterion) => criterion.name)
      : id === 'total' && rubric.scale !== 'points'
        ? []
        : [name],
  );
  const rows = reports
    .filter(({ marking }) => marking.isDone)
    .map((report) => {
      const marks = criteria.map((criterion) => pointsOf(criterion, report.marking, report.proposal).points);
      const cells: Readonly<Record<GradebookColumn, readonly string[]>> = {
        student: [report.label],
        laboratory: [report.title],
        piece: [report.specimen],
        'handed-in': [format(new Date(report.handedInAt), 'yyyy-MM-dd HH:mm')],
        number: [String(report.number)],
        late: [report.isLate ? 'late' : ''],
        criteria: marks.map((points) => written(points, rubric.scale)),
        total: rubric.scale === 'points' ? [String(marks.reduce<number>((sum, points) => sum + (points ?? 0), 0))] : [],
        comments: [report.marking.comments.map(({ text }) => text).join(' | ')],
      };
      return GRADEBOOK_COLUMNS.filter(([id]) => has(id)).flatMap(([id]) => cells[id]);
    });
  return Papa.unparse({ fields, data: rows }, { escapeFormulae: true, newline: '\r\n' });
}
