import { describe, expect, it } from 'vitest';
import { completeRules } from '../../rules/house-rules.ts';
import { settingOf, type Setting } from '../engine/setting.ts';
import { SOLID_BY_DISPLACEMENT } from '../shipped/solid-by-displacement.ts';
import type { Address } from '../run/address.ts';
import { calculationsDone, readingsDone } from './progress.ts';
import { runOfEntries, sampleRun } from '../run/run-from-rows.ts';

type Entry = readonly [Address, string];

const cell = (quantity: string, trial: number, author?: string): Address => ({
  kind: 'cell',
  quantity,
  members: { trial: String(trial) },
  ...(author === undefined ? {} : { author }),
});

function setting(entries: readonly Entry[]): Setting {
  const run = runOfEntries(entries.map(([address, text]) => ({ address, text })));
  return settingOf(SOLID_BY_DISPLACEMENT, run, completeRules());
}

describe('how far a group has got', () => {
  it('counts what has to be read, and what is there', () => {
    const { of } = readingsDone(setting([]));
    expect(of).toBeGreaterThan(3);
    expect(readingsDone(setting([])).done).toBe(0);
    const some: Entry[] = [
      [cell('mass', 1), '54.31'],
      [cell('before', 1), '18.4'],
    ];
    expect(readingsDone(setting(some))).toEqual({ done: 2, of });
  });

  it('a repeat that is excluded is not asked for', () => {
    const { of } = readingsDone(setting([]));
    const excluded: Entry = [{ kind: 'excluded', dimension: 'trial', member: '1', within: {} }, 'a bubble'];
    expect(readingsDone(setting([excluded])).of).toBe(of - 3);
  });

  it('a believable run is complete', () => {
    const run = sampleRun(SOLID_BY_DISPLACEMENT);
    const { done, of } = readingsDone(settingOf(SOLID_BY_DISPLACEMENT, run, completeRules()));
    expect(done).toBe(of);
  });

  it('counts the calculations of each student apart', () => {
    const own: Entry[] = [
      [cell('volume', 1, 'ada'), '6.2 mL'],
      [cell('volume', 2, 'ada'), '6.1 mL'],
      [cell('volume', 1, 'bo'), '6.2 mL'],
    ];
    const { of } = calculationsDone(setting([]), 'ada', ['volume']);
    expect(calculationsDone(setting(own), 'ada', ['volume'])).toEqual({ done: 2, of });
    expect(calculationsDone(setting(own), 'bo', ['volume'])).toEqual({ done: 1, of });
    expect(calculationsDone(setting(own), 'bo', [])).toEqual({ done: 0, of: 0 });
  });
});
