import { describe, expect, it } from 'vitest';
import { completeRules } from '../../rules/house-rules.ts';
import { drawDifferent } from '../given/draw-given.ts';
import { workOut } from '../engine/evaluate.ts';
import { protocol, protocolIds } from '../protocols.ts';
import { anyTool } from '../run/tool-in-run.ts';
import { neededSize, rankedPlans, toolsForJob, type Job, type ToolPlan } from './tools-for-job.ts';

const rules = completeRules();
const tool = (instrumentId: string, code: string) => ({ ...anyTool(instrumentId), code });
const CABINET = [
  tool('digital-balance-hundredth', 'B-01'),
  tool('digital-balance-hundredth', 'B-02'),
  tool('digital-balance-gram', 'B-09'),
  tool('cylinder-50', 'Z-01'),
  tool('cylinder-100', 'Z-02'),
  tool('beaker-100', 'G-01'),
];
const job = (rest: Partial<Job> = {}): Job => ({
  protocol: protocol('solid-by-displacement'),
  sample: 0,
  cabinet: CABINET,
  rules,
  ...rest,
});
const plansOf = (one: Job): ToolPlan[] => [...toolsForJob(one)!.plans()];
const planOf = (uncertainty: number): ToolPlan => ({ chosen: [], uncertainty, seconds: 1 });
const named = ({ chosen }: ToolPlan): string =>
  chosen
    .map(({ tool: { instrument } }) => instrument.id)
    .sort()
    .join(' + ');

describe('tools for a laboratory', () => {
  it('are every way to take what can read it, each with what comes of it', () => {
    const search = toolsForJob(job())!;
    const plans = [...search.plans()];
    expect(plans).toHaveLength(search.count);
    expect(new Set(plans.map(named)).size).toBe(plans.length);
    const best = rankedPlans(plans, 0)[0]!;
    expect(named(best)).toContain('digital-balance-hundredth');
    const worst = rankedPlans(plans, 0).at(-1)!;
    expect(named(worst)).toContain('digital-balance-gram');
    expect(worst.uncertainty).toBeGreaterThan(best.uncertainty);
    expect(
      best.chosen.find(({ tool: { instrument } }) => instrument.id === 'digital-balance-hundredth')?.available ?? 2,
    ).toBe(2);
  });
  it('that will do come first, the quickest of them on top', () => {
    const plans = plansOf(job());
    const most = Math.max(...plans.map(({ uncertainty }) => uncertainty));
    const ranked = rankedPlans(plans, most);
    expect(ranked.map(({ seconds }) => seconds)).toEqual(
      [...ranked.map(({ seconds }) => seconds)].sort((a, b) => a - b),
    );
  });
  it('are taken as they are where the cabinet has none', () => {
    const [only, ...others] = plansOf(job({ cabinet: [] }));
    expect(others).toEqual([]);
    expect(only?.chosen.every(({ available, tool: { code } }) => available === 0 && code === null)).toBe(true);
  });
  it('have an uncertainty that runs with given readings meet', () => {
    const cabinet = [tool('digital-balance-hundredth', 'B-01'), tool('cylinder-50', 'Z-01')];
    const [plan] = plansOf(job({ cabinet }));
    const lab = protocol('solid-by-displacement');
    const sizes = drawDifferent(lab, 40, {
      seed: 3,
      rules,
      cabinet: cabinet.map(
        ({ instrument, code }) => `${instrument.id}; ${code}; ; ${anyTool(instrument.id).tolerance}`,
      ),
    })
      .map((entries) => {
        const events = entries.map(({ address, text, reason }, i) => ({
          id: String(i),
          address,
          text,
          reason: reason ?? null,
          replaces: null,
          person: 'a',
          deviceTime: '1970-01-01T00:00:00.000Z',
          order: i,
        }));
        const [result] = workOut(lab, { events }, rules).results;
        return result?.methods.find(({ method }) => method === result.method)?.size ?? NaN;
      })
      .sort((a, b) => a - b);
    expect(sizes.every(Number.isFinite)).toBe(true);
    // Repeats scatter by chance: half of the runs do better, half worse.
    const middle = sizes[20]! / plan!.uncertainty;
    expect(middle).toBeGreaterThan(0.75);
    expect(middle).toBeLessThan(1.33);
  });
  it.each(protocolIds())('of %s are found, or there is nothing to choose; nothing is NaN', (id) => {
    const search = toolsForJob(job({ protocol: protocol(id) }));
    if (!search) return;
    expect(search.count).toBeLessThanOrEqual(160);
    const [first] = search.plans();
    expect(first?.uncertainty).toBeGreaterThan(0);
    expect(first?.seconds).toBeGreaterThan(0);
  });
  it('refuse a sample that is not there', () => {
    expect(() => toolsForJob(job({ sample: 9 }))).toThrow(/sample/);
  });
});

describe('how large it would have to be', () => {
  it('is as many times larger as it is to be known better, rounded up', () => {
    const needed = neededSize(job(), planOf(0.6), 0.3)!;
    expect(needed).toMatchObject({ name: 'Volume', unit: 'mL', tooSmall: null });
    expect(needed.atLeast).toBeGreaterThanOrEqual(2 * needed.now - 1e-9);
    expect(needed.atLeast).toBeLessThan(2.2 * needed.now);
  });
  it('names the tool that it would then not fit into', () => {
    const [best] = rankedPlans(plansOf(job()), 0);
    const [now, ten] = [1, 10].map((times) => neededSize(job(), { ...best!, uncertainty: times }, 1)!);
    expect(now).toMatchObject({ tooSmall: null });
    // The water stands at about 20 mL before the piece goes in: ten times its volume is beyond a cylinder of 50 mL.
    expect(ten!.atLeast).toBeGreaterThan(50);
    expect(ten!.tooSmall?.code).toMatch(/^Z-0[12]$/);
    const [large] = rankedPlans(plansOf(job({ cabinet: CABINET.filter(({ code }) => code !== 'Z-01') })), 0);
    expect(neededSize(job(), { ...large!, uncertainty: 4 }, 1)!.tooSmall).toBeNull();
  });
  it('is never said of a temperature', () => {
    expect(neededSize(job({ protocol: protocol('thermometer-check') }), planOf(0.5), 0.1)).toBeNull();
  });
  it('cannot be said of nothing', () => {
    expect(neededSize(job(), planOf(0.6), 0)).toBeNull();
  });
});
