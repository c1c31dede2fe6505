import {
  BY_THE_BOOK,
  GROUP,
  protocol,
  runFromRows,
  sampleRun,
  workOut,
  type Row,
  type WorkedRun,
} from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { partsOf as partsFor, type Parts } from './parts.ts';

const PLATE = protocol('plate-two-ways');

function worked(rows: readonly Row[]): WorkedRun {
  return workOut(PLATE, runFromRows(PLATE, rows));
}

const partsOf = (run: WorkedRun): Parts => partsFor(run, GROUP, BY_THE_BOOK);
const done = (run: WorkedRun): string[] => partsOf(run).flatMap(({ id, done: isDone }) => (isDone ? [id] : []));

const five = (quantity: string, method: string, text: string): Row[] =>
  ['1', '2', '3', '4', '5'].map((trial) => ({ quantity, members: { method, trial }, text }));

describe('the way through a laboratory', () => {
  it('begins with its purpose, and nothing is done', () => {
    expect(partsOf(worked([])).map(({ title }) => title)).toEqual([
      'Purpose, kit, cautions',
      'Coarse rulers',
      'Fine tools',
      'Thickness',
      'Do they agree?',
      'Results',
      'True or false?',
      'Questions',
      'Report',
    ]);
    expect(done(worked([]))).toEqual([]);
  });

  it('has a step done when everything has been entered that it needs', () => {
    const coarse = [...five('length', 'coarse', '12'), ...five('width', 'coarse', '6.5')];
    expect(done(worked(coarse.slice(0, -1)))).toEqual(['purpose']);
    expect(done(worked(coarse))).toEqual(['purpose', 'coarse']);
    expect(done(worked([...coarse.slice(0, -1), { ...coarse.at(-1)!, text: 'about six' }]))).toEqual(['purpose']);
  });

  it('has the choices first where there are any', () => {
    const glass = protocol('glassware-delivery');
    expect(partsOf(workOut(glass, { events: [] }))[1]).toMatchObject({ id: 'set-up', done: false });
    expect(done(workOut(glass, sampleRun(glass)))).toContain('set-up');
  });

  it('has results once there are some', () => {
    expect(done(workOut(PLATE, sampleRun(PLATE)))).toEqual(['purpose', 'coarse', 'fine', 'thickness', 'results']);
  });
});
