import type { ClassResults, GroupToPool, PairSide } from '@green-beam/contract';
import { completeRules, PRESETS } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { rendered, textsOf } from '../../../../test/rendered.ts';
import { doneDifferently, resultsOfBoth } from './side-by-side.ts';
import { agreementOfTwo, TwoResults } from './two-results.tsx';

const group = (letter: string, value: number, own: number | null, more: Partial<GroupToPool> = {}): GroupToPool => ({
  letter,
  names: null,
  runId: null,
  isOwn: false,
  isHandedIn: true,
  tools: ['B-01'],
  choices: { vessel: 'fresh' },
  compared: [],
  results: [
    {
      quantity: 'meanDensity',
      members: {},
      name: 'Mean density',
      unit: 'g/mL',
      value,
      place: -2,
      variance: own === null ? null : { own: own ** 2, tools: { 'B-01': 0.04 }, given: {} },
      accepted: null,
    },
  ],
  ...more,
});
const found = (...groups: readonly GroupToPool[]): ClassResults => ({
  title: '',
  specimen: '',
  groups,
  pairs: [],
  without: 0,
  options: [
    {
      id: 'vessel',
      name: 'Vessel',
      choices: [
        { id: 'fresh', name: 'dry each time' },
        { id: 'onTop', name: 'filled on' },
      ],
    },
  ],
});
const side = (letter: string, isOwn = false): PairSide => ({ letter, names: [], isOwn, note: null });
const PAIR = [side('A', true), side('B')] as const;
const rules = completeRules();

describe('the results of two groups', () => {
  it('stand side by side with their difference, the balance of both left out', () => {
    const { root } = rendered(
      <TwoResults found={found(group('A', 8.7, 0.03), group('B', 8.5, 0.04))} sides={PAIR} rules={rules} />,
    );
    expect(textsOf(root, 'thead th')).toEqual(['Result', 'Yours', 'Group B', 'Difference']);
    const [row] = textsOf(root, 'tbody tr');
    // √(0.03² + 0.04²) = 0.05: 0.20 is four times as much, and the 0.2 that the balance adds to both is not in it.
    expect(row).toContain('0.20 g/mL');
    expect(row).toContain('■ they differ, by 4.0 times the uncertainty');
    expect(root.textContent).toContain('Both used B-01.');
    expect(root.textContent).not.toContain('NaN');
  });

  it.each(PRESETS)('by $name a value and its uncertainty end at the same place', ({ rules: house }) => {
    const { root } = rendered(
      <TwoResults found={found(group('A', 8.7, 0.03), group('B', 8.5, 0.04))} sides={PAIR} rules={house} />,
    );
    const decimals = textsOf(root, 'td .sr-only').flatMap((text) =>
      (text.match(/\d+\.\d+/g) ?? []).map((number) => number.split('.')[1]!.length),
    );
    expect(decimals.length).toBeGreaterThanOrEqual(4);
    expect(new Set(decimals).size).toBe(1);
  });

  it('say what each did differently: tools and choices', () => {
    const other = group('B', 8.5, 0.04, { tools: ['B-04', 'Z-01'], choices: { vessel: 'onTop' } });
    expect(doneDifferently(found(group('A', 8.7, 0.03), other), PAIR)).toEqual({
      toolsOfFirst: ['B-01'],
      toolsOfSecond: ['B-04', 'Z-01'],
      toolsOfBoth: [],
      choices: [{ name: 'Vessel', first: 'dry each time', second: 'filled on' }],
    });
    expect(doneDifferently(found(other), PAIR)).toBeNull();
  });

  it('are none where one group has no result, and that is said', () => {
    const alone = found(group('A', 8.7, 0.03));
    expect(resultsOfBoth(alone, PAIR)).toEqual([]);
    const { seen } = rendered(<TwoResults found={alone} sides={PAIR} rules={rules} />);
    expect(seen).toBe('These two groups have no result in common.');
  });
});

describe('whether two results agree, in words', () => {
  it.each([
    [{ difference: 0, standard: 0.1, agree: true }, 'the same'],
    [{ difference: 0.1, standard: 0.1, agree: true }, 'they agree: the uncertainties explain it'],
    [{ difference: -0.3, standard: 0.1, agree: false }, 'they differ, by 3.0 times the uncertainty'],
    [{ difference: 0.3, standard: 0, agree: false }, 'they differ'],
    [{ difference: 0.3, standard: null, agree: null }, 'no uncertainty, so nobody can say'],
  ])('%j: %s', (between, words) => {
    expect(agreementOfTwo(between)).toBe(words);
  });
});
