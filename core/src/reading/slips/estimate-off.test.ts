import { describe, expect, it } from 'vitest';
import { instrumentById, instrumentIds } from '../../instruments/catalogue.ts';
import { seededRandom, type Random } from '../../simulation/random.ts';
import { asLaid, asOperated } from '../bench.ts';
import { drawTask } from '../drawing/draw-task.ts';
import { stopsAtMarks } from '../indication/acceptance.ts';
import { isEstimate } from '../indication/resolution.ts';
import { writtenReading, writtenUnitOf } from '../indication/written.ts';
import { diagnose } from '../judging/diagnose.ts';
import { indicationOf, readingTask, type ReadingTask } from '../reading-task.ts';
import type { Situation } from '../situation.ts';

const ITEMS = 1000;
/** Scatter of estimates that are made without care, in divisions, and how far off they are at most. */
const [SCATTER, WORST] = [0.35, 0.5];

/** Drawn items as they are read from the level, with everything at rest and in balance. */
function read(tool: string, seed: number): ReadingTask {
  const { situation, rules, instrumentId } = asOperated(asLaid(drawTask(tool, { seed })), { eyeHeight: 0 });
  const atRest = Object.entries(situation).filter(([field]) => !['riders', 'settled', 'shown'].includes(field));
  return readingTask(instrumentId, Object.fromEntries(atRest) as unknown as Situation, rules);
}

function misjudged(random: Random): number {
  const off = SCATTER * random.normal();
  return Math.abs(off) > WORST ? misjudged(random) : off;
}

/** What is written by somebody whose every estimate is off: of a difference both readings are. */
function entryOn(task: ReadingTask, random: Random): string {
  const indication = indicationOf(task);
  const { tool, rules, mark, subtracted, isDifference, resolution } = indication;
  const estimated = (point: number): number =>
    Number(writtenReading(indication, point + misjudged(random) * resolution.division));
  const number = estimated(mark ?? 0) - (isDifference ? estimated(subtracted) : subtracted);
  return `${number.toFixed(Math.max(0, -resolution.place))} ${writtenUnitOf(tool, rules)}`;
}

const ESTIMATED = instrumentIds().filter((tool) => {
  const { mark, resolution } = indicationOf(read(tool, 0));
  return mark !== null && isEstimate(resolution.lastDigit);
});

describe('an estimate that is off', () => {
  it('is made on every tool with a scale to estimate on', () => {
    expect(ESTIMATED).toHaveLength(instrumentIds().length - 14);
    expect(new Set(ESTIMATED.map((tool) => instrumentById(tool).family)).size).toBe(7);
  });

  it.each(ESTIMATED)('%s: has no other slip named first for more than 3 in 100', (tool) => {
    const random = seededRandom(3);
    const others = Array.from({ length: ITEMS }, (_, seed) => read(tool, seed)).flatMap((task) => {
      const entry = entryOn(task, random);
      const { verdict, slips } = diagnose(task, entry);
      const first = slips[0]?.ids.join('+') ?? verdict;
      // Where a mark is written with every digit, who has misjudged and who has not estimated write the same.
      const stoppedAtMark = stopsAtMarks(indicationOf(task).resolution) && first === 'dropped-digit';
      return verdict === 'sound' || first === 'estimate-off' || stoppedAtMark ? [] : [`${entry}: ${first}`];
    });
    expect(others.length, others.slice(0, 5).join('\n')).toBeLessThanOrEqual((ITEMS * 3) / 100);
  });

  it('keeps to itself what a rarer slip would also explain, near the truth and not beyond', () => {
    const cylinder = readingTask('cylinder-50', { value: 37.4 });
    expect(diagnose(cylinder, '37.8 mL').slips[0]).toMatchObject({ ids: ['estimate-off'], predicted: '37.4' });
    expect(diagnose(cylinder, '38.4 mL').slips[0]?.ids).toEqual(['rounded-up']);
    expect(diagnose(cylinder, '39.3 mL').verdict).toBe('unexplained');
  });

  it('gives way to an eye that is seen off the level', () => {
    const cylinder = readingTask('cylinder-50', { value: 37.4, eyeHeight: 30 });
    const seen = diagnose(cylinder, '37.9 mL');
    expect(seen.slips[0]?.ids).toEqual(['eye-high']);
  });
});
