import { describe, expect, it } from 'vitest';
import { protocol, protocolIds } from '../protocols.ts';
import { sampleRun } from '../run/run-from-rows.ts';
import { workOut } from './evaluate.ts';
import { placesOf } from './setting.ts';

const sample = (id: string): ReturnType<typeof workOut> => workOut(protocol(id), sampleRun(protocol(id)));

describe('the working of a computed cell', () => {
  it('is the formula, the numbers in it, and why the digits stay', () => {
    const working = sample('solid-by-displacement').workingOf('volume', { trial: '1' });
    expect(working?.symbolic).toBe('V = V_2 - V_1');
    expect(working?.substituted).toBe('V = 24.6\\,\\mathrm{mL} - 18.4\\,\\mathrm{mL}');
    expect(working?.steps[0]).toMatchObject({ operation: '-', result: { text: '6.2', unit: 'mL' } });
  });

  it('of a mean lists what it is taken of', () => {
    const working = sample('plate-two-ways').workingOf('meanLength', { method: 'fine' });
    expect(working?.aggregates).toEqual([
      {
        name: 'mean',
        latex: '\\dfrac{\\sum L}{n} = 11.54\\,\\mathrm{cm}',
        headings: ['L\\;\\left[\\mathrm{cm}\\right]'],
        rows: ['11.53', '11.55', '11.54', '11.54', '11.53'].map((text, i) => ({
          name: `trial ${i + 1}`,
          numbers: [text],
          values: [Number(text)],
        })),
      },
    ]);
  });

  it('of a slope lists both coordinates of each point', () => {
    const working = sample('liquid-by-increments').workingOf('slopeDensity', {});
    expect(working?.symbolic).toContain('m\\text{ against }V');
    expect(working?.aggregates[0]?.rows[1]).toEqual({
      name: 'fill 2',
      numbers: ['49.50', '10.1'],
      values: [49.5, 10.1],
    });
  });

  it('writes times of day as a clock does', () => {
    expect(sample('burn-rate').workingOf('elapsed', {})?.substituted).toBe('\\Delta T = 10{:}57{:}25 - 10{:}42{:}10');
  });

  it('is there for every number that was computed, in every laboratory, and for nothing else', () => {
    for (const id of protocolIds()) {
      const run = sample(id);
      for (const quantity of run.setting.layout.quantities.values())
        for (const members of placesOf(run.setting, quantity.over, quantity.only)) {
          const working = run.workingOf(quantity.id, members);
          expect([id, quantity.id, working !== null]).toEqual([
            id,
            quantity.id,
            run.cellAt(quantity.id, members)?.kind === 'computed',
          ]);
          expect(JSON.stringify(working)).not.toMatch(/undefined|NaN|Infinity/);
        }
    }
  });
});
