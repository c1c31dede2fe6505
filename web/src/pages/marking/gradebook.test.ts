import { NOT_MARKED, USUAL_RUBRIC, type ReportInQueue } from '@green-beam/contract';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { GRADEBOOK_COLUMNS, gradebookCsv } from './gradebook.ts';

const ALL = GRADEBOOK_COLUMNS.map(([id]) => id);

const report = (more: Partial<ReportInQueue> = {}): ReportInQueue => ({
  runId: 'run',
  author: 'a',
  number: 1,
  label: 'Bao L.',
  partners: [],
  protocolId: 'solid-by-displacement',
  title: 'Density by displacement',
  specimen: 'Slate tile, a chip',
  handedInAt: '2026-11-30T09:00:00.000Z',
  isLate: true,
  proposal: null,
  marking: {
    points: { readings: 4, digits: 3, calculation: 2, judgement: 1, conclusion: 0 },
    comments: [
      { id: '1', at: null, text: 'Would it float?' },
      { id: '2', at: null, text: '=1+1' },
    ],
    isDone: true,
  },
  returnedAt: null,
  isInForce: true,
  ...more,
});

const rowsOf = (csv: string): Record<string, string>[] =>
  Papa.parse<Record<string, string>>(csv, { header: true }).data;

describe('the gradebook', () => {
  it('has one row a marked report, with every criterion and the sum', () => {
    const [row, ...others] = rowsOf(gradebookCsv([report(), report({ marking: NOT_MARKED })], USUAL_RUBRIC, ALL));
    expect(others).toEqual([]);
    expect(row).toMatchObject({
      Student: 'Bao L.',
      Laboratory: 'Density by displacement',
      'What was measured': 'Slate tile, a chip',
      'Report number': '1',
      Late: 'late',
      Readings: '4',
      Digits: '3',
      Calculation: '2',
      Judgement: '1',
      Conclusion: '0',
      Total: '10',
      Comments: 'Would it float? | =1+1',
    });
  });

  it('has the columns that are chosen, in their order', () => {
    expect(gradebookCsv([report()], USUAL_RUBRIC, ['total', 'student'])).toBe('Student,Total\r\nBao L.,10');
  });

  it('has letters without a sum, and no marks at all where there are only comments', () => {
    const letters = rowsOf(gradebookCsv([report()], { ...USUAL_RUBRIC, scale: 'letters' }, ALL));
    expect(letters[0]).toMatchObject({ Readings: 'A', Conclusion: 'E' });
    expect(letters[0]).not.toHaveProperty('Total');
    const comments = rowsOf(gradebookCsv([report()], { ...USUAL_RUBRIC, scale: 'comments' }, ALL));
    expect(comments[0]).not.toHaveProperty('Readings');
    expect(comments[0]).toHaveProperty('Comments');
  });

  it('runs no formula that somebody was called or wrote', () => {
    const csv = gradebookCsv([report({ label: '=HYPERLINK("x")', specimen: '+1' })], USUAL_RUBRIC, [
      'student',
      'piece',
    ]);
    expect(rowsOf(csv)[0]).toEqual({ Student: `'=HYPERLINK("x")`, 'What was measured': `'+1` });
  });
});
