import { describe, expect, it } from 'vitest';
import type { HouseRules } from '../rules/house-rules.ts';
import { PRESETS } from '../rules/house-rules.ts';
import { evaluateRun } from './evaluate-run.ts';
import type { EvaluatedRun } from './evaluated-run.ts';
import { UnknownProtocolError } from './protocol.ts';
import { protocol, protocolIds } from './protocols.ts';
import type { RunEvent } from './run.ts';

const lab = protocol('solid-by-displacement');

/** A log written in the order given; each entry [slot, text, number of the entry it replaces]. */
function log(entries: readonly (readonly [string, string, number?])[]): RunEvent[] {
  return entries.map(([slot, text, replaces], i) => ({
    id: `event-${i}`,
    slot,
    text,
    replaces: replaces === undefined ? null : `event-${replaces}`,
    reason: null,
    person: 'IV',
    deviceTime: `2026-03-01T10:${String(i).padStart(2, '0')}:00Z`,
    order: i,
  }));
}

const TRIALS = [
  ['54.31', '21.4', '27.8'],
  ['54.30', '22.0', '28.0'],
  ['54.31', '20.7', '27.0'],
  ['54.30', '21.9', '28.1'],
] as const;

const nail = TRIALS.flatMap(
  ([mass, before, after], i) =>
    [
      [`mass.${i + 1}`, mass],
      [`before.${i + 1}`, before],
      [`after.${i + 1}`, after],
    ] as [string, string][],
);

function evaluated(
  entries: readonly (readonly [string, string, number?])[],
  rules?: Partial<HouseRules>,
): EvaluatedRun {
  return evaluateRun(lab, { events: log(entries) }, rules);
}

describe('a nail by displacement', () => {
  const run = evaluated([...nail, ['accepted', 'bronze'], ['behaviour', 'sank']]);
  const texts = (id: string) => run.rows.map((row) => (row.cells[id] as { text: string }).text);

  it('works out volumes and densities to the digits the readings carry', () => {
    expect(texts('volume')).toEqual(['6.4', '6.0', '6.3', '6.2']);
    expect(texts('density')).toEqual(['8.5', '9.1', '8.6', '8.8']);
  });

  it('gives mean, spread and uncertainty, reckoned here by hand', () => {
    const densities = [54.31 / 6.4, 54.3 / 6.0, 54.31 / 6.3, 54.3 / 6.2];
    const mean = densities.reduce((a, b) => a + b) / 4;
    const deviation = Math.sqrt(densities.reduce((sum, d) => sum + (d - mean) ** 2, 0) / 3);
    const slopeV = [
      [54.31, 6.4],
      [54.3, 6.0],
      [54.31, 6.3],
      [54.3, 6.2],
    ].reduce((sum, [m, V]) => sum + m! / V! ** 2 / 4, 0);
    const slopeM = [6.4, 6.0, 6.3, 6.2].reduce((sum, V) => sum + 1 / V / 4, 0);
    const tool = 0.5 / Math.sqrt(3);
    const quadrature = Math.sqrt(
      (deviation / 2) ** 2 + 2 * (slopeV * tool) ** 2 + (slopeM * (0.01 / Math.sqrt(3))) ** 2,
    );
    const plain = deviation / 2 + 2 * slopeV * 0.5 + slopeM * 0.01;
    expect(run.result!.summary.mean).toBeCloseTo(mean, 12);
    expect(run.result!.summary.sampleStandardDeviation).toBeCloseTo(deviation, 12);
    expect(run.result!.schools[0]!.uncertainty).toBeCloseTo(quadrature, 12);
    expect(run.result!.schools[1]!.uncertainty).toBeCloseTo(plain, 12);
    expect(run.result!.schools[0]!.quoted).toMatchObject({ value: '8.7', uncertainty: '0.6' });
    expect(run.result!.schools[1]!.quoted).toMatchObject({ value: '8.7', uncertainty: '1.5' });
  });

  it('shares the variance out, water first', () => {
    const budget = Object.fromEntries(
      run.result!.schools[0]!.budget.map(({ name, share }) => [name, Math.round(share * 100)]),
    );
    expect(budget).toEqual({ before: 48, after: 48, repeats: 4, mass: 0 });
  });

  it('compares with bronze', () => {
    expect(run.result!.comparison).toMatchObject({ percentError: '-0.8', good: true, agrees: true });
  });

  it('says what three nails together would bring', () => {
    expect(run.findings.map((finding) => finding.message)).toEqual([
      'The 50 mL cylinder sets the result. Put 3 pieces in together and ± 0.6 becomes ± 0.2 with the same tools.',
    ]);
  });

  it('shows the working of a cell as a stacked fraction with its guard digits and the rule', () => {
    const cell = run.rows[1]!.cells['density']!;
    expect(cell).toMatchObject({ kind: 'computed', text: '9.1' });
    expect(cell.kind === 'computed' && cell.working).toMatchObject({
      symbolic: '\\rho = \\dfrac{m}{V}',
      substituted: '\\rho = \\dfrac{54.30\\,\\mathrm{g}}{6.0\\,\\mathrm{mL}}',
      steps: [
        {
          operation: '/',
          operands: [
            { text: '54.30', unit: 'g' },
            { text: '6.0', unit: 'mL' },
          ],
          result: { kept: '9.0', guard: '5', unit: 'g/mL' },
          ruledBy: 1,
          question: 'Why two figures?',
          answer: 'A product or quotient has as many figures as the factor with the fewest: 6.0 has 2.',
        },
      ],
      unit: 'g/mL',
    });
  });
});

describe('the log', () => {
  it('strikes a corrected entry through and keeps it', () => {
    const run = evaluated([
      ['after.1', '27.0'],
      ['after.1', '28.0', 0],
    ]);
    const cell = run.rows[0]!.cells['after']!;
    expect(cell).toMatchObject({ kind: 'reading', text: '28.0' });
    expect(cell.kind === 'reading' && cell.struck.map((event) => event.text)).toEqual(['27.0']);
  });

  it('shows two entries that replace the same one as a conflict, until somebody decides', () => {
    const rivals: [string, string, number?][] = [
      ['after.1', '27.0'],
      ['after.1', '28.0', 0],
      ['after.1', '28.1', 0],
    ];
    const run = evaluated(rivals);
    expect(run.findings.find((finding) => finding.kind === 'conflict')?.message).toContain('28.0 and 28.1');
  });

  it('takes an event sent twice once', () => {
    const events = log(nail);
    expect(evaluateRun(lab, { events: [...events, ...events] })).toEqual(evaluateRun(lab, { events }));
  });

  it('leaves an excluded trial visible and out of the mean', () => {
    const run = evaluated([...nail, ['excluded.2', 'a bubble under the head']]);
    expect(run.rows[1]!.excluded).toEqual({ reason: 'a bubble under the head', by: 'IV' });
    expect(run.result!.summary.n).toBe(3);
  });
});

describe('what a careful teacher would point at', () => {
  const messages = (entries: readonly (readonly [string, string, number?])[], rules?: Partial<HouseRules>) =>
    evaluated(entries, rules)
      .findings.map((finding) => finding.message)
      .join('\n');

  it.each([
    ['a decimal missing', [['before.1', '21']], 'written with 1 decimal'],
    ['a wrong unit', [['before.1', '21.4 g']], 'unit of another kind'],
    ['no number', [['before.1', 'about half']], 'is not a number'],
    ['beyond the tool', [['before.1', '61.2']], 'reads from 0 to 50 mL'],
    [
      'water that fell',
      [
        ['before.1', '21.4'],
        ['after.1', '20.4'],
      ],
      'cannot stand lower',
    ],
    [
      'one trial only',
      [
        ['mass.1', '54.31'],
        ['before.1', '21.4'],
        ['after.1', '27.8'],
      ],
      '1 of at least 3',
    ],
    [
      'no volume',
      [
        ['mass.1', '54.31'],
        ['before.1', '21.4'],
        ['after.1', '21.4'],
      ],
      'division by zero',
    ],
    [
      'a body too small',
      [1, 2, 3].flatMap(
        (t) =>
          [
            [`mass.${t}`, '17.4'],
            [`before.${t}`, '21.4'],
            [`after.${t}`, '23.4'],
          ] as [string, string][],
      ),
      'too small for the 50 mL cylinder',
    ],
    [
      'scatter unseen',
      [1, 2, 3].flatMap(
        (t) =>
          [
            [`mass.${t}`, '54.31'],
            [`before.${t}`, '21.4'],
            [`after.${t}`, '27.8'],
          ] as [string, string][],
      ),
      'too coarse to show the scatter',
    ],
    ['a floating nail', [...nail, ['behaviour', 'floated']], 'It floated, yet'],
  ] as [string, [string, string][], string][])('%s', (_, entries, message) => {
    expect(messages(entries)).toContain(message);
  });

  it('keeps an unreadable entry as it was typed', () => {
    expect(evaluated([['before.1', 'about half']]).rows[0]!.cells['before']).toMatchObject({
      kind: 'unusable',
      text: 'about half',
    });
  });

  it('follows the class’s rules', () => {
    expect(messages([['before.1', '21.4']], PRESETS[2]!.rules)).toContain('whole numbers');
    const plain = evaluated(nail, PRESETS[2]!.rules).result!;
    expect(plain.school).toBe('plain-sum');
  });
});

describe('the tool of a column', () => {
  it('decides the decimals that belong in it, and how well a reading is known', () => {
    const on100 = evaluated([...nail, ['instrument.before', 'cylinder-100'], ['instrument.after', 'cylinder-100']]);
    expect(on100.instruments).toEqual({
      mass: 'digital-balance-hundredth',
      before: 'cylinder-100',
      after: 'cylinder-100',
    });
    const on10 = evaluated([
      ['before.1', '4.21'],
      ['instrument.before', 'cylinder-10'],
    ]);
    expect(on10.rows[0]!.cells['before']).toMatchObject({ kind: 'reading', remark: null });
    const on50 = evaluated([['before.1', '4.21']]);
    expect(on50.rows[0]!.cells['before']).toMatchObject({
      remark: expect.stringContaining('50 mL cylinder is written with 1 decimal') as string,
    });
  });

  it('makes the result better when it is finer', () => {
    const small = [
      ['mass.1', '8.72'],
      ['before.1', '4.20'],
      ['after.1', '5.20'],
    ] as const;
    const coarse = evaluated(small).result!.schools[0]!.uncertainty;
    const fine = evaluated([...small, ['instrument.before', 'cylinder-10'], ['instrument.after', 'cylinder-10']])
      .result!.schools[0]!.uncertainty;
    expect(coarse / fine).toBeCloseTo(10, 0);
  });

  it('can be a very one of the cabinet, whose zero error is taken off', () => {
    const own = [...nail, ['tool.mass', 'digital-balance-hundredth; B-01; 0.03']] as const;
    const run = evaluated(own);
    expect(run.tools).toEqual({ mass: { instrumentId: 'digital-balance-hundredth', code: 'B-01', zeroError: 0.03 } });
    expect(run.rows[0]!.cells['mass']).toMatchObject({ text: '54.31' });
    const densities = [54.28 / 6.4, 54.27 / 6.0, 54.28 / 6.3, 54.27 / 6.2];
    expect(run.result!.summary.mean).toBeCloseTo(densities.reduce((a, b) => a + b) / 4, 12);
    expect((run.rows[0]!.cells['density'] as { working: { substituted: string } }).working.substituted).toContain(
      '54.28',
    );
  });

  it('of another kind than the column’s is not meant any more', () => {
    expect(evaluated([...nail, ['tool.before', 'cylinder-100; Z-01; 0']]).tools).toEqual({});
    expect(evaluated([...nail, ['tool.mass', 'digital-balance-hundredth; B-01; much']]).tools).toEqual({});
    expect(evaluated([...nail, ['tool.mass', '']]).tools).toEqual({});
  });

  it('cannot be one the protocol does not allow', () => {
    expect(evaluated([['instrument.before', 'digital-balance-hundredth']]).instruments['before']).toBe('cylinder-50');
  });

  it('says when a reading lies outside its range', () => {
    const run = evaluated([
      ['before.1', '21.4'],
      ['instrument.before', 'cylinder-10'],
    ]);
    expect(run.rows[0]!.cells['before']).toMatchObject({
      kind: 'unusable',
      reason: 'A 10 mL cylinder reads from 0 to 10 mL.',
    });
  });
});

describe('a volume about as small as its own uncertainty', () => {
  const tiny = [
    ['mass.1', '8.72'],
    ['before.1', '24.0'],
    ['after.1', '25.0'],
  ] as const;

  it('leaves out the school that has no result, and says what to do', () => {
    const run = evaluated(tiny);
    expect(run.result!.schools.map((one) => one.school)).toEqual(['quadrature', 'plain-sum']);
    expect(run.findings.map((finding) => finding.message)).toContainEqual(
      expect.stringContaining('is only known to 41 %. Put 3 pieces in together'),
    );
  });

  it('gives the value without an uncertainty when the class works by that school', () => {
    const run = evaluated(tiny, { combine: 'extremes' });
    expect(run.result).toMatchObject({ meanText: '8.7', school: 'extremes' });
    expect(run.findings.map((finding) => finding.message)).toContainEqual(
      expect.stringContaining('No uncertainty can be given for it'),
    );
  });

  it('has no density at all when nothing was displaced', () => {
    const run = evaluated([
      ['mass.1', '8.72'],
      ['before.1', '24.0'],
      ['after.1', '24.0'],
    ]);
    expect(run.result).toBeNull();
    expect(run.rows[0]!.cells['density']).toMatchObject({ kind: 'pending' });
  });
});

describe('coverage', () => {
  const widths = (rules: Partial<HouseRules>) =>
    evaluated(nail, rules).result!.schools.map((one) => one.quoted!.uncertainty);

  it('multiplies the quoted uncertainty, and only where it is a standard one', () => {
    const standard = evaluated(nail).result!.schools[0]!;
    const expanded = evaluated(nail, { coverage: 'expanded-k-2' }).result!.schools[0]!;
    expect(expanded.uncertainty).toBe(standard.uncertainty);
    expect(expanded.coverageFactor).toBe(2);
    expect(widths({})).toEqual(['0.6', '1.5', '1.6']);
    expect(widths({ coverage: 'expanded-k-2' })).toEqual(['1.2', '1.5', '1.6']);
  });

  it('takes Student’s t at the effective degrees of freedom', () => {
    const [school] = evaluated(nail, { coverage: 'students-t-95' }).result!.schools;
    const share = school!.budget.find(({ name }) => name === 'repeats')!.share;
    expect(3 / share ** 2).toBeGreaterThan(1000);
    expect(school!.coverageFactor).toBeCloseTo(1.961, 3);
    const scatter = [
      ['mass.1', '54.31'],
      ['before.1', '10.0'],
      ['after.1', '16.4'],
      ['mass.2', '54.31'],
      ['before.2', '10.0'],
      ['after.2', '40.0'],
    ] as const;
    expect(evaluated(scatter, { coverage: 'students-t-95' }).result!.schools[0]!.coverageFactor).toBeGreaterThan(12);
  });

  it('judges agreement by the standard uncertainty whatever is quoted', () => {
    const compared = (rules: Partial<HouseRules>) =>
      evaluated([...nail, ['accepted', 'tin']], rules).result!.comparison;
    expect(compared({})).toEqual(compared({ coverage: 'expanded-k-2' }));
  });
});

describe('what a result contradicts', () => {
  /** A wax cube of a mass that moved so much water. */
  const cube = (mass: string, after: string, seen: string): [string, string][] => [
    ['mass.1', mass],
    ['before.1', '20.0'],
    ['after.1', after],
    ['behaviour', seen],
  ];
  const contradictions = (entries: [string, string][]): number =>
    evaluated(entries).findings.filter(({ kind }) => kind === 'sink-or-float').length;

  it.each<[mass: string, after: string, seen: string, contradictions: number]>([
    // 9.90 g in 10.0 mL is 0.99 g/mL, known to about 0.04: water’s 0.998 lies within.
    ['9.90', '30.0', 'sank', 0],
    ['10.10', '30.0', 'floated', 0],
    ['7.00', '30.0', 'sank', 1],
    ['13.00', '30.0', 'floated', 1],
    ['13.00', '30.0', 'sank', 0],
  ])('%s g that moved the water to %s mL and %s: %d', (mass, after, seen, count) => {
    expect(contradictions(cube(mass, after, seen))).toBe(count);
  });

  it('says of one value that it has no spread, and not of two', () => {
    const saysNoSpread = (trials: number): boolean =>
      evaluated(nail.slice(0, 3 * trials)).findings.some(({ message }) => message.includes('no spread'));
    expect([1, 2].map(saysNoSpread)).toEqual([true, false]);
  });
});

describe('a percent error', () => {
  it.each([
    // The mean is 8.7285 g/mL, written 8.7: a difference with one figure has a percent error with one.
    ['8.3', '5'],
    ['8.50', '3'],
    ['7.00', '25'],
    ['8.7', '0'],
  ])('from %s g/mL is %s %', (accepted, percentError) => {
    expect(evaluated([...nail, ['accepted', accepted]]).result!.comparison).toMatchObject({ percentError });
  });

  it.each([
    ['8700 kg/m^3', 8.7],
    ['8.7 g/cm³', 8.7],
    ['8,7', 8.7],
    ['1.2e1', 12],
    ['0.87e1 g/mL', 8.7],
  ])('an accepted value of %s is %d g/mL', (accepted, middle) => {
    expect(evaluated([...nail, ['accepted', accepted]]).result!.comparison!.accepted.middle).toBeCloseTo(middle, 12);
  });

  it.each(['8.7 mL', '8.7 foo', '0', 'about nine'])('“%s” is no accepted density', (accepted) => {
    const { result, findings } = evaluated([...nail, ['accepted', accepted]]);
    expect(result!.comparison).toBeNull();
    expect(findings.some(({ kind, message }) => kind === 'note' && message.includes(accepted))).toBe(true);
  });
});

describe('notes of the whole run', () => {
  it('take a number as the accepted value', () => {
    expect(evaluated([...nail, ['accepted', '8.80']]).result!.comparison).toMatchObject({
      accepted: { middle: 8.8, name: 'the value you chose' },
      percentError: '-0.8',
    });
  });

  it.each([
    ['accepted', 'unobtainium', '“unobtainium” is neither a material'],
    ['accepted', '-3', 'neither a material'],
    ['temperature', 'warm', '“warm”, is no number from 0 to 100'],
    ['temperature', '-5', 'is no number from 0 to 100'],
    ['temperature', '400 °C', 'is no number from 0 to 100'],
  ])('say so when %s is “%s”', (slot, text, message) => {
    expect(evaluated([...nail, [slot, text]]).findings.filter((finding) => finding.kind === 'note')).toEqual([
      expect.objectContaining({ severity: 'wrong', message: expect.stringContaining(message) as string }),
    ]);
  });

  it.each(['', '21', '21.5 °C', '21,5', '0', '100 C'])('are quiet when the temperature is “%s”', (text) => {
    expect(evaluated([['temperature', text]]).findings).toEqual([]);
  });
});

describe('protocols', () => {
  it('evaluates an empty run', () => {
    const run = evaluateRun(lab, { events: [] });
    expect(run.rows).toHaveLength(3);
    expect(run.result).toBeNull();
  });

  it.each(protocolIds())(
    '%s is sound: every formula parses with its units, every check names quantities it has',
    (id) => {
      const one = protocol(id);
      const ids = new Set(one.quantities.map((quantity) => quantity.id));
      expect(() => evaluateRun(one, { events: [] })).not.toThrow();
      expect(ids.has(one.result)).toBe(true);
      for (const check of one.checks) {
        const named = Object.entries(check).flatMap(([key, value]) =>
          ['earlier', 'later', 'quantity', 'observed', 'liquid'].includes(key) ? [String(value)] : [],
        );
        expect(named.every((name) => ids.has(name))).toBe(true);
      }
    },
  );

  it('names an unknown laboratory', () => {
    expect(() => protocol('alchemy')).toThrow(UnknownProtocolError);
  });
});
