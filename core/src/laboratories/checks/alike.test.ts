import { describe, expect, it } from 'vitest';
import { settingOf, type Setting } from '../engine/setting.ts';
import { protocol } from '../protocols.ts';
import { sampleRun } from '../run/run-from-rows.ts';
import type { Run } from '../run/run.ts';
import { completeRules } from '../../rules/house-rules.ts';
import { alike } from './alike.ts';

const setting = (id: string, change: (run: Run) => Run = (run) => run): Setting =>
  settingOf(protocol(id), change(sampleRun(protocol(id))), completeRules());

const without =
  (quantities: readonly string[]) =>
  ({ events }: Run): Run => ({
    events: events.filter(({ address }) => address.kind !== 'cell' || !quantities.includes(address.quantity)),
  });

describe('the readings of two groups', () => {
  it('are alike where every estimate is the same; what a display shows does not count', () => {
    // Six volumes and the temperature of the water; the masses are read on a display.
    expect(alike(setting('solid-by-displacement'), setting('solid-by-displacement'))).toEqual({ matching: 7, of: 7 });
    expect(alike(setting('mass-per-item'), setting('mass-per-item'))).toBeNull();
  });

  it('are not where one differs, or where there are few', () => {
    const other = setting('solid-by-displacement', ({ events }) => ({
      events: events.map((event) => (event.text === '18.4' ? { ...event, text: '18.3' } : event)),
    }));
    expect(alike(setting('solid-by-displacement'), other)).toBeNull();
    const few = setting('solid-by-displacement', without(['after', 'temperature']));
    expect(alike(setting('solid-by-displacement'), few)).toBeNull();
  });
});
