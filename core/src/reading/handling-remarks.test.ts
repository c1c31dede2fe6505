import { describe, expect, it } from 'vitest';
import { cautionsFor } from './in-words.ts';
import { feedbackOn } from '../practice/feedback.ts';
import { diagnose } from './judging/diagnose.ts';
import type { Action } from './actions.ts';
import { readingTask } from './reading-task.ts';
import { remarksOn } from './bench.ts';
import { SituationError } from './indication/situation-error.ts';
import type { Situation } from './situation.ts';

let clock = 0;
const did = (kind: Action['kind'], to: number | null = null): Action => ({ kind, at: (clock += 500), to });
const remarks = (id: string, situation: Situation, ...done: Action[]): string[] =>
  remarksOn(readingTask(id, situation), done).map((remark) => remark.id);

describe('how a tool was handled', () => {
  const burette = { value: 24.38, from: 1.12 };
  const pipette = { value: 25 };
  const poured = [did('fill'), did('wipe'), did('let-down', 0.2), did('deliver'), did('drained'), did('take-away')];

  it.each([
    ['a funnel left in', 'burette-50', { ...burette, left: 'funnel' }, [did('drain')], ['funnel-left']],
    ['a funnel taken out', 'burette-50', { ...burette, left: 'funnel' }, [did('clear-top'), did('drain')], []],
    [
      'a bubble left in',
      'burette-50',
      { ...burette, left: 'bubble' },
      [did('clear-top'), did('drain')],
      ['bubble-left'],
    ],
    ['a bubble driven out', 'burette-50', { ...burette, left: 'bubble' }, [did('free-tip'), did('drain')], []],
    ['nothing left in', 'burette-50', burette, [did('drain')], []],
    ['a pipette well used', 'volumetric-pipette-25', pipette, poured, []],
    [
      'a pipette not wiped',
      'volumetric-pipette-25',
      pipette,
      [did('fill'), did('let-down', 0), did('deliver'), did('drained'), did('take-away')],
      ['not-wiped'],
    ],
    [
      'a pipette wiped before it was filled again',
      'volumetric-pipette-25',
      pipette,
      [did('fill'), did('wipe'), did('fill'), did('let-down', 0), did('deliver'), did('drained'), did('take-away')],
      ['not-wiped'],
    ],
    [
      'a surface above the ring',
      'volumetric-pipette-25',
      pipette,
      [did('fill'), did('wipe'), did('let-down', 3), did('deliver'), did('drained'), did('take-away')],
      ['ring-missed'],
    ],
    [
      'everything wrong',
      'volumetric-pipette-25',
      pipette,
      [did('fill'), did('let-down', -2), did('deliver'), did('blow')],
      ['not-wiped', 'ring-missed', 'last-drop-blown'],
    ],
    [
      'a pipette delivered as it was filled',
      'volumetric-pipette-25',
      pipette,
      [did('fill', 26), did('wipe'), did('deliver'), did('drained'), did('take-away')],
      ['ring-missed'],
    ],
    [
      'no patience',
      'volumetric-pipette-25',
      pipette,
      [did('fill'), did('wipe'), did('let-down', 0), did('deliver'), did('take-away')],
      ['not-drained'],
    ],
    ['a pipette not used', 'volumetric-pipette-25', pipette, [], []],
    ['a flask', 'volumetric-flask-250', { value: 250 }, [did('fill')], []],
    ['the lightest first', 'hydrometer-0800', { value: 0.86, untried: true }, [did('try', 0), did('try', 1)], []],
    [
      'a heavy one first',
      'hydrometer-0800',
      { value: 0.86, untried: true },
      [did('try', 4), did('try', 1)],
      ['heavy-first'],
    ],
    [
      'a bulb on the bottom',
      'thermometer-degree',
      { value: 60, settled: false, shown: 20 },
      [did('lower'), did('ground')],
      ['bulb-on-bottom'],
    ],
    [
      'a bulb lifted off the bottom',
      'thermometer-degree',
      { value: 60, settled: false, shown: 20 },
      [did('ground'), did('lower')],
      [],
    ],
    ['a ruler', 'ruler-millimetre', { value: 60 }, [did('lay', 5)], []],
  ] as const)('%s', (_, id, situation, done, expected) => {
    expect(remarks(id, situation, ...done)).toEqual(expected);
  });

  it('says how much a missed ring makes: 3 mm of a 5 mm bore hold 0.06 mL', () => {
    const [remark] = remarksOn(readingTask('volumetric-pipette-25', pipette), [
      did('fill'),
      did('wipe'),
      did('let-down', 3),
      did('deliver'),
      did('drained'),
      did('take-away'),
    ]);
    expect(remark?.text).toContain('3.0 mm above the ring: about 0.06 mL too much');
  });

  it('changes no verdict on the number, and is told beside it', () => {
    const task = readingTask('burette-50', { ...burette, left: 'funnel' });
    const told = feedbackOn(task, diagnose(task, '23.26 mL'), true, remarksOn(task, [did('drain')]));
    expect(diagnose(task, '23.26 mL').verdict).toBe('sound');
    expect(told.remarks.map(({ id }) => id)).toEqual(['funnel-left']);
    expect(feedbackOn(task, diagnose(task, 'nothing'), false, remarksOn(task, [did('drain')])).remarks).toEqual([]);
  });

  it('is nothing that a tool cannot have: the field is named', () => {
    expect(() => readingTask('cylinder-50', { value: 20, left: 'funnel' })).toThrow(SituationError);
    expect(() => readingTask('burette-50', { ...burette, left: 'spoon' as 'funnel' })).toThrow(/^left: /);
    expect(() => readingTask('ruler-inch', { value: 2, untried: true })).toThrow(/^untried: /);
    expect(() => readingTask('thermometer-degree', { value: 20, loose: true })).toThrow(/^loose: /);
  });
});

describe('cautions', () => {
  it.each([
    ['thermometer-degree', { value: 97, liquid: 'boiling water' }, /burn/],
    ['cylinder-50', { value: 20, liquid: 'lamp oil' }, /flame/],
    ['volumetric-pipette-10', { value: 10 }, /by mouth/],
    ['hydrometer-0900', { value: 0.95 }, /breaks/],
  ] as const)('on a %s with %j, and defer to the school', (id, situation, first) => {
    const cautions = cautionsFor(readingTask(id, situation));
    expect(cautions[0]).toMatch(first);
    expect(cautions.at(-1)).toContain('the adult in charge');
  });

  it('are not where nothing can hurt', () => {
    expect(cautionsFor(readingTask('cylinder-50', { value: 20, liquid: 'water' }))).toEqual([]);
    expect(cautionsFor(readingTask('ruler-inch', { value: 2 }))).toEqual([]);
  });
});
