import {
  drawItem,
  EXERCISE_KINDS,
  FAULT_KINDS,
  letterOf,
  feedbackOn,
  practiceTask,
  rightAnswer,
  shownItem,
  type ExerciseShown,
  type ExerciseTask,
} from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { rendered, textsOf } from '../../../../test/rendered.ts';
import { DecimalMark } from '../../../numbers/decimal-mark.ts';
import { PrintedExercise } from '../../print/printed-exercise.tsx';
import { MarkedTable } from './marked-table.tsx';
import { RightAnswer, Solved } from './solved.tsx';
import { Story } from './story.tsx';

const KINDS = EXERCISE_KINDS.map(({ id }) => id);

function drawn(kind: string, seed: number): { readonly task: ExerciseTask; readonly shown: ExerciseShown } {
  const task = drawItem(kind, { seed }) as ExerciseTask;
  return { task, shown: shownItem(task) as ExerciseShown };
}

const onPaper = (kind: string, seed: number) => {
  const { task, shown } = drawn(kind, seed);
  return { task, shown, ...rendered(<PrintedExercise shown={shown} question={task.exercise.question} number={3} />) };
};

/** The table of the first seeds that is set, with its shown form. */
function table() {
  const { task, shown } = drawn('spot-the-error', 11);
  if (shown.answered.by !== 'marks') throw new Error('A table is answered by marks.');
  return { task, shown, answered: shown.answered };
}

describe('an exercise on paper', () => {
  it.each(KINDS)('of %s has its number, its question and a line that says what belongs on it', (kind) => {
    const { task, shown, seen } = onPaper(kind, 5);
    expect(seen.startsWith('3')).toBe(true);
    expect(seen).toContain(task.exercise.question);
    expect(seen).toContain(
      { number: 'Result and unit', count: 'How many', choice: 'Letter', marks: 'Cells and letters' }[shown.answered.by],
    );
  });

  it('numbers every cell of a table once, headings first, and names every fault by its letter', () => {
    const { answered } = table();
    const { root, seen } = onPaper('spot-the-error', 11);
    const cells = answered.headings.length * (1 + answered.rows.length);
    expect(textsOf(root, 'table sup').map(Number)).toEqual(Array.from({ length: cells }, (_, i) => i + 1));
    FAULT_KINDS.forEach(({ name }, i) => expect(seen).toContain(`${letterOf(i)} ${name}`));
  });

  it('the number of the right cell on paper is the one that is entered', () => {
    const { task, root } = onPaper('spot-the-error', 11);
    const cells = root.querySelectorAll('table th, table td');
    for (const mark of rightAnswer(task).text.split(' '))
      expect(cells[Number.parseInt(mark, 10) - 1]!.querySelector('sup')!.textContent).toBe(
        String(Number.parseInt(mark, 10)),
      );
  });

  it('letters the answers to choose from, and marks none of them', () => {
    const { shown, root } = onPaper('choose-statement', 4);
    if (shown.answered.by !== 'choice') throw new Error('A statement is chosen.');
    expect(textsOf(root, 'ol li')).toEqual(shown.answered.options.map((option, i) => `${'abcdef'[i]} ${option}`));
    expect(new Set(root.querySelectorAll('ol li').map((line) => line.getAttribute('class'))).size).toBe(1);
  });

  it('is written with a comma where the class does', () => {
    const { task, shown } = drawn('add-subtract', 9);
    const { seen } = rendered(
      <DecimalMark value="comma">
        <PrintedExercise shown={shown} question={task.exercise.question} number={1} />
      </DecimalMark>,
    );
    expect(seen).toMatch(/\d,\d/);
    expect(seen).not.toMatch(/\d\.\d/);
  });
});

describe('what is given', () => {
  it('shows every measured number with its doubtful digit, in a sentence', () => {
    const { root, heard } = rendered(
      <Story parts={['A nail of ', { text: '24.31', unit: 'g' }, ' displaces ', { text: '9.4', unit: 'mL' }, '.']} />,
    );
    expect(textsOf(root, '.decoration-dotted')).toEqual(['1', '4']);
    expect(heard).toBe('A nail of 24.31, doubtful digit 1, grams displaces 9.4, doubtful digit 4, millilitres.');
  });
});

describe('a table in which errors are marked', () => {
  it('has a button for every cell, pressed where it is marked, named by what stands there and where', () => {
    const { answered } = table();
    const { root } = rendered(
      <MarkedTable table={answered} marks={[{ cell: 1, fault: 'heading-without-unit' }]} onMark={() => undefined} />,
    );
    const buttons = root.querySelectorAll('button');
    expect(buttons).toHaveLength(answered.headings.length * (1 + answered.rows.length));
    expect(buttons.map((button) => button.getAttribute('aria-pressed'))).toEqual([
      'true',
      ...buttons.slice(1).map(() => 'false'),
    ]);
    buttons.forEach((button) =>
      expect(button.getAttribute('aria-label')!.startsWith(`${button.textContent}, `)).toBe(true),
    );
    expect(new Set(buttons.map((button) => button.getAttribute('aria-label'))).size).toBe(buttons.length);
  });

  it('once it is closed has none, and says which cells were marked', () => {
    const { answered } = table();
    const { root, heard } = rendered(
      <MarkedTable table={answered} marks={[{ cell: 2, fault: 'wrong-result' }]} faulty={new Set([2])} onMark={null} />,
    );
    expect(root.querySelectorAll('button')).toHaveLength(0);
    expect(heard.match(/, marked/g)).toHaveLength(1);
  });
});

describe('a closed exercise', () => {
  const closed = (kind: string, seed: number) => {
    const { task, shown } = drawn(kind, seed);
    const rules = practiceTask(kind, task.exercise).rules;
    const { answer } = feedbackOn(task, null, true);
    return { task, shown, answer: answer!, rules };
  };

  it('shows every fault struck through beside what is right, and why', () => {
    const { task, shown, answer, rules } = closed('spot-the-error', 11);
    const { root, seen } = rendered(<Solved answer={answer} shown={shown} rules={rules} />);
    const lines = root.querySelectorAll('[aria-label="What was wrong"] > li');
    expect(lines).toHaveLength(rightAnswer(task).text.split(' ').length);
    for (const line of lines) expect(line.querySelector('.line-through')!.textContent).not.toBe('');
    if (answer.solution?.by !== 'faults') throw new Error('A table is explained by its faults.');
    for (const { right, why } of answer.solution.faults) {
      expect(seen).toContain(right);
      expect(seen).toContain(why);
    }
  });

  it('says in words how figures are counted, and gives their number unless it was right', () => {
    const { task, shown, answer, rules } = closed('count-figures', 2);
    expect(rendered(<Solved answer={answer} shown={shown} rules={rules} />).seen).toMatch(/^Count /);
    expect(rendered(<RightAnswer answer={answer} shown={shown} given={false} />).seen).toBe(
      `${rightAnswer(task).text}significant figures`,
    );
    expect(rendered(<RightAnswer answer={answer} shown={shown} given />).seen).toBe('');
  });

  it('gives the right result with its unit and doubtful digit', () => {
    const { task, shown, answer } = closed('multiply-divide', 3);
    const { root, heard } = rendered(<RightAnswer answer={answer} shown={shown} given={false} />);
    expect(textsOf(root, '.decoration-dotted')).toHaveLength(1);
    expect(heard.startsWith(rightAnswer(task).text.split('e')[0]!.replace('-', 'minus '))).toBe(true);
  });
});
