import type { AttemptResult } from '@green-beam/contract';
import { writtenMarks, type HouseRules } from '@green-beam/core';
import { useCallback, useLayoutEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { Button } from '../../../ui/button.tsx';
import { Notice } from '../../../ui/notice.tsx';
import { useShortcuts } from '../../../ui/shortcuts.ts';
import { AnswerLine } from '../entry/answer-line.tsx';
import type { BenchSource, ExerciseTask } from '../bench-source.ts';
import { Hints, Onward, progressOf, Standing } from '../beside.tsx';
import { Findings } from '../findings.tsx';
import { useEntry, type ItemWork } from '../entry/use-entry.ts';
import { answerInWords } from './answer-in-words.ts';
import { ChoiceLine } from './choice-line.tsx';
import { ExercisePaper } from './exercise-paper.tsx';
import { complete, MarksLine, type MarkSet } from './marks-line.tsx';
import { RightAnswer, Solved } from './solved.tsx';

interface ExerciseViewProps {
  readonly task: ExerciseTask;
  readonly source: BenchSource;
  readonly of: number;
  readonly onNext: () => void;
}

/** Units that results are written in. */
const WRITTEN_IN = [
  'g',
  'kg',
  'mm',
  'cm',
  'm',
  'in',
  'cm²',
  'm²',
  'in²',
  'cm³',
  'mL',
  'L',
  'in³',
  'g/cm³',
  'g/mL',
  'g/min',
  'min',
  '°C',
  '°F',
  'K',
  'oz',
  'fl oz',
  'kg/m³',
  '%',
];

function Verdict({ result, task }: { readonly result: AttemptResult; readonly task: ExerciseTask }): ReactNode {
  const { by } = task.picture.answered;
  const told = {
    number: 'Value, digits and unit are correct.',
    count: 'You counted the right digits.',
    choice: 'That is the right one.',
    marks: 'You found everything, and marked nothing else.',
  }[by];
  return (
    <div className="mt-5" role="status">
      {result.verdict === 'unreadable' && (
        <Notice tone="doubt" title="This is not an answer yet">
          <p>{result.message}</p>
        </Notice>
      )}
      {result.verdict === 'sound' && (
        <Notice tone="sound" title="Right">
          <p>{told}</p>
        </Notice>
      )}
      {(result.verdict === 'slip' || result.verdict === 'record' || result.verdict === 'unexplained') && (
        <Findings
          result={result}
          record="The value is right. The way it is written is not right yet."
          unexplained="This is not the right answer. Go through it again, step by step."
        />
      )}
      {result.answer && <RightAnswer answer={result.answer} shown={task.picture} given={result.verdict === 'sound'} />}
    </div>
  );
}

/** Marks that were entered before and were not right. */
function TriedMarks({ work, task }: { readonly work: ItemWork; readonly task: ExerciseTask }): ReactNode {
  const tried = work.made.filter(({ result }) => result.verdict !== 'unreadable' && result.verdict !== 'shown');
  return (
    <ul className="mt-4">
      {tried.map(({ text, result }) => (
        <li key={result.attemptId} className={`py-1 ${result.verdict === 'sound' ? '' : 'text-slip line-through'}`}>
          {answerInWords(task.picture, text)}
        </li>
      ))}
    </ul>
  );
}

/** One exercise: what it tells at the left, the question and the answer at the right; the working once it is closed. */
export default function ExerciseView({ task, source, of, onNext }: ExerciseViewProps): ReactNode {
  const work = useEntry(task, source);
  const [marks, setMarks] = useState<readonly MarkSet[]>([]);
  const input = useRef<HTMLInputElement>(null);
  const next = useRef<HTMLButtonElement>(null);
  const { last, notChecked, nextHint, send } = work;
  const closed = last?.closed ?? false;
  const { picture } = task;
  const { answered } = picture;
  const rules: HouseRules | null = source.round?.rules.rules ?? null;
  const solution = last?.answer?.solution ?? null;

  // With the picture that shows it: whatever the focus brings into sight does not move a moment later.
  useLayoutEffect(() => {
    if (closed) next.current?.focus();
  }, [closed]);
  const goOn = useCallback((): void => {
    if (closed || notChecked) onNext();
  }, [closed, notChecked, onNext]);
  useShortcuts(useMemo(() => ({ h: nextHint, n: goOn }), [nextHint, goOn]));

  const entry = answered.by === 'marks' ? writtenMarks(complete(marks)) : work.entry;
  const unnamed = marks.some(({ fault }) => fault === null);
  const ready = answered.by === 'marks' ? marks.length > 0 && !unnamed : answered.by !== 'choice' || entry !== '';
  const check = (): void => {
    void send('reading', entry).then(() => input.current?.focus());
  };
  const mark = (cell: number): void =>
    setMarks(
      marks.some((one) => one.cell === cell)
        ? marks.filter((one) => one.cell !== cell)
        : [...marks, { cell, fault: null }],
    );
  const faulty = useMemo(
    () => new Set(solution?.by === 'faults' ? solution.faults.map(({ cells }) => cells[0] ?? 0) : []),
    [solution],
  );
  return (
    <main className="mx-auto grid w-full max-w-7xl flex-1 grid-cols-1 content-start gap-x-16 gap-y-5 px-4 pt-6 wide:grid-cols-[minmax(0,1fr)_24rem] wide:grid-rows-[auto_1fr] wide:px-7">
      <div className="min-w-0 wide:pt-5">
        <ExercisePaper
          shown={picture}
          marks={complete(marks.map(({ cell, fault }) => ({ cell, fault: fault ?? '' })))}
          faulty={faulty}
          onMark={closed || notChecked ? null : mark}
        />
      </div>
      <section className="pb-8 wide:row-span-2" aria-label="The question">
        <p className="text-small font-semibold text-muted">
          {progressOf('Exercise', task, of, work)}, level {picture.level}
        </p>
        <h1 className="mt-1 text-2xl font-bold">{task.question}</h1>
        {answered.by === 'number' && (
          <AnswerLine
            entry={work}
            label="Your result, with its unit"
            units={WRITTEN_IN}
            inputRef={input}
            onEnter={check}
          />
        )}
        {answered.by === 'count' && (
          <AnswerLine
            entry={work}
            label="How many significant figures"
            placeholder="how many"
            units={[]}
            inputRef={input}
            onEnter={check}
          />
        )}
        {answered.by === 'choice' && (
          <ChoiceLine
            work={work}
            options={answered.options}
            known={solution?.by === 'options' && last?.answer ? { right: last.answer.text, whys: solution.whys } : null}
          />
        )}
        {answered.by === 'marks' && (
          <>
            <TriedMarks work={work} task={task} />
            {!closed && !notChecked && <MarksLine table={answered} marks={marks} onChange={setMarks} />}
          </>
        )}
        <Standing work={work} />
        {last && <Verdict result={last} task={task} />}
        {!closed && <Hints hints={task.hints} shown={work.hints} />}
        <Onward
          work={work}
          what="exercise"
          isLast={task.position + 1 === of}
          nextRef={next}
          ready={ready}
          onCheck={check}
          onNext={onNext}
        >
          {!closed && task.hints.length > 0 && (
            <Button look="quiet" onClick={nextHint} disabled={work.hints >= task.hints.length}>
              Hint
            </Button>
          )}
        </Onward>
      </section>
      {closed && last?.answer && rules && (
        <div className="min-w-0 pb-8 wide:col-start-1 wide:row-start-2">
          <Solved answer={last.answer} shown={picture} rules={rules} />
        </div>
      )}
    </main>
  );
}
