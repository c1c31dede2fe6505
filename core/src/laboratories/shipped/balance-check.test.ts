import { describe, expect, it } from 'vitest';
import { meanOf, rectangle, resultOf, standardOf, workedSample } from './by-hand.ts';
import { BALANCE_CHECK } from './balance-check.ts';

describe('is the balance fit for use?', () => {
  const run = workedSample(BALANCE_CHECK);
  const errors = { hundredth: [0, 0.01, 0.01, 0.01, 0.02, 0.02], tenth: [0, 0.1, 0.2, 0.2, 0.3, 0.3] };

  it.each(Object.entries(errors))('finds the errors of the balance to a %s', (balance, each) => {
    const digit = rectangle(balance === 'tenth' ? 0.1 : 0.01);
    const largest = resultOf(run, 'largest', balance);
    expect(largest.value).toBeCloseTo(Math.max(...each), 10);
    expect(standardOf(largest)).toBeCloseTo(Math.hypot(digit, rectangle(0.002)), 10);
    const mean = resultOf(run, 'meanError', balance);
    expect(mean.value).toBeCloseTo(meanOf(each), 10);
    // Six readings, and three standards that are each used twice.
    expect(standardOf(mean)).toBeCloseTo(Math.hypot(digit / Math.sqrt(6), rectangle(0.002) / Math.sqrt(3)), 10);
  });

  it('shows how far the way down differs from the way up', () => {
    expect(run.cellAt('upDown', { balance: 'tenth', load: 'light' })).toMatchObject({ text: '-0.1' });
    expect(run.cellAt('upDown', { balance: 'tenth', load: 'heavy' })).toMatchObject({ text: '0.0' });
  });

  it('ranks the balances', () => {
    expect(run.comparisons[0]).toMatchObject({ ranked: [{ member: 'hundredth' }, { member: 'tenth' }] });
  });
});
