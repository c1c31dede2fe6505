import { instrumentById } from '@green-beam/core';
import { useCallback, useLayoutEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { ToolStage } from '../../../instruments/tool-stage.tsx';
import { viewOf } from '../../../instruments/views.ts';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { Button } from '../../../ui/button.tsx';
import { useTyping } from '../../../ui/typing.ts';
import { useShortcuts } from '../../../ui/shortcuts.ts';
import { AnswerLine, writingOf } from '../entry/answer-line.tsx';
import type { BenchSource, ReadingTask } from '../bench-source.ts';
import { Hints, Onward, progressOf, Standing } from '../beside.tsx';
import { Handling } from './handling.tsx';
import { useReading } from './use-reading.ts';
import { useReveal } from '../use-reveal.ts';
import { Verdict } from '../verdict.tsx';

interface TaskViewProps {
  readonly task: ReadingTask;
  readonly source: BenchSource;
  readonly of: number;
  readonly onNext: () => void;
}

/** One reading: the tool at the left, the question and the answer line at the right. */
export function TaskView({ task, source, of, onNext }: TaskViewProps): ReactNode {
  const reading = useReading(task, source);
  const [loupe, setLoupe] = useState(false);
  const [described, setDescribed] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const next = useRef<HTMLButtonElement>(null);
  const { last, sight } = reading;
  const closed = last?.closed ?? false;
  const steps = useReveal(last?.verdict === 'sound' ? null : (last?.answer?.reveal ?? null));
  const { name } = instrumentById(task.picture.instrumentId);
  const numerals = useNumerals();

  // With the picture that shows it: whatever the focus brings into sight does not move a moment later.
  useLayoutEffect(() => {
    if (closed) next.current?.focus();
  }, [closed]);
  const { note, nextHint, state, change, notChecked } = reading;
  const { picture } = task;
  const view = viewOf(picture);
  const handling = useMemo(() => ({ note, change }), [note, change]);
  const toggleLoupe = useCallback((): void => {
    note('loupe');
    setLoupe((on) => !on);
  }, [note]);
  const describe = useCallback((): void => {
    note('described');
    setDescribed((on) => !on);
  }, [note]);
  const goOn = useCallback((): void => {
    if (closed || notChecked) onNext();
  }, [closed, notChecked, onNext]);
  useShortcuts(
    useMemo(() => ({ l: toggleLoupe, h: nextHint, n: goOn, d: describe }), [toggleLoupe, nextHint, goOn, describe]),
  );

  const typing = useTyping();
  useLayoutEffect(() => {
    if (typing) window.scrollTo(0, 0);
  }, [typing]);

  const check = (): void => {
    // On a phone the keyboard closes: what is said of the entry would be under it.
    if (typing) input.current?.blur();
    void reading.send('reading', reading.entry).then(() => !typing && input.current?.focus());
  };
  return (
    <div className="typing:content-start typing:pt-1 mx-auto grid w-full max-w-7xl flex-1 grid-cols-1 gap-x-6 gap-y-2 px-4 pt-4 wide:grid-cols-[minmax(0,1fr)_24rem] wide:px-7">
      <div className="mx-auto w-full min-w-0 wide:max-w-[max(34rem,calc((100vh-16rem)*1.4))]">
        <ToolStage
          picture={picture}
          name={numerals(name)}
          sight={sight}
          state={state}
          handling={handling}
          onRestEye={reading.restEye}
          loupe={loupe}
          closed={closed}
          wrongPath={closed ? [] : (last?.slips.flatMap((slip) => slip.path) ?? [])}
          rightPath={steps}
        />
      </div>
      <section className="typing:flex typing:flex-col pb-2 wide:pt-1" aria-label="The question">
        <p className="typing:hidden flex flex-wrap justify-between gap-x-4 text-small font-semibold text-muted">
          <span>
            {progressOf('Reading', task, of, reading)}
            {task.toolCode === null ? '' : `, on ${task.toolCode}`}
          </span>
          <Link to="/shelf" className="-my-3 py-3 font-normal underline decoration-hairline underline-offset-4">
            Take another tool
          </Link>
        </p>
        <h1 className="typing:mt-0 typing:text-base typing:leading-snug mt-1 text-2xl font-bold">{task.question}</h1>
        {described && (
          <p className="typing:order-1 mt-3 border-l-[3px] border-beam pl-4">{view.words({ picture, sight, state })}</p>
        )}
        <Handling
          picture={picture}
          sight={sight}
          state={state}
          change={change}
          note={note}
          closed={closed}
          cautions={task.cautions}
        />
        <AnswerLine
          label="Your reading, with its unit"
          {...writingOf(picture.unitMark)}
          entry={reading}
          inputRef={input}
          onEnter={check}
        />
        <div className="typing:order-1">
          <Standing work={reading} />
          {last && <Verdict result={last} steps={steps} />}
          {!closed && <Hints hints={task.hints} shown={reading.hints} />}
        </div>
        <Onward
          work={reading}
          what="reading"
          isLast={task.position + 1 === of}
          nextRef={next}
          onCheck={check}
          onNext={onNext}
        >
          {view.hasLoupe && (
            <Button look="quiet" aria-pressed={loupe} onClick={toggleLoupe}>
              Loupe
            </Button>
          )}
          {!closed && (
            <Button look="quiet" onClick={nextHint} disabled={reading.hints >= task.hints.length}>
              Hint
            </Button>
          )}
          <Button look="quiet" aria-pressed={described} onClick={describe}>
            In words
          </Button>
        </Onward>
      </section>
    </div>
  );
}
