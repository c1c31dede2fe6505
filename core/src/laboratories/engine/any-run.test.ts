import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findingsIn } from '../checks/find.ts';
import { parseProtocol } from '../parsing/parse-protocol.ts';
import type { ComputedQuantity, Dimension, Protocol, Quantity, ReadQuantity } from '../protocol/protocol.ts';
import { runFromRows, sampleRun, type Row } from '../run/run-from-rows.ts';
import type { Run } from '../run/run.ts';
import { SHIPPED } from '../shipped/shipped.ts';
import { workOut, type WorkedRun } from './evaluate.ts';
import { placesOf } from './setting.ts';
import { smallProtocol } from './small-protocol.ts';

const DIMENSIONS: readonly Dimension[] = [
  { kind: 'repeat', id: 'trial', name: 'Trial', least: 2, most: 5 },
  { kind: 'sequence', id: 'fill', name: 'Fill', least: 2, most: 4 },
  {
    kind: 'case',
    id: 'piece',
    name: 'Piece',
    members: [
      { id: 'one', name: 'one' },
      { id: 'two', name: 'two' },
    ],
  },
];

const UNITS = { g: ['balances'], mm: ['calipers'], mL: ['graduated-glass'] } as const;
const over = fc.subarray(['trial', 'fill', 'piece']);

/** A few read quantities, and computed ones that use what comes before them and stand over what that stands over. */
const protocols: fc.Arbitrary<Protocol> = fc
  .record({
    reads: fc.array(fc.record({ unit: fc.constantFrom('g', 'mm', 'mL'), over }), { minLength: 1, maxLength: 3 }),
    steps: fc.array(
      fc.record({
        from: fc.nat(),
        and: fc.nat(),
        how: fc.constantFrom('product', 'quotient', 'mean', 'sum', 'spread', 'twice', 'last'),
      }),
      { minLength: 1, maxLength: 6 },
    ),
  })
  .map(({ reads, steps }) => {
    const quantities: Exclude<Quantity, { kind: 'observed' }>[] = reads.map(
      ({ unit, over: stands }, i): ReadQuantity => ({
        kind: 'read',
        id: `r${i}`,
        name: `Reading ${i}`,
        symbol: 'r',
        unit,
        over: stands,
        tools: { kinds: UNITS[unit] },
      }),
    );
    for (const { from, and, how } of steps) {
      const [a, b] = [quantities[from % quantities.length], quantities[and % quantities.length]];
      if (!a || !b) continue;
      const [reduced] = a.over;
      const both = [...new Set([...a.over, ...b.over])];
      const rest = a.over.slice(1);
      const [formula, unit, stands] = ((): [string, string, readonly string[]] => {
        switch (how) {
          case 'product':
            return [`${a.id} * ${b.id} / ${b.id}`, a.unit, both];
          case 'quotient':
            return [`${a.id} / ${a.id} * ${b.id}`, b.unit, both];
          case 'twice':
            return [`${a.id} + ${a.id}`, a.unit, a.over];
          case 'mean':
          case 'sum':
          case 'last':
            return reduced === undefined
              ? [`1 * ${a.id}`, a.unit, a.over]
              : [`${how}(${a.id} over ${reduced})`, a.unit, rest];
          case 'spread':
            return reduced === undefined
              ? [`2 * ${a.id}`, a.unit, a.over]
              : [`sd(${a.id} over ${reduced})`, a.unit, rest];
        }
      })();
      const computed: ComputedQuantity = {
        kind: 'computed',
        id: `c${quantities.length}`,
        name: `Computed ${quantities.length}`,
        symbol: 'c',
        unit,
        over: stands,
        formula,
      };
      quantities.push(computed);
    }
    return smallProtocol({
      id: 'any',
      dimensions: DIMENSIONS,
      quantities,
      results: quantities.flatMap(({ kind, id }) => (kind === 'computed' ? [{ quantity: id }] : [])),
    });
  });

const texts = fc.oneof(
  { weight: 6, arbitrary: fc.integer({ min: 100, max: 4999 }).map((n) => (n / 100).toFixed(2)) },
  {
    weight: 1,
    arbitrary: fc.constantFrom('', '0.00', '-1.20', 'about five', '1e400', '5.0 mL', '∞', 'NaN', '12:30', '4.2 ± 0.1'),
  },
);

/** A run with something in some of its cells. */
function runs(protocol: Protocol): fc.Arbitrary<Run> {
  const { setting } = workOut(protocol, { events: [] });
  const places = [...setting.layout.quantities.values()].flatMap((quantity) =>
    quantity.kind === 'read'
      ? placesOf(setting, quantity.over).map((members) => ({ quantity: quantity.id, members }))
      : [],
  );
  return fc
    .tuple(
      ...places.map((place) =>
        fc.option(
          texts.map((text): Row => ({ ...place, text })),
          { freq: 8 },
        ),
      ),
    )
    .map((rows) =>
      runFromRows(
        protocol,
        rows.flatMap((row) => row ?? []),
      ),
    );
}

const both = protocols.chain((protocol) => runs(protocol).map((run) => ({ protocol, run })));

/** All that a page would show of a run. */
function shown(worked: WorkedRun): string {
  const cells = [...worked.setting.layout.quantities.values()].flatMap(({ id, over: stands }) =>
    placesOf(worked.setting, stands).map((members) => worked.cellAt(id, members)),
  );
  const words = cells.flatMap((cell) =>
    cell && cell.kind === 'computed' ? [cell.text] : cell && 'reason' in cell ? [cell.reason ?? ''] : [],
  );
  const results = worked.results.flatMap(({ text, quoted, methods }) => [
    text,
    quoted ?? '',
    ...methods.flatMap(({ quoted: own, budget }) => [
      own?.value ?? '',
      own?.uncertainty ?? '',
      ...budget.map(({ share }) => share.toFixed(2)),
    ]),
  ]);
  // What was typed stands in quotation marks, as it was typed.
  return [...words, ...results, ...findingsIn(worked).map(({ message }) => message)].join('\n').replace(/“[^”]*”/g, '');
}

describe('any protocol and any run', () => {
  it('is read from outside and worked out without a number that is none', () => {
    fc.assert(
      fc.property(both, ({ protocol, run }) => {
        parseProtocol(JSON.parse(JSON.stringify(protocol)));
        expect(shown(workOut(protocol, run))).not.toMatch(/NaN|Infinity|undefined|null|\[object/);
      }),
      { numRuns: 150, seed: 7 },
    );
  }, 60_000);

  it('comes out the same in whatever order its quantities are declared', () => {
    fc.assert(
      fc.property(both, ({ protocol, run }) => {
        const turned = { ...protocol, quantities: [...protocol.quantities].reverse() };
        const [a, b] = [workOut(protocol, run), workOut(turned, run)];
        const by = ({ results }: WorkedRun): unknown =>
          results.map(({ quantity, members, text, quoted }) => [quantity, members, text, quoted]);
        expect(by(b)).toEqual(by(a));
      }),
      { numRuns: 100, seed: 8 },
    );
  }, 60_000);
});

describe('leaving a repeat out', () => {
  const withoutAndBack = (run: Run): Run => ({
    events: [
      ...run.events,
      ...['spilled', ''].map((text, i) => ({
        id: `out ${i}`,
        address: { kind: 'excluded' as const, dimension: 'trial', member: '2', within: {} },
        text,
        replaces: i === 0 ? null : 'out 0',
        reason: null,
        person: 'ines',
        deviceTime: '2026-01-01T00:00:00.000Z',
        order: 1000 + i,
      })),
    ],
  });

  it.each(SHIPPED.filter(({ dimensions }) => dimensions.some(({ id, kind }) => id === 'trial' && kind === 'repeat')))(
    'and restoring it changes nothing in $id',
    (protocol) => {
      const run = sampleRun(protocol);
      expect(shown(workOut(protocol, withoutAndBack(run)))).toBe(shown(workOut(protocol, run)));
    },
  );
});
