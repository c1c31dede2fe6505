import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { instrumentById } from '../../instruments/catalogue.ts';
import type { BeamBalance, DisplayTool } from '../../instruments/instrument.ts';
import { ridersFor, riderSum } from '../../scales/rider-beam.ts';
import { riderGrams, riderPlace } from '../beam-balances/beam-picture.ts';
import { isBalanced, type BeamIndication } from '../beam-balances/beam-indication.ts';
import { diagnose } from '../judging/diagnose.ts';
import { drawTask, slipsOn } from '../drawing/draw-task.ts';
import { predictedEntries } from '../drawing/predictions.ts';
import { disturbedBy } from './on-pan.ts';
import { expectedReading } from '../expected-reading.ts';
import { asOnPaper } from '../bench.ts';
import { asLaid, asOperated } from '../bench.ts';
import type { Action } from '../actions.ts';
import { describePicture, pictureOf } from '../bench.ts';
import { indicationOf, readingTask, type ReadingTask } from '../reading-task.ts';
import { revealOf } from '../in-words.ts';
import { DISTURBANCES } from '../digital-balances/balance-indication.ts';
import { fieldsOf } from '../../../test/fields-of.ts';
import { slipById } from '../slips.ts';

const BEAMS = ['beam-balance-tenth', 'beam-balance-hundredth'];
const MASSES = [
  'digital-balance-gram',
  'digital-balance-tenth',
  'digital-balance-hundredth',
  'digital-balance-milligram',
];
const beamTool = (id: string): BeamBalance => instrumentById(id) as BeamBalance;
const displayTool = (id: string): DisplayTool => instrumentById(id) as DisplayTool;

/** Whole last digits, as a string, so that no binary fraction decides anything. */
function digits(text: string): bigint {
  return BigInt(text.replace(/[.−-]/g, '')) * (/^[−-]/.test(text) ? -1n : 1n);
}

describe('a mass, whatever it is and whatever else lies on the pan', () => {
  it.each(MASSES)('%s: what is written is exactly what the display shows less what it showed before', (id) => {
    const tool = displayTool(id);
    const most = Math.floor(tool.range[1] / tool.division / 2);
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: most }),
        fc.integer({ min: 1, max: most }),
        fc.integer({ min: -40, max: 40 }),
        (mass, vessel, empty) => {
          const value = (count: number): number => Number((count * tool.division).toFixed(6));
          fc.pre(mass + vessel + empty <= tool.range[1] / tool.division);
          const task = readingTask(id, {
            value: value(mass),
            container: value(vessel),
            ...(empty === 0 ? {} : { empty: value(empty) }),
          });
          const picture = pictureOf(task);
          if (picture.kind !== 'display') throw new Error('a display is drawn as one');
          const [both, alone] = picture.views;
          expect(digits(expectedReading(task).text)).toBe(digits(both.characters) - digits(alone!.characters));
          expect(digits(expectedReading(task).text)).toBe(BigInt(mass));
        },
      ),
    );
  });

  it.each(BEAMS)('%s: riders drawn for it hold it, and read back from the drawing add up to it', (id) => {
    const tool = beamTool(id);
    fc.assert(
      fc.property(fc.double({ min: tool.division, max: tool.range[1] - tool.division, noNaN: true }), (mass) => {
        const task = readingTask(id, { value: mass });
        const picture = pictureOf(task);
        if (picture.kind !== 'beams') throw new Error('a beam balance is drawn as one');
        const read = tool.beams.map((beam, i) => riderGrams(beam, picture.views[0].riderX[i]!));
        expect(Math.abs(riderSum(read) - mass)).toBeLessThan(tool.division / 20);
        expect(picture.handled).toBeNull();
        const pull = picture.beams.reduce((sum, beam, i) => sum + beam.pull * picture.views[0].riderX[i]!, 0);
        // The riders' moment about the knife edge is that of the load, within the thousandth of a millimetre that is drawn.
        expect(Math.abs(pull - picture.thing.pull) * picture.perPull).toBeLessThan(0.05);
      }),
    );
  });

  it.each(BEAMS)('%s: is balanced exactly as long as the pointer cannot be told from its mark', (id) => {
    const tool = beamTool(id);
    fc.assert(
      fc.property(fc.integer({ min: -60, max: 60 }), (hundredths) => {
        const load = tool.range[1] / 3;
        const off = (hundredths / 100) * tool.division;
        const task = readingTask(id, { value: load, riders: ridersFor(tool.beams, load + off) });
        expect(isBalanced(indicationOf(task) as BeamIndication)).toBe(Math.abs(hundredths) <= 15);
      }),
    );
  });
});

describe('weighing in any order', () => {
  const KEYS: readonly Action['kind'][] = [
    'switch-on',
    'tare',
    'put-vessel',
    'take-vessel',
    'put-thing',
    'take-thing',
    'dry',
    'centre',
  ];

  it('on a display never asks for another mass than the thing’s, and never fails', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...KEYS), { maxLength: 14 }), (kinds) => {
        const task = readingTask('digital-balance-hundredth', {
          value: 18.46,
          container: 20.13,
          empty: -0.08,
          loose: true,
        });
        const read = asOperated(task, {
          eyeHeight: 0,
          done: kinds.map((kind, i) => ({ kind, at: 100 * i, to: null })),
          at: 60_000,
        });
        expect(expectedReading(read).text).toBe('18.46');
      }),
    );
  });

  it('on riders neither, wherever they are left', () => {
    const tool = beamTool('beam-balance-tenth');
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 3 }), fc.double({ min: -50, max: 260, noNaN: true })), {
          maxLength: 8,
        }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        (moves, screw) => {
          const task = readingTask('beam-balance-tenth', { value: 46.3, empty: 0.5, loose: true });
          const done: Action[] = [
            { kind: 'put-thing', at: 0, to: null },
            { kind: 'screw', at: 0, to: screw },
            ...moves.map(([rider, to], i): Action => ({ kind: `rider-${rider}` as Action['kind'], at: i, to })),
          ];
          const read = asOperated(task, { eyeHeight: 0, done, at: 1000 });
          expect(Math.abs(Number(expectedReading(read).text) - 46.3)).toBeLessThan(2 * tool.division);
        },
      ),
    );
  });
});

describe('balances as they are drawn', () => {
  const all = [...BEAMS, ...MASSES, 'caliper-digital'];

  it.each(all)('%s: every item can be read from its words, on paper, and step by step', (id) => {
    for (let seed = 0; seed < 80; seed += 1) {
      const task = asOnPaper(drawTask(id, { seed }));
      const { text, unit } = expectedReading(task);
      expect(diagnose(task, `${text} ${unit}`).verdict, JSON.stringify(task.situation)).toBe('sound');
      expect(revealOf(task).at(-1)?.soFar).toBe(`${text.replace('-', '−')} ${unit}`);
      const picture = pictureOf(task);
      expect('handled' in picture && picture.handled).toBeNull();
      const words = describePicture(picture);
      expect(words.length).toBeGreaterThan(20);
      expect(words).not.toMatch(/undefined|NaN/);
    }
  });

  it.each(all)('%s: the same seed draws the same item, another another', (id) => {
    expect(drawTask(id, { seed: 5 })).toEqual(drawTask(id, { seed: 5 }));
    const values = new Set(Array.from({ length: 40 }, (_, seed) => drawTask(id, { seed }).situation.value));
    expect(values.size).toBeGreaterThan(36);
  });

  it.each(all)('%s: items come both as pictures and to be done by hand', (id) => {
    const tasks = Array.from({ length: 120 }, (_, seed) => drawTask(id, { seed }));
    const byHand = tasks.filter((task) => fieldsOf(task).loose).length;
    expect(byHand).toBeGreaterThan(20);
    expect(byHand).toBeLessThan(100);
  });

  it.each(all)('%s: an item aimed at a slip shows it, whether or not it is done by hand', (id) => {
    for (const slip of slipsOn(id)) {
      for (let seed = 0; seed < 6; seed += 1)
        expect(
          predictedEntries(asLaid(drawTask(id, { seed, aim: [slip] })), slipById(slip)).length,
          slip,
        ).toBeGreaterThan(0);
    }
  });

  it('a named tool brings its own error into every item', () => {
    const tasks: ReadingTask[] = Array.from({ length: 30 }, (_, seed) =>
      drawTask('micrometer-hundredth', { seed, zeroError: -0.03 }),
    );
    expect(new Set(tasks.map((task) => fieldsOf(task).zeroError))).toEqual(new Set([-0.03]));
    for (const task of tasks) expect(pictureOf(task)).toMatchObject({ closedX: -0.03 });
    expect(fieldsOf(drawTask('caliper-tenth', { seed: 1, zeroError: 0 })).zeroError).toBe(0);
  });
});

describe('what spoils a weighing', () => {
  it('is more than the last digit and less than anybody would overlook for long, on every balance', () => {
    for (const id of MASSES) {
      const tool = displayTool(id);
      for (const how of [...DISTURBANCES, 'touching'] as const) {
        const last = Math.abs(disturbedBy(tool.division, how)) / tool.division;
        expect(last).toBeGreaterThan(2);
        expect(last).toBeLessThan(20);
      }
    }
  });
});

describe('an oval thing', () => {
  it('measured one way only is not taken for another slip', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 200, max: 800 }),
        fc.integer({ min: 3, max: 6 }),
        fc.constantFrom(-1, 1),
        (lines, oval, way) => {
          const task = readingTask('caliper-twentieth', {
            value: Number((lines * 0.05).toFixed(2)),
            oval: Number((oval * 0.05).toFixed(2)),
            thing: 'glass net-float',
          });
          const { slips, verdict } = diagnose(task, `${((lines + way * oval) * 0.05).toFixed(2)} mm`);
          expect(verdict).not.toBe('sound');
          expect(
            slips
              .flatMap(({ ids }) => ids)
              .filter((id) => id.startsWith('vernier') || id.startsWith('main') || id.startsWith('coincidence')),
          ).toEqual([]);
        },
      ),
    );
  });
});

describe('places of riders', () => {
  it.each(BEAMS)('%s: lead back to what they stand for', (id) => {
    for (const beam of beamTool(id).beams) {
      for (let part = 0; part <= 10; part += 1) {
        const grams = (part / 10) * beam.scale.to;
        expect(riderGrams(beam, riderPlace(beam, grams))).toBeCloseTo(grams, 2);
      }
    }
  });
});
