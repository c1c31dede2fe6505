import type { Random } from '@green-beam/core';

/** Chooses by a seeded stream: one of some things, or whether something happens. */
export class Chance {
  constructor(private readonly random: Random) {}

  whole(below: number): number {
    return this.random.below(below);
  }

  of<Thing>(things: readonly Thing[]): Thing {
    return things[this.whole(things.length)] as Thing;
  }

  happens(probability: number): boolean {
    return this.random.uniform() < probability;
  }
}

const HALF_PAIRS = ['\uD800', '\uDFFF', 'a\uD83Db', '\uDC00\uD800'];

/** Text that is not what anybody expects. */
export const NASTY_TEXTS: readonly string[] = [
  '',
  ' ',
  '\0',
  'null\0inside',
  ...HALF_PAIRS,
  '🦔'.repeat(40),
  'á'.normalize('NFD').repeat(30),
  '\u202Egnp.esrever',
  '\uFEFF',
  "'; drop table attempts; --",
  '" or 1=1 --',
  '$1',
  '${7*7}',
  '{{7*7}}',
  '%00%0a',
  '../../../etc/passwd',
  '<script>alert(1)</script>',
  '\\',
  '\\u0000',
  '00000000-0000-0000-0000-000000000000',
  '5a17a4b0-0000-4000-8000-000000000001',
  'NaN',
  'Infinity',
  '-0',
  '1e400',
  '999999999999999999999999999999',
  '0x10',
  '12,5',
  '١٢٣',
  '2026-13-45T99:99:99Z',
  '+275760-09-13T00:00:00.000Z',
  '-000001-01-01T00:00:00Z',
  '+275760-09-13T00:00:00.001Z',
  '0000-01-01T00:00:00Z',
  '1900-01-01T00:00:00Z',
  '9999-12-31T23:59:59Z',
  '294277-01-01',
  'x'.repeat(61),
  'x'.repeat(5000),
  'x'.repeat(25_000),
  '((((((((((1',
  '('.repeat(400) + '1' + ')'.repeat(400),
  '9'.repeat(900),
  '1e' + '9'.repeat(30),
  '10^(10^(10^10))',
  '23.45 mL',
  '1.2.3 mL',
  'constructor',
  '__proto__',
  'toString',
  'hasOwnProperty',
  'cylinder-50',
  'solid-by-displacement',
];

const NASTY_NUMBERS: readonly number[] = [
  0,
  -0,
  -1,
  0.1,
  1e-320,
  1e308,
  -1e308,
  2 ** 31,
  -(2 ** 31) - 1,
  2 ** 53,
  2 ** 63,
  2 ** 64,
  1e21,
  1.5,
  32_768,
];

function nested(depth: number): unknown {
  return depth === 0 ? 'deep' : { a: [nested(depth - 1)] };
}

/** Any plain JSON at all. */
export function nastyValue(chance: Chance): unknown {
  switch (chance.whole(9)) {
    case 0:
      return null;
    case 1:
      return chance.happens(0.5);
    case 2:
      return chance.of(NASTY_NUMBERS);
    case 3:
      return [];
    case 4:
      return Array.from({ length: chance.whole(4) + 1 }, () => chance.of(NASTY_TEXTS));
    case 5:
      return { id: chance.of(NASTY_TEXTS), [chance.of(NASTY_TEXTS)]: chance.of(NASTY_NUMBERS) };
    case 6:
      return chance.happens(0.2) ? nested(chance.of([3, 20, 60])) : {};
    default:
      return chance.of(NASTY_TEXTS);
  }
}

/** A value as it was, or with something in it spoilt: left out, put twice, or replaced. */
export function spoilt(value: unknown, chance: Chance): unknown {
  if (chance.happens(0.15)) return nastyValue(chance);
  if (Array.isArray(value)) {
    const items = value.map((item) => (chance.happens(0.5) ? spoilt(item, chance) : item));
    return chance.happens(0.1) ? [...items, ...items] : items;
  }
  if (typeof value !== 'object' || value === null) return chance.happens(0.3) ? nastyValue(chance) : value;
  const entries = Object.entries(value)
    .filter(() => !chance.happens(0.06))
    .map(([name, inner]): [string, unknown] => [name, chance.happens(0.3) ? spoilt(inner, chance) : inner]);
  if (chance.happens(0.05))
    entries.push([chance.of(['extra', 'constructor', 'toJSON', 'a.b', '\0', '']), nastyValue(chance)]);
  return Object.fromEntries(entries);
}
