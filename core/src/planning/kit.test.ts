import { expect, it } from 'vitest';
import { protocol } from '../laboratories/protocols.ts';
import { kitOf, toPrepare } from './kit.ts';
import { lessonOf } from './lesson.ts';

const BALANCE = [{ instrumentId: 'digital-balance-hundredth', code: 'B-01' }];

it('a tool that groups share stands on no bench; one that belongs to something else does', () => {
  const protocols = [protocol('solid-by-displacement'), protocol('drops-per-millilitre')];
  const shared = kitOf(lessonOf(protocols, BALANCE, 8), protocols);
  expect(shared.shared.map(({ kind }) => kind)).toEqual(['balances']);
  expect(shared.bench).not.toContain('0.01 g balance');
  expect(shared.bench).toContain('50 mL cylinder');
  expect(shared.bench.filter((line) => line === 'thermometer')).toHaveLength(1);
  expect(kitOf(lessonOf(protocols, BALANCE, 1), protocols).bench).toContain('0.01 g balance');
  const hotPlates = lessonOf([protocol('thermometer-check')], [], 8);
  const few = {
    ...hotPlates,
    tools: hotPlates.tools.map((tool) => ({ ...tool, count: tool.kind === 'hot plate' ? 3 : null })),
  };
  expect(kitOf(few, [protocol('thermometer-check')]).bench).toContain(
    'water boiling gently on a hot plate, with boiling stones',
  );
});

it('what is begun first stands first', () => {
  const times = toPrepare([protocol('thermometer-check'), protocol('drops-per-millilitre')]).map(
    (one) => one.minutesBefore,
  );
  expect(times).toEqual([120, 20, 10]);
  expect(toPrepare([protocol('plate-two-ways')])).toEqual([]);
});
