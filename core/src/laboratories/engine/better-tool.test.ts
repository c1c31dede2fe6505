import { describe, expect, it } from 'vitest';
import { instrumentIds } from '../../instruments/catalogue.ts';
import type { Protocol } from '../protocol/protocol.ts';
import { sampleRun } from '../run/run-from-rows.ts';
import type { Run } from '../run/run.ts';
import { anyTool } from '../run/tool-in-run.ts';
import { LIQUID_BY_INCREMENTS } from '../shipped/liquid-by-increments.ts';
import { PLATE_TWO_WAYS } from '../shipped/plate-two-ways.ts';
import { SHIPPED } from '../shipped/shipped.ts';
import { SOLID_BY_DISPLACEMENT } from '../shipped/solid-by-displacement.ts';
import { workOut } from './evaluate.ts';
import { groupBudget } from './group-budget.ts';

const EVERY_TOOL = instrumentIds().map(anyTool);

/** A sample’s run with another tool for a quantity. */
function withTool(protocol: Protocol, quantity: string, members: Record<string, string>, tool: string): Run {
  const { events } = sampleRun(protocol);
  const [first] = events;
  if (!first) throw new Error('The sample is empty.');
  return {
    events: [...events, { ...first, id: 'tool', address: { kind: 'tool', quantity, members }, text: tool, order: 999 }],
  };
}

describe('the tool that would help most', () => {
  it('is for the decimetre stick the finest ruler of its kind', () => {
    const run = workOut(PLATE_TWO_WAYS, sampleRun(PLATE_TWO_WAYS));
    const [coarse] = run.results;
    if (!coarse) throw new Error('There is no volume.');
    const better = run.betterTool(coarse, EVERY_TOOL);
    expect(better).toMatchObject({
      quantity: 'length',
      tool: { instrument: { id: 'ruler-half-centimetre' } },
      now: { value: '31', uncertainty: '8' },
    });
  });

  it.each([
    [LIQUID_BY_INCREMENTS, 'meanDensity', {}],
    [LIQUID_BY_INCREMENTS, 'slopeDensity', {}],
    [PLATE_TWO_WAYS, 'volume', { method: 'coarse' }],
    [PLATE_TWO_WAYS, 'volume', { method: 'fine' }],
  ])(
    'brings in $id what it promises: the same run with that tool has that uncertainty',
    (protocol, quantity, members) => {
      const run = workOut(protocol, sampleRun(protocol));
      const result = run.results.find(
        (one) =>
          one.quantity === quantity && Object.entries(members).every(([id, member]) => one.members[id] === member),
      );
      const better = result && run.betterTool(result, EVERY_TOOL);
      if (!better) throw new Error('No tool would help.');
      const own = Object.fromEntries(Object.entries(better.members).filter(([id]) => id === 'method'));
      const changed = workOut(protocol, withTool(protocol, better.quantity, own, better.tool.instrument.id));
      const then = changed.results.find(
        (one) => one.quantity === quantity && one.members['method'] === result.members['method'],
      );
      expect(then?.quoted).toBe(`${better.then.value} ± ${better.then.uncertainty}`);
      expect(better.factor).toBeGreaterThan(1.2);
    },
  );

  it('cannot be one that the values do not fit on, and none where none is there', () => {
    const run = workOut(SOLID_BY_DISPLACEMENT, sampleRun(SOLID_BY_DISPLACEMENT));
    const [density] = run.results;
    if (!density) throw new Error('There is no density.');
    // 25 mL do not go into the 10 mL cylinder, and the 25 mL one reads to half of 0.5 mL.
    expect(run.betterTool(density, [anyTool('cylinder-10')])).toBeNull();
    expect(run.betterTool(density, [])).toBeNull();
    expect(run.betterTool(density, [anyTool('cylinder-50')])).toBeNull();
  });
});

describe('a budget put together', () => {
  it.each(SHIPPED)('by tool, quantity or kind is still the whole of $id', (protocol) => {
    const run = workOut(protocol, sampleRun(protocol));
    for (const { methods } of run.results)
      for (const { budget, uncertainty } of methods)
        for (const by of ['tool', 'quantity', 'kind'] as const) {
          const groups = groupBudget(budget, by, run.setting);
          expect(new Set(groups.map(({ name }) => name)).size).toBe(groups.length);
          const whole = groups.reduce((sum, { share }) => sum + share, 0);
          expect(whole).toBeCloseTo(uncertainty > 0 ? 1 : 0, 9);
        }
  });

  it('says which tool has how much of it', () => {
    const run = workOut(SOLID_BY_DISPLACEMENT, sampleRun(SOLID_BY_DISPLACEMENT));
    const budget = run.results[0]?.methods[0]?.budget ?? [];
    expect(groupBudget(budget, 'tool', run.setting)[0]).toMatchObject({ name: 'the 50 mL cylinder' });
    expect(groupBudget(budget, 'kind', run.setting).map(({ name }) => name)).toEqual(['reading', 'repeats']);
    expect(groupBudget(budget, 'quantity', run.setting).map(({ name }) => name)).toContain('water after');
  });
});
