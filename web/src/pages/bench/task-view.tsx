import type { BenchTask } from '@green-beam/contract';
import { describeColumn, instrumentById, type LiquidColumnPicture } from '@green-beam/core';
import { useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { CylinderStage } from '../../instruments/cylinder/cylinder-stage.tsx';
import { apparentOnScale } from '../../instruments/cylinder/geometry.ts';
import { Button } from '../../ui/button.tsx';
import { useShortcuts } from '../../ui/shortcuts.ts';
import { AnswerLine } from './answer-line.tsx';
import type { BenchSource } from './bench-source.ts';
import { useReading, type Reading } from './use-reading.ts';
import { useReveal } from './use-reveal.ts';
import { Verdict } from './verdict.tsx';

interface TaskViewProps {
  readonly task: BenchTask & { readonly picture: LiquidColumnPicture };
  readonly source: BenchSource;
  readonly of: number;
  readonly onNext: () => void;
}

function progress(task: BenchTask, of: number, reading: Reading): string {
  const second = reading.last && !reading.last.closed && reading.last.verdict !== 'unreadable' ? ', second try next' : '';
  return `Reading ${task.position + 1} of ${of}${second}`;
}

function Hints({ hints, shown }: { readonly hints: readonly string[]; readonly shown: number }): ReactNode {
  if (shown === 0) return null;
  return (
    <ol className="mt-4 list-decimal pl-5" aria-label="Hints">
      {hints.slice(0, shown).map((hint) => (
        <li key={hint} className="py-1">
          {hint}
        </li>
      ))}
    </ol>
  );
}

/** One reading: the tool at the left, the question and the answer line at the right. */
export function TaskView({ task, source, of, onNext }: TaskViewProps): ReactNode {
  const reading = useReading(task, source);
  const [loupe, setLoupe] = useState(false);
  const [described, setDescribed] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const next = useRef<HTMLButtonElement>(null);
  const { last, eyeHeight } = reading;
  const closed = last?.closed ?? false;
  const steps = useReveal(last?.verdict === 'sound' ? null : (last?.answer?.reveal ?? null));
  const { name } = instrumentById(task.picture.instrumentId);

  useEffect(() => {
    if (closed) next.current?.focus();
  }, [closed]);
  const { note, nextHint } = reading;
  const toggleLoupe = useCallback((): void => {
    note('loupe');
    setLoupe((on) => !on);
  }, [note]);
  const describe = useCallback((): void => {
    note('described');
    setDescribed((on) => !on);
  }, [note]);
  const goOn = useCallback((): void => {
    if (closed) onNext();
  }, [closed, onNext]);
  useShortcuts(useMemo(() => ({ l: toggleLoupe, h: nextHint, n: goOn, d: describe }), [toggleLoupe, nextHint, goOn, describe]));

  const check = (): void => {
    void reading.send('reading', reading.entry).then(() => input.current?.focus());
  };
  return (
    <div className="mx-auto grid w-full max-w-7xl flex-1 grid-cols-1 gap-x-6 gap-y-2 px-4 pt-4 wide:grid-cols-[minmax(0,1fr)_24rem] wide:px-7">
      <div className="min-w-0">
        <CylinderStage
          picture={task.picture}
          name={name}
          eyeHeight={eyeHeight}
          onMoveEye={reading.moveEye}
          onRestEye={reading.restEye}
          loupe={loupe}
          closed={closed}
          wrongPath={closed ? [] : (last?.slips.flatMap((slip) => slip.path) ?? [])}
          rightPath={steps}
        />
      </div>
      <section className="pb-6 wide:pt-6" aria-label="The question">
        <p className="text-small font-semibold text-muted">{progress(task, of, reading)}</p>
        <h1 className="mt-1 text-2xl font-bold">How much {task.picture.liquid} is in the cylinder?</h1>
        {described && <p className="mt-3 border-l-[3px] border-beam pl-4">{describeColumn(task.picture, apparentOnScale(task.picture, eyeHeight))}</p>}
        <AnswerLine reading={reading} inputRef={input} onEnter={check} />
        {reading.refused !== null && (
          <p role="alert" className="mt-3 text-slip">
            {reading.refused}
          </p>
        )}
        {last && <Verdict result={last} steps={steps} />}
        {!closed && <Hints hints={task.hints} shown={reading.hints} />}
        <div className="mt-6 flex flex-wrap gap-3">
          {closed ? (
            <Button ref={next} onClick={onNext}>
              {task.position + 1 === of ? 'Finish the round' : 'Next reading'}
            </Button>
          ) : (
            <>
              <Button onClick={check} disabled={reading.sending}>
                {last && last.verdict !== 'unreadable' ? 'Check again' : 'Check'}
              </Button>
              {last && last.verdict !== 'unreadable' && (
                <Button look="plain" onClick={() => void reading.send('shown', '')}>
                  Show me
                </Button>
              )}
            </>
          )}
        </div>
        <div className="mt-4 -ml-5 flex flex-wrap">
          <Button look="quiet" aria-pressed={loupe} onClick={toggleLoupe}>
            Loupe
          </Button>
          {!closed && (
            <Button look="quiet" onClick={nextHint} disabled={reading.hints >= task.hints.length}>
              Hint
            </Button>
          )}
          <Button look="quiet" aria-pressed={described} onClick={describe}>
            In words
          </Button>
        </div>
      </section>
    </div>
  );
}
