import { describe, expect, it } from 'vitest';
import type { ComputedQuantity, Dimension, Protocol, ReadQuantity } from '../protocol/protocol.ts';
import { runFromRows, type Row } from '../run/run-from-rows.ts';
import type { RunEvent } from '../run/run.ts';
import { workOut } from './evaluate.ts';
import type { MethodResult } from './results.ts';
import { smallProtocol } from './small-protocol.ts';
import type { HouseRules } from '../../rules/house-rules.ts';

function read(id: string, over: readonly string[], kinds: readonly string[], unit = 'g'): ReadQuantity {
  return { kind: 'read', id, name: id, symbol: id, unit, over, tools: { kinds } };
}

function computed(id: string, over: readonly string[], formula: string, unit = 'g'): ComputedQuantity {
  return { kind: 'computed', id, name: id, symbol: id, unit, over, formula };
}

const TRIAL: Dimension = { id: 'trial', name: 'Trial', kind: 'repeat', least: 2, most: 20 };
const FILL: Dimension = { id: 'fill', name: 'Fill', kind: 'sequence', least: 3, most: 20 };
const POSITION: Dimension = { id: 'position', name: 'Position', kind: 'repeat', least: 2, most: 20 };
const BALANCE = ['digital-balance-hundredth'];
const CALIPER = ['caliper-fiftieth'];

function along(quantity: string, dimension: string, texts: readonly string[]): Row[] {
  return texts.map((text, i) => ({ quantity, members: { [dimension]: String(i + 1) }, text }));
}

interface Case {
  readonly dimensions?: readonly Dimension[];
  readonly quantities: Protocol['quantities'];
  readonly rows: readonly Row[];
  readonly rules?: Partial<HouseRules>;
  readonly tools?: Readonly<Record<string, string>>;
}

/** The results of all computed quantities, by id and members, by one method. */
function standards(
  { dimensions = [], quantities, rows, rules = {}, tools = {} }: Case,
  method: MethodResult['method'] = 'quadrature',
): Record<string, number> {
  const protocol = smallProtocol({
    dimensions,
    quantities,
    results: quantities.flatMap(({ kind, id }) => (kind === 'computed' ? [{ quantity: id }] : [])),
  });
  const { results } = workOut(protocol, runFromRows(protocol, rows, { tools }), rules);
  return Object.fromEntries(
    results.map(({ quantity, members, methods }) => [
      [quantity, ...Object.values(members)].join(' '),
      methods.find((one) => one.method === method)?.uncertainty ?? NaN,
    ]),
  );
}

/** One last digit of a 0.01 g balance, as a rectangle. */
const ONE = 0.01 / Math.sqrt(3);

describe('running totals', () => {
  const quantities = [
    read('empty', [], BALANCE),
    read('total', ['fill'], BALANCE),
    computed('portion', ['fill'], 'total - previous(total over fill, empty)'),
    computed('two', [], 'portion[1] + portion[2]'),
    computed('average', [], 'mean(portion over fill)'),
    computed('overall', [], '(last(total over fill) - empty) / 4'),
  ];
  const rows = [{ quantity: 'empty', text: '20.00' }, ...along('total', 'fill', ['30.00', '40.00', '50.00', '60.00'])];

  it('neighbouring portions correlate by −0.5 when only reading errors count', () => {
    const found = standards({ dimensions: [FILL], quantities, rows });
    const [one = NaN, two = NaN] = [found['portion 1'], found['two']];
    expect(one).toBeCloseTo(Math.SQRT2 * ONE, 12);
    expect((two ** 2 - 2 * one ** 2) / (2 * one ** 2)).toBeCloseTo(-0.5, 12);
  });

  it('their mean is known as well as (last − first) ÷ n', () => {
    const found = standards({ dimensions: [FILL], quantities, rows });
    expect(found['average']).toBeCloseTo((Math.SQRT2 * ONE) / 4, 12);
    expect(found['overall']).toBeCloseTo((Math.SQRT2 * ONE) / 4, 12);
  });

  it('scatter beyond the reading errors adds √((s² − 2u²(n + 1) ÷ n) ÷ n)', () => {
    const uneven = [
      { quantity: 'empty', text: '20.00' },
      ...along('total', 'fill', ['30.31', '39.92', '50.14', '59.87']),
    ];
    const found = standards({ dimensions: [FILL], quantities, rows: uneven });
    const portions = [10.31, 9.61, 10.22, 9.73];
    const mean = portions.reduce((a, b) => a + b) / 4;
    const squares = portions.reduce((sum, one) => sum + (one - mean) ** 2, 0) / 3;
    const own = (squares - (2 * ONE ** 2 * 5) / 4) / 4;
    expect(found['average']).toBeCloseTo(Math.sqrt(own + (2 * ONE ** 2) / 16), 12);
  });

  it('after a portion that does not count the next one is empty', () => {
    const protocol = smallProtocol({ dimensions: [FILL], quantities });
    const run = runFromRows(protocol, rows);
    const { cellAt } = workOut(protocol, {
      events: [
        ...run.events,
        {
          id: 'out',
          address: { kind: 'excluded', dimension: 'fill', member: '2', within: {} },
          text: 'spilled',
          replaces: null,
          reason: null,
          person: '',
          deviceTime: '2026-01-01T00:00:00Z',
          order: 99,
        },
      ],
    });
    expect(cellAt('portion', { fill: '3' })).toMatchObject({
      kind: 'pending',
      reason: expect.stringContaining('before') as string,
    });
    expect(cellAt('average', {})).toMatchObject({ kind: 'computed', text: '10.00' });
  });
});

describe('one tool', () => {
  const quantities = [
    read('outer', [], CALIPER, 'mm'),
    read('inner', [], CALIPER, 'mm'),
    computed('wall', [], 'outer - inner', 'mm'),
    computed('both', [], 'outer + inner', 'mm'),
    computed('alone', [], '1 * outer', 'mm'),
  ];
  const rows = [
    { quantity: 'outer', text: '24.38' },
    { quantity: 'inner', text: '18.10' },
  ];
  const reading = 0.01 / Math.sqrt(3);
  const tool = 'caliper-fiftieth; C-01; 0.04; 0.02';

  it('a shared zero cancels in a difference and counts twice in a sum', () => {
    const found = standards({ quantities, rows, tools: { outer: tool, inner: tool } });
    expect(found['wall']).toBeCloseTo(Math.SQRT2 * reading, 12);
    expect(found['both']).toBeCloseTo(Math.sqrt(2 * reading ** 2 + 4 * reading ** 2), 12);
    expect(found['alone']).toBeCloseTo(Math.sqrt(2) * reading, 12);
  });

  it('a tolerance does not cancel: one reading and one difference carry it once', () => {
    const rules = { toolTolerance: 'counted' } as const;
    const tools = { outer: 'caliper-fiftieth', inner: 'caliper-fiftieth' };
    const counted = standards({ quantities, rows, rules, tools });
    const tolerance = 0.02 / Math.sqrt(3);
    expect(counted['alone']).toBeCloseTo(Math.hypot(reading, tolerance), 12);
    expect(counted['wall']).toBeCloseTo(Math.hypot(Math.SQRT2 * reading, tolerance), 12);
    const plain = standards({ quantities, rows, rules, tools }, 'plain-sum');
    expect(plain['alone']).toBeCloseTo(0.01 + 0.02, 12);
    expect(plain['wall']).toBeCloseTo(0.02 + 0.02, 12);
  });

  it('is not counted beside the maker’s tolerance as the reading’s own rule', () => {
    const found = standards({
      quantities,
      rows,
      rules: { readingUncertainty: 'maker-tolerance', toolTolerance: 'counted' },
    });
    expect(found['alone']).toBeCloseTo(0.02 / Math.sqrt(3), 12);
  });

  it('is known as its family’s own rule says, and its own before that', () => {
    const tools = { outer: 'caliper-fiftieth', inner: 'caliper-fiftieth' };
    const alone = (readingUncertaintyOf: HouseRules['readingUncertaintyOf']): number | undefined =>
      standards({ quantities, rows, rules: { readingUncertaintyOf }, tools })['alone'];
    expect(alone({ calipers: 'whole-division' })).toBeCloseTo(0.02 / Math.sqrt(3), 12);
    expect(alone({ calipers: 'whole-division', 'caliper-fiftieth': 'half-division' })).toBeCloseTo(reading, 12);
    expect(alone({ rulers: 'whole-division' })).toBeCloseTo(reading, 12);
  });

  it('has what was added to it, with what that is known to', () => {
    const quantities = [read('mass', [], BALANCE), computed('whole', [], 'mass')];
    const protocol = smallProtocol({ dimensions: [], quantities, results: [{ quantity: 'whole' }] });
    const { events } = runFromRows(protocol, [{ quantity: 'mass', text: '44.87' }]);
    const withAdded = (text: string): MethodResult['uncertainty'] | null => {
      const [reading] = events as readonly [RunEvent];
      const adjustment = {
        ...reading,
        id: 'a',
        address: { kind: 'adjustment', quantity: 'mass', members: {} },
        text,
        order: 9,
      } as const;
      const run = workOut(protocol, { events: [...events, adjustment] });
      const cell = run.cellAt('mass', {});
      return cell?.kind === 'unusable' ? null : (run.results[0]?.methods[0]?.uncertainty ?? null);
    };
    expect(withAdded('0.12')).toBeCloseTo(ONE, 12);
    expect(withAdded('0.12 ± 0.05')).toBeCloseTo(Math.hypot(ONE, 0.05 / Math.sqrt(3)), 12);
    expect(withAdded('(0.12 ± 0.05) g')).toBeCloseTo(Math.hypot(ONE, 0.05 / Math.sqrt(3)), 12);
    expect(withAdded('120 mg ± 50 mg')).toBeCloseTo(Math.hypot(ONE, 0.05 / Math.sqrt(3)), 12);
    expect(withAdded('a drip')).toBeNull();
    expect(withAdded('0.12 ± some')).toBeNull();
    expect(withAdded('0.12 mL')).toBeNull();
  });

  it('repeating does not make its reading better', () => {
    const found = standards({
      dimensions: [TRIAL],
      quantities: [read('mass', ['trial'], BALANCE), computed('average', [], 'mean(mass over trial)')],
      rows: along('mass', 'trial', ['5.01', '5.01', '5.01', '5.01']),
    });
    expect(found['average']).toBeCloseTo(ONE, 12);
  });

  it('a thickness that is used twice is one thickness', () => {
    const found = standards({
      quantities: [
        read('thick', [], BALANCE),
        computed('twice', [], 'thick + thick'),
        computed('half', [], 'twice / 2'),
        computed('none', [], 'half - thick'),
      ],
      rows: [{ quantity: 'thick', text: '4.21' }],
    });
    expect(found['twice']).toBeCloseTo(2 * ONE, 12);
    expect(found['none']).toBeCloseTo(0, 12);
  });
});

describe('nested repeats', () => {
  const readings: Readonly<Record<string, readonly string[]>> = {
    '1': ['5.00', '5.20', '5.40'],
    '2': ['5.10', '5.30', '5.50'],
    '3': ['5.20', '5.40', '5.60'],
  };
  const rows = Object.entries(readings).flatMap(([trial, texts]) =>
    texts.map((text, i) => ({ quantity: 'width', members: { trial, position: String(i + 1) }, text })),
  );
  const quantities = [
    read('width', ['trial', 'position'], BALANCE),
    computed('each', ['trial'], 'mean(width over position)'),
    computed('average', [], 'mean(each over trial)'),
    computed('atOnce', [], 'mean(mean(width over position) over trial)'),
    computed('pooled', [], 'mean(width over trial, position)'),
  ];
  const spread = (values: readonly number[]): number => {
    const mean = values.reduce((a, b) => a + b) / values.length;
    return Math.sqrt(values.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (values.length - 1) / values.length);
  };

  it('counts only the outermost: what scatters inside is in it already', () => {
    const found = standards({ dimensions: [TRIAL, POSITION], quantities, rows });
    expect(found['each 1']).toBeCloseTo(Math.hypot(ONE, spread([5.0, 5.2, 5.4])), 12);
    expect(found['average']).toBeCloseTo(Math.hypot(ONE, spread([5.2, 5.3, 5.4])), 12);
    expect(found['atOnce']).toBeCloseTo(found['average'] ?? NaN, 12);
  });

  it('pools over both where both are named', () => {
    const found = standards({ dimensions: [TRIAL, POSITION], quantities, rows });
    expect(found['pooled']).toBeCloseTo(Math.hypot(ONE, spread([5.0, 5.2, 5.4, 5.1, 5.3, 5.5, 5.2, 5.4, 5.6])), 12);
  });

  it('adds places that are the same every time once, beside the trials', () => {
    const found = standards({ dimensions: [TRIAL, { ...POSITION, places: true }], quantities, rows });
    const own = Math.hypot(ONE, spread([5.2, 5.3, 5.4]), spread([5.1, 5.3, 5.5]));
    expect(found['average']).toBeCloseTo(own, 12);
  });

  it('a single outer repeat leaves the inner ones to count', () => {
    const found = standards({
      dimensions: [{ ...TRIAL, least: 1 }, POSITION],
      quantities,
      rows: rows.filter(({ members }) => members.trial === '1'),
    });
    expect(found['average']).toBeCloseTo(found['each 1'] ?? NaN, 12);
  });
});

describe('a reading that was not taken again', () => {
  const quantities = [
    read('start', ['fill'], ['burette-50'], 'mL'),
    read('end', ['fill'], ['burette-50'], 'mL'),
    computed('portion', ['fill'], 'end - start', 'mL'),
    computed('average', [], 'mean(portion over fill)', 'mL'),
    computed('two', [], 'portion[1] + portion[2]', 'mL'),
  ];
  const protocol = smallProtocol({
    dimensions: [FILL],
    quantities,
    results: [{ quantity: 'portion' }, { quantity: 'average' }, { quantity: 'two' }],
  });
  const rows = [
    { quantity: 'start', members: { fill: '1' }, text: '0.20' },
    ...along('end', 'fill', ['10.20', '20.20', '30.20']),
  ];
  const link = (fill: string, quantity: string, members: Record<string, string>): RunEvent => ({
    id: `link ${fill}`,
    address: { kind: 'link', quantity: 'start', members: { fill } },
    text: JSON.stringify({ quantity, members }),
    replaces: null,
    reason: null,
    person: '',
    deviceTime: '2026-01-01T00:00:00.000Z',
    order: 100 + Number(fill),
  });
  const worked = (links: readonly RunEvent[]): ReturnType<typeof workOut> =>
    workOut(protocol, { events: [...runFromRows(protocol, rows).events, ...links] });
  const HALF = 0.05 / Math.sqrt(3);

  it('is the other reading, and has its error', () => {
    const run = worked([link('2', 'end', { fill: '1' }), link('3', 'end', { fill: '2' })]);
    const standard = (id: string): number =>
      run.results.find(({ quantity }) => quantity === id)?.methods[0]?.uncertainty ?? NaN;
    expect(run.cellAt('start', { fill: '3' })).toMatchObject({ text: '20.20', linkedTo: { quantity: 'end' } });
    expect(standard('two')).toBeCloseTo(Math.SQRT2 * HALF, 12);
    // (last − first) ÷ 3: what lies between cancels.
    expect(standard('average')).toBeCloseTo((Math.SQRT2 * HALF) / 3, 12);
  });

  it.each([
    ['itself', [link('2', 'start', { fill: '2' })]],
    ['one that is it', [link('2', 'start', { fill: '3' }), link('3', 'start', { fill: '2' })]],
    ['nothing', [link('2', 'elsewhere', {})]],
  ])('cannot be %s', (_, links) => {
    expect(worked(links).cellAt('start', { fill: '2' })).toMatchObject({ kind: 'empty' });
  });
});
