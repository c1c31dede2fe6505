import { compareTools, type PooledTool, type ToolCompared } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { classInWords } from './class-in-words.ts';
import {
  oneMoreInWords,
  ordinal,
  percentText,
  placeOf,
  sequenceInWords,
  signed,
  testsInWords,
  toleranceInWords,
} from './in-words.ts';

function tool(name: string, errors: readonly number[], rest: Partial<ToolCompared> = {}): ToolCompared {
  return { member: name, name, unit: 'mL', errors, accepted: 25, tolerance: null, inSequence: false, ...rest };
}

describe('numbers beside tools', () => {
  it('are written as far as the scatter’s first figure, a one with one figure more', () => {
    expect([placeOf(0.62, 0.3), placeOf(0.083, -0.33), placeOf(0.012, 1), placeOf(null, 0.25), placeOf(0, 0)]).toEqual([
      -1, -2, -3, -1, -2,
    ]);
    expect([signed(0.03, -2), signed(-0.33, -2), signed(-0.001, -2), signed(0, -1)]).toEqual([
      '+0.03',
      '-0.33',
      '0.00',
      '0.0',
    ]);
  });
  it('have their percent by the class’s rules', () => {
    expect(percentText(-1.32, 'signed')).toBe('-1.3 %');
    expect(percentText(-1.32, 'absolute')).toBe('1.3 %');
    expect(percentText(0.168, 'signed')).toBe('+0.17 %');
    expect(percentText(-12.4, 'absolute')).toBe('12 %');
  });
  it('have ranks as they are said', () => {
    expect([1, 2, 3, 4].map(ordinal)).toEqual(['1st', '2nd', '3rd', '4th']);
  });
});

describe('tests in words', () => {
  it('say what differs, with the size and how often chance would do it', () => {
    const said = testsInWords(
      compareTools([tool('cylinder', [-0.3, -0.31, -0.29]), tool('burette', [0.01, 0, -0.01])]),
    );
    expect(said.map(({ name }) => name)).toEqual([
      'Do the means differ? (Welch)',
      'Do the scatters differ? (Brown and Forsythe)',
      'Does one reading lie apart? (Grubbs)',
    ]);
    expect(said[0]?.sentences[0]).toMatch(
      /^The cylinder reads 0\.3 mL less than the burette\. Chance alone would do that /,
    );
    expect(said[1]?.sentences[0]).toMatch(/^The tools scatter no more differently than chance/);
    expect(said[2]?.sentences).toEqual(['It needs a tool that was read at least four times.']);
  });
  it('say what cannot be told, and why', () => {
    const [welch, spreads] = testsInWords(compareTools([tool('a', [0.1]), tool('b', [0.2])]));
    expect(welch?.sentences).toEqual(['It needs two tools that were read at least twice each, and that scatter.']);
    expect(spreads?.sentences[0]).toMatch(/at least three times/);
    const [alike] = testsInWords(compareTools([tool('a', [0, 0.3, -0.2]), tool('b', [0.1, -0.1, 0.2])]));
    expect(alike?.sentences[0]).toMatch(/no difference can be told from scatter/);
  });
  it('name a reading that lies apart, and leave it to the people', () => {
    const [, , grubbs] = testsInWords(compareTools([tool('beaker', [0.1, 0.12, 0.11, 0.09, 4])]));
    expect(grubbs?.sentences[0]).toMatch(/^Reading 5 of the beaker lies far .* no reason to leave it out\.$/);
  });
  it('say that more is asked of each of several pairs', () => {
    const [welch] = testsInWords(compareTools(['a', 'b', 'c'].map((name) => tool(name, [0, 0.1, 0.2]))));
    expect(welch?.sentences.at(-1)).toMatch(/^Of 3 pairs one or another/);
  });
  it('are left out where deliveries share a weighing, and that is said', () => {
    const comparison = compareTools([tool('burette', [0.1, -0.1, 0.1, -0.1], { inSequence: true })]);
    expect(testsInWords(comparison)).toEqual([]);
    expect(sequenceInWords(comparison).join(' ')).toMatch(/share a weighing.*burette -1\.0/);
  });
});

describe('one reading more', () => {
  const said = (errors: readonly number[]): string =>
    oneMoreInWords(compareTools([tool('cylinder', errors)]).figures[0]!);
  it('makes the mean so much better known', () => {
    expect(said([0.1, 0.2, 0.3])).toBe(
      'The mean of the cylinder is known to ± 0.25 mL (95 %). One reading more would make that about ± 0.16 mL.',
    );
  });
  it('shows a scatter where there was one reading, and nothing where all are the same', () => {
    expect(said([0.1])).toMatch(/^One reading of the cylinder says nothing about its scatter/);
    expect(said([0.1, 0.1])).toMatch(/^All 2 readings of the cylinder are the same/);
  });
});

it('a tolerance is held, broken, or left open', () => {
  expect(
    [toleranceInWords('within'), toleranceInWords('beyond'), toleranceInWords('open'), toleranceInWords(null)].join(),
  ).toMatch(/^within.*,off by more.*,not yet.*,its maker’s tolerance is not known$/);
});

describe('a class’s tools in two sentences', () => {
  const pooled = (name: string, rest: Partial<PooledTool>): PooledTool => ({
    member: name,
    name,
    unit: 'mL',
    groups: 12,
    error: 0,
    half: 0.05,
    spread: 0.05,
    percentError: 0,
    tolerance: 0.1,
    byTolerance: 'within',
    accuracy: 2,
    precision: 2,
    ...rest,
  });
  it('keep accurate and precise apart', () => {
    expect(classInWords([pooled('burette', { accuracy: 1 }), pooled('pipette', { precision: 1 })])).toBe(
      'Most accurate: the burette. Most precise: the pipette.',
    );
    expect(classInWords([pooled('burette', { accuracy: 1, precision: 1 }), pooled('pipette', {})])).toBe(
      'The burette is both the most accurate and the most precise.',
    );
  });
  it('name what repeats well and is wrong every time', () => {
    expect(
      classInWords([
        pooled('burette', { accuracy: 1, precision: 1 }),
        pooled('cylinder', { error: -0.33, spread: 0.08, byTolerance: 'beyond' }),
      ]),
    ).toMatch(/The cylinder repeats well and is still 0\.33 mL too low\.$/);
  });
});
