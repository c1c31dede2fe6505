import { describe, expect, it } from 'vitest';
import { workOut } from '../engine/evaluate.ts';
import { sampleRun } from '../run/run-from-rows.ts';
import { SHIPPED } from '../shipped/shipped.ts';
import { SOLID_BY_DISPLACEMENT } from '../shipped/solid-by-displacement.ts';
import { judgeAnswer } from './judge-answer.ts';

describe('an answer that is a number', () => {
  const run = workOut(SOLID_BY_DISPLACEMENT, sampleRun(SOLID_BY_DISPLACEMENT));
  const place = { quantity: 'onePiece' };
  const value =
    run.results.length > 0 ? (run.cellAt('onePiece', {}) as { number: { value: { toNumber(): number } } }) : null;
  const own = value?.number.value.toNumber() ?? NaN;
  const u = run.standardAt('onePiece', {}) ?? NaN;

  it.each([
    ['as it is', (): string => `${own.toFixed(3)} mL`, 'agrees'],
    ['within what is known of it', (): string => `${(own + 1.9 * u).toFixed(3)} mL`, 'agrees'],
    ['just beyond that', (): string => `${(own + 2.2 * u).toFixed(4)} mL`, 'differs'],
    ['in another unit', (): string => `${(own / 1000).toFixed(6)} L`, 'agrees'],
    ['with its way to it', (): string => `V / n = ${own.toFixed(3)} mL`, 'agrees'],
    ['without a unit', (): string => own.toFixed(3), 'unit-missing'],
    ['in grams', (): string => `${own.toFixed(3)} g`, 'unit-wrong'],
    ['in words', (): string => 'about six', 'unreadable'],
    ['in whole numbers, as far as they go', (): string => `${own.toFixed(0)} mL`, 'agrees'],
  ])('%s', (_, text, verdict) => {
    expect(judgeAnswer(run, place, text())).toBe(verdict);
  });

  it('is open while what it asks for is not there', () => {
    const empty = workOut(SOLID_BY_DISPLACEMENT, { events: [] });
    expect(judgeAnswer(empty, place, '6.3 mL')).toBe('open');
  });

  it('of every laboratory agrees with its own number', () => {
    let asked = 0;
    for (const protocol of SHIPPED) {
      const worked = workOut(protocol, sampleRun(protocol));
      for (const { answer } of protocol.questions) {
        if (answer?.kind !== 'number') continue;
        const cell = worked.cellAt(answer.quantity, answer.at ?? {});
        const quantity = worked.setting.layout.quantities.get(answer.quantity);
        if (!cell || !('text' in cell) || !quantity || !('unit' in quantity)) continue;
        asked += 1;
        expect([protocol.id, judgeAnswer(worked, answer, `${cell.text} ${quantity.unit}`)]).toEqual([
          protocol.id,
          'agrees',
        ]);
      }
    }
    expect(asked).toBeGreaterThan(5);
  });
});
