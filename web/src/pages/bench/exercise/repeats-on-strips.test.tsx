import type { RepeatsSeen } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { rendered, textsOf } from '../../../../test/rendered.ts';
import { DecimalMark } from '../../../numbers/decimal-mark.ts';
import { RepeatsOnStrips } from './repeats-on-strips.tsx';

const REPEATS: RepeatsSeen = {
  unit: 'mm',
  truth: '8.00',
  tools: [
    { name: 'A', readings: ['8.10', '8.10', '8.00'] },
    { name: 'B', readings: ['7.80', '7.90', '8.20'] },
  ],
};

describe('repeats on strips', () => {
  const { root } = rendered(<RepeatsOnStrips repeats={REPEATS} />);
  const across = (strip: number): number[] =>
    root
      .querySelectorAll(`div:nth-of-type(${strip})`)
      .flatMap((tool) => tool.querySelectorAll('circle').map((dot) => Number.parseFloat(dot.getAttribute('cx')!)));

  it('every reading lies as far from the true value as it is off, on one scale for all tools', () => {
    const [a, b] = [across(1), across(2)];
    expect(a[2]).toBe(50);
    const perMillimetre = (a[0]! - 50) / 0.1;
    for (const [at, off] of [
      [b[0]!, -0.2],
      [b[1]!, -0.1],
      [b[2]!, 0.2],
    ] as const)
      expect(at - 50).toBeCloseTo(perMillimetre * off, 9);
    expect(Math.min(...a, ...b)).toBeGreaterThan(3);
    expect(Math.max(...a, ...b)).toBeLessThan(97);
  });

  it('readings that are the same stand above each other, each to be seen', () => {
    const [first, second] = root.querySelectorAll('circle').map((dot) => Number(dot.getAttribute('cy')));
    expect(first! - second!).toBeGreaterThanOrEqual(10);
  });

  it('writes every reading out, with its unit, by the class’s decimal mark', () => {
    const { root: comma } = rendered(
      <DecimalMark value="comma">
        <RepeatsOnStrips repeats={REPEATS} />
      </DecimalMark>,
    );
    expect(textsOf(comma, '.font-mono')).toEqual(['8,10', '8,10', '8,00', '7,80', '7,90', '8,20']);
    expect(comma.querySelector('figure')!.getAttribute('aria-label')).toBe(
      'Readings in mm. The true value is 8,00 mm.',
    );
  });
});
