import type { ToolShown } from '@green-beam/contract';
import { describe, expect, it } from 'vitest';
import { csvOf, toolRowsOf } from './cabinet-csv.ts';
import { checksWith, lastCheckSays, nominalsOf, proposedState, signed } from './tool-words.ts';

const tool = (more: Partial<ToolShown>): ToolShown => ({
  id: 'x',
  code: 'C-01',
  instrumentId: 'caliper-twentieth',
  kind: 'real',
  keeper: 'bench 1',
  tolerance: null,
  state: 'fit',
  version: 1,
  changedBy: '',
  changedAt: '2026-01-01T00:00:00Z',
  zeroError: -0.05,
  notes: [],
  ...more,
});

describe('a cabinet as CSV', () => {
  it('comes back as it went out', () => {
    const tools = [
      tool({}),
      tool({
        code: 'B "2", old',
        instrumentId: 'digital-balance-hundredth',
        keeper: 'window, left',
        state: 'out-of-use',
        zeroError: null,
        tolerance: 0.05,
        kind: 'simulated',
      }),
    ];
    expect(toolRowsOf(csvOf(tools))).toEqual([
      {
        code: 'C-01',
        instrumentId: 'caliper-twentieth',
        tolerance: null,
        zeroError: -0.05,
        keeper: 'bench 1',
        kind: 'real',
        state: 'fit',
      },
      {
        code: 'B "2", old',
        instrumentId: 'digital-balance-hundredth',
        tolerance: 0.05,
        zeroError: null,
        keeper: 'window, left',
        kind: 'simulated',
        state: 'out-of-use',
      },
    ]);
  });

  it('holds no cell that a spreadsheet would reckon with', () => {
    expect(csvOf([tool({ keeper: '=HYPERLINK("x")' })])).toContain(`"'=HYPERLINK(""x"")"`);
    for (const start of ['=', '+', '-', '@', '\t', '\r'])
      expect(csvOf([tool({ keeper: `${start}1+1` })])).toMatch(/"?'[=+\-@\t\r]1\+1/);
    for (const keeper of ['=1+1', '-1+1', '@a', '+1'])
      expect(toolRowsOf(csvOf([tool({ keeper })]))[0]).toMatchObject({ keeper });
    expect(csvOf([tool({})])).toContain(',-0.05');
  });

  it('takes names for tools, other separators, and columns in any order', () => {
    expect(toolRowsOf('tool;code;zero error\n0.05 mm vernier caliper;K 4;−0,1\nsextant;K 5;much')).toEqual([
      { code: 'K 4', instrumentId: 'caliper-twentieth', tolerance: null, zeroError: -0.1 },
      { code: 'K 5', instrumentId: 'sextant', tolerance: null, zeroError: 'much' },
    ]);
  });
});

describe('what checks say', () => {
  const check = (reading: number, day: number, nominal = 100): ToolShown['notes'][number] => ({
    id: `${day}`,
    kind: 'check',
    reading,
    nominal,
    remark: '',
    by: '',
    at: `2026-01-${String(day).padStart(2, '0')}T00:00:00Z`,
  });
  const balance = tool({
    instrumentId: 'digital-balance-hundredth',
    tolerance: 0.03,
    notes: [check(100.04, 4), check(50.01, 3, 50), check(100.01, 2), check(99.99, 1)],
  });

  it('are told by the standard mass, oldest first', () => {
    expect(nominalsOf(balance)).toEqual([100, 50]);
    expect(checksWith(balance, 100).map(({ error }) => error)).toEqual([-0.01, 0.01, 0.04]);
  });

  it('judge the last one by what was known before it', () => {
    expect(lastCheckSays(balance)).toEqual({ says: 'action', error: 0.04 });
    expect(lastCheckSays({ ...balance, notes: balance.notes.slice(2) })).toEqual({ says: 'inside', error: 0.01 });
    expect(lastCheckSays(tool({}))).toBeNull();
  });

  it('propose another state where the tool’s own is better than its last check', () => {
    expect(proposedState(balance)).toBe('out-of-use');
    expect(proposedState({ ...balance, state: 'watch' })).toBe('out-of-use');
    expect(proposedState({ ...balance, state: 'out-of-use' })).toBeNull();
    const warned = { ...balance, notes: [check(100.025, 4), ...balance.notes.slice(2)] };
    expect(proposedState(warned)).toBe('watch');
    expect(proposedState({ ...warned, state: 'watch' })).toBeNull();
    expect(proposedState({ ...balance, notes: balance.notes.slice(2) })).toBeNull();
  });

  it('write errors with their sign', () => {
    expect([signed(0.02, 2), signed(-0.02, 2), signed(0, 2)]).toEqual(['+0.02', '−0.02', '±0.00']);
  });
});
