import type { BenchTask } from '@green-beam/contract';
import { describeBeams, describeCaliper, describeColumn, describeDisplay, describeCaliperAt, describeMicrometer, describeMicrometerAt, describePointer, describeRiders, describeRuler, instrumentById, type BeamPicture, type CaliperPicture, type DisplayPicture, type Done, type MicrometerPicture, type Picture, type Weighables } from '@green-beam/core';
import { useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { moved } from '../../instruments/ruler/geometry.ts';
import { useSeen, type Seen, type Sight } from '../../instruments/sight.ts';
import { aside } from '../../instruments/aside.ts';
import { parted, type HeldState } from '../../instruments/held-state.ts';
import { rightFloat, type ToolState } from '../../instruments/tool-state.ts';
import { ToolStage } from '../../instruments/tool-stage.tsx';
import type { Balance, BalanceNow } from '../../instruments/balance/balance.ts';
import { useBalance } from '../../instruments/balance/use-balance.ts';
import { useShownByHand } from '../../instruments/balance/use-shown.ts';
import { OVERLOADED, shownByJaws, type PanState, type Shown } from '../../instruments/balance/pan-state.ts';
import { apparentOnScale } from '../../instruments/upright/geometry.ts';
import { Button } from '../../ui/button.tsx';
import { Notice } from '../../ui/notice.tsx';
import { useShortcuts } from '../../ui/shortcuts.ts';
import { AnswerLine } from './answer-line.tsx';
import type { BenchSource } from './bench-source.ts';
import { Handling } from './handling/handling.tsx';
import { useReading, type Reading } from './use-reading.ts';
import { useReveal } from './use-reveal.ts';
import { Verdict } from './verdict.tsx';

interface TaskViewProps {
  readonly task: BenchTask;
  readonly source: BenchSource;
  readonly of: number;
  readonly onNext: () => void;
}

function progress(task: BenchTask, of: number, reading: Reading): string {
  const { last } = reading;
  if (!last || last.closed || last.verdict === 'unreadable') return `Reading ${task.position + 1} of ${of}`;
  return `Reading ${task.position + 1} of ${of}, ${last.tryNumber === 1 ? 'second' : 'third'} try next`;
}

const LEFT = { funnel: ' A funnel stands in its top.', bubble: ' There is a bubble of air in its tip.' } as const;

function inWords(picture: Picture, seen: Seen, tool: ToolState): string {
  const { left, float } = tool;
  switch (picture.kind) {
    case 'liquid-column':
      if (picture.handled === 'try' && float !== rightFloat(picture)) return float === null ? `A jar of ${picture.liquid}; nothing floats in it yet.` : 'The surface lies nowhere on this one’s scale.';
      return `${describeColumn(picture, apparentOnScale(picture, seen))}${left === null ? '' : LEFT[left]}`;
    case 'ruler':
      return describeRuler(picture, moved(picture, seen) + aside(picture, seen));
    case 'caliper':
      return picture.handled === 'close' ? `${whatIsHeld(picture, tool.held)} ${describeCaliperAt(picture, seen.markAt + aside(picture, seen))}` : describeCaliper(picture, aside(picture, seen));
    case 'micrometer':
      return picture.handled === 'close' ? `${whatIsHeld(picture, tool.held)} ${describeMicrometerAt(picture, seen.markAt)}` : describeMicrometer(picture);
    case 'beams':
      return describeBeams(picture);
    case 'display':
      return picture.jaws ? `It shows ${shownByJaws(tool.held, seen.markAt)}.` : describeDisplay(picture);
  }
}

function whatIsHeld({ thing }: CaliperPicture | MicrometerPicture, { between, turned }: HeldState): string {
  return between ? `The ${thing.name} is between them${turned ? ', turned by a right angle' : ''}.` : 'Nothing is between them.';
}

function balanceInWords(picture: BeamPicture, { riderX, pointer, moving, vessel, thing, free }: BalanceNow): string {
  const hangs = picture.under === null || !thing ? '' : ` It hangs in the ${picture.under}, ${free ? 'free of the glass' : 'against the side of the beaker'}.`;
  const on = [...(vessel && picture.vessel ? [`the ${picture.vessel.name}`] : []), ...(thing ? [`the ${picture.thing.name}`] : [])];
  return `On the pan: ${on.length === 0 ? 'nothing' : on.join(' and ')}.${hangs} ${describeRiders(picture, riderX)} ${describePointer(pointer.at, moving)}`;
}

const AMISS: Readonly<Record<NonNullable<Weighables['spoilt']>['how'], string>> = { draught: ' The door of its shield is open.', 'off-centre': ' What is on it lies near the rim of the pan.', wet: ' Drops cling to what is on it.', fingerprints: ' There are fingerprints on it.', touching: '' };

function panInWords({ characters, stable }: Shown, { spoilt }: Weighables, pan: PanState, unit: string): string {
  const amiss = spoilt !== null && !pan.putRight && (pan.thing || spoilt.how === 'draught') ? AMISS[spoilt.how] : '';
  return `${whatIsShown({ characters, stable }, pan.on, unit)}${amiss}`;
}

function whatIsShown({ characters, stable }: Shown, on: boolean, unit: string): string {
  if (!on) return 'The balance is not switched on.';
  return characters === OVERLOADED ? 'It shows bars: more than it can take.' : `It shows ${characters} ${unit}${stable ? ', and its stability mark' : ', and has not settled'}.`;
}

/** A beam balance under somebody’s hands, in words. */
function BalanceDescribed({ picture, balance }: { readonly picture: BeamPicture; readonly balance: Balance }): ReactNode {
  return balanceInWords(picture, useBalance(balance));
}

/** A digital balance under somebody’s hands, in words. */
function PanDescribed({ picture, weighables, pan }: { readonly picture: DisplayPicture; readonly weighables: Weighables; readonly pan: PanState }): ReactNode {
  return panInWords(useShownByHand(weighables, pan), weighables, pan, picture.unitMark);
}

function words(picture: Picture, seen: Seen, tool: ToolState): ReactNode {
  if (picture.kind === 'beams' && picture.handled === 'weigh' && tool.balance) return <BalanceDescribed picture={picture} balance={tool.balance} />;
  if (picture.kind === 'display' && picture.weighables) return <PanDescribed picture={picture} weighables={picture.weighables} pan={tool.pan} />;
  return inWords(picture, seen, tool);
}

/** The picture in words a reading can be made from, as the eye now sees it. */
function Described({ picture, sight, tool }: { readonly picture: Picture; readonly sight: Sight; readonly tool: ToolState }): ReactNode {
  return <p className="mt-3 border-l-[3px] border-beam pl-4">{words(picture, useSeen(sight), tool)}</p>;
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
  const { last, sight } = reading;
  const closed = last?.closed ?? false;
  const steps = useReveal(last?.verdict === 'sound' ? null : (last?.answer?.reveal ?? null));
  const { name } = instrumentById(task.picture.instrumentId);

  useEffect(() => {
    if (closed) next.current?.focus();
  }, [closed]);
  const { note, nextHint, tool, changeTool, notChecked } = reading;
  const { picture } = task;
  const lay = useCallback(
    (markAt: number): void => {
      if (picture.kind !== 'ruler') return;
      changeTool({ restsAt: markAt });
      note('lay', Number((picture.thing.fromX + markAt - picture.thing.toX).toFixed(3)));
    },
    [picture, changeTool, note],
  );
  const slide = useCallback(
    (position: number): void => {
      note('slide', position);
      changeTool({ held: parted(picture, tool.held, position) });
    },
    [note, changeTool, picture, tool.held],
  );
  const moveRider = useCallback((rider: number, x: number): void => note(`rider-${rider + 1}` as Done['kind'], x), [note]);
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
  useShortcuts(useMemo(() => ({ l: toggleLoupe, h: nextHint, n: goOn, d: describe }), [toggleLoupe, nextHint, goOn, describe]));

  const check = (): void => {
    void reading.send('reading', reading.entry).then(() => input.current?.focus());
  };
  return (
    <div className="mx-auto grid w-full max-w-7xl flex-1 grid-cols-1 gap-x-6 gap-y-2 px-4 pt-4 wide:grid-cols-[minmax(0,1fr)_24rem] wide:px-7">
      <div className="min-w-0">
        <ToolStage
          picture={task.picture}
          name={name}
          sight={sight}
          tool={tool}
          {...(picture.kind === 'ruler' && picture.handled === 'lay' ? { onLay: lay } : {})}
          {...('handled' in picture && picture.handled === 'close' ? { onSlide: slide } : {})}
          {...(picture.kind === 'beams' ? { onRider: moveRider } : {})}
          onRestEye={reading.restEye}
          loupe={loupe}
          closed={closed}
          wrongPath={closed ? [] : (last?.slips.flatMap((slip) => slip.path) ?? [])}
          rightPath={steps}
        />
      </div>
      <section className="pb-6 wide:pt-6" aria-label="The question">
        <p className="text-small font-semibold text-muted">
          {progress(task, of, reading)}
          {task.toolCode === null ? '' : `, on ${task.toolCode}`}
        </p>
        <h1 className="mt-1 text-2xl font-bold">{task.question}</h1>
        {described && <Described picture={picture} sight={sight} tool={tool} />}
        <Handling picture={picture} sight={sight} tool={tool} change={changeTool} note={note} closed={closed} cautions={task.cautions} />
        <AnswerLine reading={reading} inputRef={input} onEnter={check} />
        {reading.refused !== null && (
          <p role="alert" className="mt-3 text-slip">
            {reading.refused}
          </p>
        )}
        {notChecked && !closed && (
          <div className="mt-4" role="status">
            <Notice tone="doubt" title="Not checked yet">
              <p>The server cannot be reached. Your entry is kept in this browser and judged when it can be; nothing is lost. The next readings are here already.</p>
            </Notice>
          </div>
        )}
        {last && <Verdict result={last} steps={steps} />}
        {!closed && <Hints hints={task.hints} shown={reading.hints} />}
        <div className="mt-6 flex flex-wrap gap-3">
          {reading.notChecked && !closed ? (
            <Button ref={next} onClick={onNext}>
              Go on to the next reading
            </Button>
          ) : closed ? (
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
          {(picture.kind === 'liquid-column' || picture.kind === 'ruler') && (
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
        </div>
      </section>
    </div>
  );
}
