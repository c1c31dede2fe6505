import { describe, expect, it } from 'vitest';
import { completeRules } from '../../rules/house-rules.ts';
import { asLaid } from '../bench.ts';
import { diagnose } from '../judging/diagnose.ts';
import { slipById } from '../slips.ts';
import { canBeToldTogether, drawTask } from './draw-task.ts';
import { predictedEntries } from './predictions.ts';

const RULES = completeRules();
const ITEMS = 12;

describe('two slips aimed at in one item', () => {
  it.each([
    ['beam-balance-tenth', 'zero-ignored', 'trailing-zero-dropped'],
    ['beam-balance-hundredth', 'rider-up', 'container-alone'],
    ['burette-25', 'eye-low', 'final-as-delivered'],
    ['thermometer-tenth', 'unsettled', 'zero-ignored'],
    ['ruler-inch', 'label-off', 'end-not-zero'],
  ])('%s: %s and %s are each named first from what they lead to', (tool, first, second) => {
    expect(canBeToldTogether(tool, [first, second], RULES)).toBe(true);
    for (let seed = 0; seed < ITEMS; seed += 1) {
      const task = asLaid(drawTask(tool, { seed, aim: [first, second], rules: RULES }));
      for (const slip of [first, second]) {
        const entries = predictedEntries(task, slipById(slip));
        expect(entries.length).toBeGreaterThan(0);
        for (const entry of entries) expect(diagnose(task, entry).slips[0]?.ids).toEqual([slip]);
      }
    }
  });

  it.each([
    // The zero at the end of a difference is as likely a digit that was left out of either reading.
    ['beam-balance-hundredth', 'difference-added', 'trailing-zero-dropped'],
    ['burette-25', 'difference-turned', 'trailing-zero-dropped'],
    ['ruler-centimetre', 'end-not-zero', 'trailing-zero-dropped'],
    // A cylinder has no second reading.
    ['cylinder-50', 'meniscus-edge', 'final-as-delivered'],
  ])('%s: %s and %s are not', (tool, first, second) => {
    expect(canBeToldTogether(tool, [first, second], RULES)).toBe(false);
  });
});
