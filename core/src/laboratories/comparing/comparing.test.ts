import { describe, expect, it } from 'vitest';
import { protocol } from '../protocols.ts';
import { sampleRun } from '../run/run-from-rows.ts';
import { findingsIn } from '../checks/find.ts';
import { workOut } from '../engine/evaluate.ts';
import { compareTools } from './compare-tools.ts';
import { toolsCompared, type ToolCompared } from './tools-compared.ts';

const LAB = protocol('glassware-delivery');
const compared = (index: number): ToolCompared[] => toolsCompared(workOut(LAB, sampleRun(LAB, LAB.samples[index])))!;

function tool(name: string, errors: readonly number[], rest: Partial<ToolCompared> = {}): ToolCompared {
  return { member: name, name, unit: 'mL', errors, accepted: 20, tolerance: null, inSequence: false, ...rest };
}

describe('the tools that a laboratory compares', () => {
  it('are its glassware, each repeat by how far it is off', () => {
    const [beaker, cylinder, burette] = compared(0);
    expect([beaker?.name, cylinder?.name, burette?.name]).toEqual(['beaker', 'cylinder', 'burette']);
    // 19.70 g, 19.80 g, 19.63 g and 19.75 g of water at 21 °C, 0.99799 g/mL, against 20.0 mL.
    const by = [19.7, 19.8, 19.63, 19.75].map((mass) => mass / 0.997991 - 20);
    cylinder!.errors.forEach((error, i) => expect(error).toBeCloseTo(by[i]!, 3));
    expect([beaker?.accepted, cylinder?.accepted]).toEqual([50, 20]);
    expect(cylinder?.tolerance).toBeGreaterThan(0);
    expect(cylinder?.inSequence).toBe(false);
  });
  it('share a weighing with the next where one delivery goes on top of the last', () => {
    expect(compared(1).every(({ inSequence }) => inSequence)).toBe(true);
  });
  it('have errors by their scale where the weighed volume is the accepted one', () => {
    const [cylinder] = compared(2);
    expect(cylinder?.accepted).toBeNull();
    expect(cylinder!.errors).toHaveLength(3);
    expect(Math.abs(cylinder!.errors[0]!)).toBeLessThan(1);
  });
  it('are none in a laboratory that ranks nothing', () => {
    const other = protocol('solid-by-displacement');
    expect(toolsCompared(workOut(other, sampleRun(other)))).toBeNull();
  });
  it('leave out a tool whose temperature or nominal volume is missing', () => {
    const { events } = sampleRun(LAB);
    const without = events.filter(({ address }) => !(address.kind === 'cell' && address.quantity === 'temperature'));
    expect(toolsCompared(workOut(LAB, { events: without }))).toEqual([]);
  });
  it('with a mass that fell are far off, and a check says so by name', () => {
    const { events } = sampleRun(LAB);
    const cylinder = { tool: 'cylinder', trial: '1' };
    const massOf = (quantity: string): string =>
      events.find(
        ({ address }) =>
          address.kind === 'cell' &&
          address.quantity === quantity &&
          address.members['tool'] === cylinder.tool &&
          address.members['trial'] === cylinder.trial,
      )!.text;
    const exchanged: Record<string, string> = {
      [massOf('before')]: massOf('after'),
      [massOf('after')]: massOf('before'),
    };
    const run = workOut(LAB, {
      events: events.map((event) =>
        event.address.kind === 'cell' &&
        event.address.members['tool'] === 'cylinder' &&
        event.address.members['trial'] === '1'
          ? { ...event, text: exchanged[event.text] ?? event.text }
          : event,
      ),
    });
    const [, found] = toolsCompared(run)!;
    expect(found?.errors[0]).toBeCloseTo(-19.7 / 0.997991 - 20, 3);
    expect(JSON.stringify(compareTools(toolsCompared(run)!))).not.toMatch(/NaN/);
    expect(
      findingsIn(run)
        .map(({ message }) => message)
        .join(' '),
    ).toMatch(/less|below|fell|smaller/);
  });
  it('are told from one repeat alone, too', () => {
    const { events } = sampleRun(LAB);
    const first = events.filter(
      ({ address }) => !(address.kind === 'cell' && Number(address.members['trial'] ?? 1) > 1),
    );
    const [, cylinder] = toolsCompared(workOut(LAB, { events: first }))!;
    expect(cylinder?.errors).toHaveLength(1);
    expect(cylinder?.errors[0]).toBeCloseTo(19.7 / 0.997991 - 20, 3);
  });
});

describe('tools compared', () => {
  it('are ranked twice: accurate and precise are two things', () => {
    const { figures } = compareTools([
      tool('offset', [0.5, 0.51, 0.49, 0.5]),
      tool('scattering', [-0.3, 0.3, 0.2, -0.18]),
    ]);
    expect(figures.map(({ accuracy, precision }) => [accuracy, precision])).toEqual([
      [2, 1],
      [1, 2],
    ]);
    expect(figures[0]?.percentError).toBeCloseTo(2.5, 12);
  });
  it('share a rank where they are equally far off', () => {
    const { figures } = compareTools([tool('a', [0.1, 0.3]), tool('b', [-0.2, -0.2]), tool('c', [0.4, 0.4])]);
    expect(figures.map(({ accuracy }) => accuracy)).toEqual([1, 1, 3]);
  });
  it('are within their maker’s tolerance, beyond it, or it is open', () => {
    const standing = (errors: readonly number[], tolerance: number) =>
      compareTools([tool('one', errors, { tolerance })]).figures[0]?.byTolerance;
    expect(standing([0.01, 0.02, 0, 0.01], 0.05)).toBe('within');
    expect(standing([0.31, 0.3, 0.29, 0.3], 0.05)).toBe('beyond');
    expect(standing([0.01, 0.2, -0.1, 0.05], 0.05)).toBe('open');
    expect(standing([0.01], 0.05)).toBe('open');
    expect(compareTools([tool('one', [0.01])]).figures[0]?.byTolerance).toBeNull();
  });
  it('tell what one repeat more would change', () => {
    const [one] = compareTools([tool('one', [0.1, 0.2, 0.3])]).figures;
    // t(2) = 4.302653, t(3) = 3.182446; s = 0.1.
    expect(one?.oneMore?.now).toBeCloseTo((4.302652729911275 * 0.1) / Math.sqrt(3), 10);
    expect(one?.oneMore?.then).toBeCloseTo((3.182446305284263 * 0.1) / 2, 10);
    expect(compareTools([tool('one', [0.1])]).figures[0]?.oneMore).toBeNull();
  });
  it('differ in their means where that is more than chance, every two', () => {
    // Student’s sleep data (Biometrika 6 (1908) 1), as two sets: t = −1.8608, df 17.776, p = 0.07939.
    const drug1 = [0.7, -1.6, -0.2, -1.2, -0.1, 3.4, 3.7, 0.8, 0, 2];
    const drug2 = [1.9, 0.8, 1.1, 0.1, -0.1, 4.4, 5.5, 1.6, 4.6, 3.4];
    const { means } = compareTools([tool('1', drug1), tool('2', drug2)]);
    expect(means).toHaveLength(1);
    expect(means[0]?.difference).toBeCloseTo(-1.58, 12);
    expect(means[0]?.p).toBeCloseTo(0.07939, 5);
    expect(means[0]?.differ).toBe(false);
    const apart = compareTools([tool('a', [0, 0.1, 0.05]), tool('b', [5, 5.1, 5.05]), tool('c', [0.02, 0.09, 0.06])]);
    expect(apart.means.map(({ differ }) => differ)).toEqual([true, false, true]);
  });
  it('name an outlier among four or more, and never in a sequence', () => {
    const errors = [0.01, 0.02, 0.01, 0.015, 0.9, 0.012];
    expect(compareTools([tool('one', errors)]).figures[0]?.outlier).toBe(4);
    expect(compareTools([tool('one', errors, { inSequence: true })]).figures[0]?.outlier).toBeNull();
    expect(compareTools([tool('one', [0, 0, 5])]).figures[0]?.outlier).toBeNull();
  });
  it('on top of each other tell how neighbours go together, and are not tested', () => {
    const found = compareTools([
      tool('a', [0.1, -0.1, 0.1, -0.1], { inSequence: true }),
      tool('b', [1.1, 0.9, 1.1], { inSequence: true }),
    ]);
    expect(found.figures[0]?.neighbours).toBeCloseTo(-1, 12);
    expect(found).toMatchObject({ means: [], spreads: null, inSequence: true });
  });
  it('that all show the same, or only once, say what can be said, and nothing is NaN', () => {
    const found = compareTools([tool('same', [0.1, 0.1, 0.1]), tool('too', [0.1, 0.1]), tool('once', [0.2])]);
    expect(found.spreads).toBeNull();
    expect(found.means).toMatchObject([{ first: 0, second: 1, p: 1, differ: false }]);
    expect(JSON.stringify(found)).not.toMatch(/NaN/);
    expect(found.figures.map(({ precision }) => precision)).toEqual([1, 1, null]);
    expect(compareTools([])).toEqual({ figures: [], means: [], spreads: null, inSequence: false });
  });
});
