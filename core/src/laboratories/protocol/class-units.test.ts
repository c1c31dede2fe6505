import { describe, expect, it } from 'vitest';
import { evaluateRun } from '../evaluate-run.ts';
import { protocol, protocolIds } from '../protocols.ts';
import { sampleRun } from '../run/run-from-rows.ts';

describe('a class that writes volumes in cm³', () => {
  it.each(protocolIds())('has the same numbers in %s, with another unit', (id) => {
    const lab = protocol(id);
    for (const sample of lab.samples) {
      const [mL, cm3] = (['mL', 'cm³'] as const).map((volumeUnit) =>
        evaluateRun(lab, sampleRun(lab, sample), { volumeUnit }),
      );
      expect(cm3?.results.length).toBe(mL?.results.length);
      cm3?.results.forEach((result, i) => {
        const other = mL?.results[i];
        expect(result.unit).toBe(other?.unit.replace('mL', 'cm^3'));
        expect([result.text, result.quoted]).toEqual([other?.text, other?.quoted]);
        expect(result.value).toBeCloseTo(other?.value ?? NaN, 12);
      });
      const kinds = (run: typeof mL): string[] => (run?.findings ?? []).map(({ kind }) => kind).sort();
      expect(kinds(cm3)).toEqual(kinds(mL));
    }
  });
});
