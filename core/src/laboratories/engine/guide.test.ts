import { describe, expect, it } from 'vitest';
import type { ComputedQuantity, Dimension, GivenQuantity } from '../protocol/protocol.ts';
import { runFromRows } from '../run/run-from-rows.ts';
import { workOut, type WorkedRun } from './evaluate.ts';
import { smallProtocol } from './small-protocol.ts';

const OBSERVATION: Dimension = { id: 'k', name: 'Observation', kind: 'repeat', least: 2, most: 20 };

function given(id: string): GivenQuantity {
  return { kind: 'given', id, name: id, symbol: id, unit: '', over: ['k'] };
}

function computed(id: string, formula: string): ComputedQuantity {
  return { kind: 'computed', id, name: id, symbol: id, unit: '', over: [], formula };
}

function worked(
  data: Readonly<Record<string, readonly string[]>>,
  formulas: Readonly<Record<string, string>>,
): WorkedRun {
  const protocol = smallProtocol({
    dimensions: [OBSERVATION],
    quantities: [
      ...Object.keys(data).map(given),
      ...Object.entries(formulas).map(([id, formula]) => computed(id, formula)),
    ],
    results: Object.keys(formulas).map((quantity) => ({ quantity })),
  });
  const rows = Object.entries(data).flatMap(([quantity, texts]) =>
    texts.map((text, i) => ({ quantity, members: { k: String(i + 1) }, text })),
  );
  return workOut(protocol, runFromRows(protocol, rows));
}

function found(
  run: WorkedRun,
  id: string,
): { readonly value: number; readonly standard: number; readonly freedom: number | null } {
  const result = run.results.find(({ quantity }) => quantity === id);
  const own = result?.methods.find(({ method }) => method === 'quadrature');
  return { value: result?.value ?? NaN, standard: own?.uncertainty ?? NaN, freedom: own?.degreesOfFreedom ?? null };
}

/** The correlation of two results, from the uncertainty of their sum. */
function correlation(run: WorkedRun, first: string, second: string, sum: string): number {
  const [a, b, both] = [first, second, sum].map((id) => found(run, id).standard) as [number, number, number];
  return (both ** 2 - a ** 2 - b ** 2) / (2 * a * b);
}

describe('simultaneous resistance and reactance (JCGM 100:2008, H.2), from the five observations', () => {
  const run = worked(
    {
      V: ['5.007', '4.994', '5.005', '4.990', '4.999'],
      I: ['0.019663', '0.019639', '0.019640', '0.019685', '0.019678'],
      phi: ['1.0456', '1.0438', '1.0468', '1.0428', '1.0433'],
    },
    {
      meanV: 'mean(V over k)',
      meanI: 'mean(I over k)',
      meanPhi: 'mean(phi over k)',
      R: 'mean(V over k) / mean(I over k) * cos(mean(phi over k))',
      X: 'mean(V over k) / mean(I over k) * sin(mean(phi over k))',
      Z: 'mean(V over k) / mean(I over k)',
      eachR: 'mean(V / I * cos(phi) over k)',
      eachX: 'mean(V / I * sin(phi) over k)',
      eachZ: 'mean(V / I over k)',
      RX: 'R + X',
      RZ: 'R + Z',
      XZ: 'X + Z',
      VI: 'meanV + 100 * meanI',
      scaledI: '100 * meanI',
      Vphi: 'meanV + meanPhi',
      Iphi: 'scaledI + meanPhi',
    },
  );

  it.each([
    ['meanV', '4.9990', '0.0032'],
    ['meanI', '0.0196610', '0.0000095'],
    ['meanPhi', '1.04446', '0.00075'],
    ['R', '127.732', '0.071'],
    // The Guide prints 0.295, which is what the observations’ own reactances give; the slopes give 0.29558.
    ['X', '219.847', '0.296'],
    ['eachX', '219.847', '0.295'],
    ['eachR', '127.732', '0.071'],
    ['eachZ', '254.260', '0.236'],
    ['Z', '254.260', '0.236'],
  ])('%s is %s with the standard uncertainty %s', (id, value, standard) => {
    const decimals = (text: string): number => text.split('.')[1]?.length ?? 0;
    expect(found(run, id).value.toFixed(decimals(value))).toBe(value);
    expect(found(run, id).standard.toFixed(decimals(standard))).toBe(standard);
  });

  it.each([
    ['meanV', 'scaledI', 'VI', '-0.36'],
    ['meanV', 'meanPhi', 'Vphi', '0.86'],
    ['scaledI', 'meanPhi', 'Iphi', '-0.65'],
    ['R', 'X', 'RX', '-0.588'],
    ['R', 'Z', 'RZ', '-0.485'],
    ['X', 'Z', 'XZ', '0.993'],
  ])('%s and %s correlate as printed', (first, second, sum, r) => {
    expect(correlation(run, first, second, sum).toFixed(r.split('.')[1]?.length)).toBe(r);
  });

  it('knows what was repeated together by as many degrees of freedom as one of them', () => {
    expect(found(run, 'R').freedom).toBe(4);
  });
});

describe('calibration of a thermometer (JCGM 100:2008, H.3), from the eleven readings', () => {
  const run = worked(
    {
      t: ['21.521', '22.012', '22.512', '23.003', '23.507', '23.999', '24.513', '25.002', '25.503', '26.010', '26.511'],
      b: ['-0.171', '-0.169', '-0.166', '-0.159', '-0.164', '-0.165', '-0.156', '-0.157', '-0.159', '-0.161', '-0.160'],
    },
    {
      y1: 'intercept(b, t - 20 over k)',
      y2: 'slope(b, t - 20 over k)',
      both: 'y1 + y2',
      at30: 'y1 + y2 * (30 - 20)',
    },
  );

  it.each([
    ['y1', '-0.1712', '0.0029'],
    ['y2', '0.00218', '0.00067'],
    ['at30', '-0.1494', '0.0041'],
  ])('%s is %s with the standard uncertainty %s', (id, value, standard) => {
    const decimals = (text: string): number => text.split('.')[1]?.length ?? 0;
    expect(found(run, id).value.toFixed(decimals(value))).toBe(value);
    expect(found(run, id).standard.toFixed(decimals(standard))).toBe(standard);
    expect(found(run, id).freedom).toBe(9);
  });

  it('has the correlation of slope and intercept', () => {
    expect(correlation(run, 'y1', 'y2', 'both').toFixed(3)).toBe('-0.930');
  });
});
