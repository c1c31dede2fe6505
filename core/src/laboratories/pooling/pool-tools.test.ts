import { describe, expect, it } from 'vitest';
import type { ToolCompared } from '../comparing/tools-compared.ts';
import { poolTools } from './pool-tools.ts';

function tool(member: string, errors: readonly number[], rest: Partial<ToolCompared> = {}): ToolCompared {
  return { member, name: member, unit: 'mL', errors, accepted: 25, tolerance: 0.2, inSequence: false, ...rest };
}

describe('what a class found of its tools', () => {
  it('is the mean of the groups’ means, however often each has repeated', () => {
    const [burette] = poolTools([
      { group: 'A', tools: [tool('burette', [0.1, 0.1, 0.1, 0.1])] },
      { group: 'B', tools: [tool('burette', [0.3, 0.3])] },
    ]);
    expect(burette).toMatchObject({ groups: 2, accuracy: 1, spread: 0 });
    expect(burette?.error).toBeCloseTo(0.2, 12);
    expect(burette?.percentError).toBeCloseTo(0.8, 12);
    // s of 0.1 and 0.3 is 0.1·√2, over √2 groups; t(1) = 12.7062.
    expect(burette?.half).toBeCloseTo(12.706204736432095 * 0.1, 9);
    expect(burette?.byTolerance).toBe('open');
  });
  it('has the scatter within the groups, weighted by their degrees of freedom', () => {
    const [burette] = poolTools([
      { group: 'A', tools: [tool('burette', [0, 0.2])] },
      { group: 'B', tools: [tool('burette', [1, 1.1, 1.2])] },
      { group: 'C', tools: [tool('burette', [5])] },
    ]);
    // (1·0.02 + 2·0.01) ÷ 3
    expect(burette?.spread).toBeCloseTo(Math.sqrt(0.04 / 3), 12);
  });
  it('ranks them twice', () => {
    const tools = [tool('cylinder', [-0.3, -0.31]), tool('beaker', [0.5, -0.45])];
    const pooled = poolTools([
      { group: 'A', tools },
      { group: 'B', tools },
    ]);
    expect(pooled.map(({ member, accuracy, precision }) => [member, accuracy, precision])).toEqual([
      ['cylinder', 2, 1],
      ['beaker', 1, 2],
    ]);
    expect(pooled.map(({ byTolerance }) => byTolerance)).toEqual(['beyond', 'within']);
  });
  it('has no percent and no tolerance where groups compared with different ones', () => {
    const [one] = poolTools([
      { group: 'A', tools: [tool('beaker', [0.1])] },
      { group: 'B', tools: [tool('beaker', [0.2], { accepted: 50, tolerance: 5 })] },
    ]);
    expect(one).toMatchObject({
      percentError: null,
      tolerance: null,
      byTolerance: null,
      spread: null,
      precision: null,
    });
  });
  it('of one group has no interval, and of none there is nothing', () => {
    expect(poolTools([{ group: 'A', tools: [tool('beaker', [0.1, 0.2])] }])[0]).toMatchObject({
      half: null,
      byTolerance: 'open',
    });
    expect(poolTools([])).toEqual([]);
    expect(poolTools([{ group: 'A', tools: [] }])).toEqual([]);
  });
});
