import { describe, expect, it } from 'vitest';
import { diagnose } from './judging/diagnose.ts';
import { drawTask } from './drawing/draw-task.ts';
import { predictedEntries } from './drawing/predictions.ts';
import { asOnPaper, needsWholeWidth } from './bench.ts';
import { shownOnPaper } from './slips.ts';
import { pictureOf } from './bench.ts';
import { instrumentIds } from '../instruments/catalogue.ts';
import { planRound } from '../practice/plan-round.ts';
import { toolSubject } from '../practice/tool-subject.ts';
import { completeRules } from '../rules/house-rules.ts';
import { readingTask } from './reading-task.ts';
import { SLIPS } from './slips.ts';

describe('a reading on paper', () => {
  it('is seen from the level, with the thread at rest', () => {
    const task = readingTask('thermometer-degree', { value: 63.2, eyeHeight: 70, settled: false, shown: 21 });
    expect(asOnPaper(task).situation).toMatchObject({ value: 63.2, eyeHeight: 0, settled: true });
    expect(diagnose(asOnPaper(task), '63.2 °C').verdict).toBe('sound');
    expect(pictureOf(asOnPaper(task))).toMatchObject({ startY: null, eye: { height: 0 } });
  });

  it.each(instrumentIds())('of a %s cannot be missed by where the eye stands', (id) => {
    const task = drawTask(id, { seed: 7, onPaper: true });
    for (const slip of SLIPS.filter(({ id: slipId }) => !shownOnPaper(slipId)))
      expect(predictedEntries(task, slip)).toEqual([]);
  });

  it('is planned without aiming at what cannot be shown', () => {
    const aims = planRound(instrumentIds().map(toolSubject), 200, 3, completeRules(), shownOnPaper).flatMap(
      ({ aim }) => aim,
    );
    expect(aims.length).toBeGreaterThan(100);
    expect(aims.filter((id) => !shownOnPaper(id))).toEqual([]);
  });

  it('takes the whole width for a ruler and for two readings', () => {
    const wide = (id: string, situation: Parameters<typeof readingTask>[1]): boolean =>
      needsWholeWidth(pictureOf(readingTask(id, situation)));
    expect(wide('ruler-millimetre', { value: 42 })).toBe(true);
    expect(wide('burette-50', { value: 24.38, from: 1.12 })).toBe(true);
    expect(wide('burette-50', { value: 24.38 })).toBe(false);
    expect(wide('thermometer-degree', { value: 60, settled: false, shown: 20 })).toBe(false);
  });
});
