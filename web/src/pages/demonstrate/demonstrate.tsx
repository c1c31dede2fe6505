import {
  asOperated,
  hasScale,
  instrumentById,
  numberWritten,
  pictureOf,
  plainTask,
  questionFor,
  revealOf,
  SituationError,
  slipById,
  SLIPS,
  type HouseRules,
  type Picture,
  type ReadingTask,
} from '@green-beam/core';
import { useCallback, useEffect, useMemo, useState, type ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import { createSight } from '../../instruments/sight/sight.ts';
import { ToolStage } from '../../instruments/tool-stage.tsx';
import { viewOf } from '../../instruments/views.ts';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { MeasuredNumber } from '../../numbers/measured-number.tsx';
import { useHouseRules } from '../../rules/house-rules.ts';
import { Failed, Loading } from '../../ui/notice.tsx';
import { useShortcuts } from '../../ui/shortcuts.ts';
import { useMeetTool } from '../bench/shelf/use-shelf.ts';
import { useOpening } from './use-opening.ts';
import { DEMONSTRATED, slipShown, slipsToShow } from './demonstration.ts';

/** How far off the level the eye is shown, in mm. */
const OFF_LEVEL = 70;
const EYES = { high: OFF_LEVEL, level: 0, low: -OFF_LEVEL } as const;
type EyeShown = keyof typeof EYES;

/** What is on the wall: a tool, a value or none (then it is drawn), and how far the reading aloud has come. */
interface OnWall {
  readonly toolId: string;
  readonly seed: number;
  readonly value: number | null;
  readonly step: number;
  readonly eye: EyeShown;
  readonly slip: string | null;
}

function newSeed(): number {
  return crypto.getRandomValues(new Uint32Array(1))[0] ?? 1;
}

/** Where the mark of a picture stands when nothing has to be waited for. */
function restingAt(picture: Picture): number {
  const view = viewOf(picture);
  return view.readAt(picture, view.seenFirst(picture).markAt);
}

function attempted(shown: OnWall, rules: HouseRules): ReadingTask | string {
  if (Number.isNaN(shown.value)) return 'That is not a number.';
  try {
    return plainTask(shown.toolId, shown.seed, shown.value, rules);
  } catch (error) {
    if (error instanceof SituationError) return error.message.replace(/^\w+: /, '');
    throw error;
  }
}

interface ChoiceProps {
  readonly pressed: boolean;
  readonly onPress: () => void;
  readonly children: ReactNode;
}

function Choice({ pressed, onPress, children }: ChoiceProps): ReactNode {
  return (
    <button
      type="button"
      aria-pressed={pressed}
      onClick={onPress}
      className="min-h-11 border-b-2 border-transparent px-2 font-semibold aria-pressed:border-beam aria-pressed:text-beam"
    >
      {children}
    </button>
  );
}

/** The reading aloud: division, certain digits, estimated digit, unit, one step after the other. */
function Aloud({ task, shown }: { readonly task: ReadingTask; readonly shown: OnWall }): ReactNode {
  const numerals = useNumerals();
  const steps = revealOf(task).slice(0, shown.step);
  const slip = shown.slip === null ? null : slipShown(task, shown.slip);
  const soFar = steps.at(-1)?.soFar ?? '';
  const [digits = '', ...unit] = soFar.split(' ');
  return (
    <section aria-live="polite" className="min-w-0 text-2xl">
      <h1 className="text-4xl font-bold text-balance">{questionFor(task)}</h1>
      <p className="mt-4 min-h-16 text-6xl">
        {digits !== '' && <MeasuredNumber text={digits.replace('−', '-')} unit={unit.join(' ')} />}
      </p>
      <ol className="mt-4">
        {steps.map((step) => (
          <li key={step.text} className="border-t border-hairline py-3 last:font-bold">
            {numerals(step.text)}
          </li>
        ))}
      </ol>
      {slip && (
        <div className="mt-6 border-l-4 border-slip pl-5">
          <p className="font-bold text-slip">
            {slip.name}: <span className="font-mono">{numerals(slip.written.replace('-', '−'))}</span>
          </p>
          <p className="mt-2">{numerals(slip.why)}</p>
        </div>
      )}
    </section>
  );
}

interface WallProps {
  readonly rules: HouseRules;
  /** Told when a tool has been read aloud to its end. */
  readonly onRead: (toolId: string) => void;
}

function Wall({ rules, onRead }: WallProps): ReactNode {
  const [asked] = useSearchParams();
  const numerals = useNumerals();
  const [shown, setShown] = useState((): OnWall => ({
    toolId: DEMONSTRATED.find(({ id }) => id === asked.get('tool'))?.id ?? 'burette-50',
    seed: newSeed(),
    value: null,
    step: 0,
    eye: 'level',
    slip: SLIPS.find(({ id }) => id === asked.get('slip'))?.id ?? null,
  }));
  const [typed, setTyped] = useState('');
  const task = useMemo(() => attempted(shown, rules), [shown, rules]);
  const last = useMemo(() => (typeof task === 'string' ? 0 : revealOf(task).length), [task]);
  const readToItsEnd = shown.step > 0 && shown.step === last;
  useEffect(() => {
    if (readToItsEnd) onRead(shown.toolId);
  }, [readToItsEnd, shown.toolId, onRead]);
  const picture = useMemo(() => (typeof task === 'string' ? null : pictureOf(task)), [task]);
  const sight = useMemo(
    () => createSight({ height: EYES[shown.eye], markAt: picture ? restingAt(picture) : 0 }),
    [picture, shown.eye],
  );
  useOpening(picture, sight, typeof task === 'string' ? undefined : revealOf(task)[shown.step - 1]?.kind);
  const change = (part: Partial<OnWall>): void => setShown((before) => ({ ...before, ...part }));
  const again = (part: Partial<OnWall> = {}): void =>
    change({ seed: newSeed(), step: 0, slip: null, eye: 'level', ...part });
  const stepBy = (by: number): void =>
    setShown((before) => ({ ...before, step: Math.min(last, Math.max(0, before.step + by)) }));
  useEffect(() => {
    // A clicker sends Page keys; arrows do the same from the keyboard.
    const pressed = (event: KeyboardEvent): void => {
      if (event.target instanceof Element && event.target.closest('input, select, [role="slider"]')) return;
      const by = { PageDown: 1, ArrowRight: 1, PageUp: -1, ArrowLeft: -1 }[event.key];
      if (by === undefined) return;
      event.preventDefault();
      setShown((before) => ({ ...before, step: Math.min(last, Math.max(0, before.step + by)) }));
    };
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  }, [last]);
  useShortcuts(
    useMemo(
      () => ({
        n: () => setShown((before) => ({ ...before, seed: newSeed(), value: null, step: 0, slip: null, eye: 'level' })),
      }),
      [],
    ),
  );

  const readAs = typeof task === 'string' ? null : asOperated(task, { eyeHeight: EYES[shown.eye] });
  const slips = readAs ? slipsToShow(readAs) : [];
  const slip = readAs && shown.slip !== null ? slipShown(readAs, shown.slip) : null;
  return (
    <div className="projector flex min-h-screen flex-col">
      <main className="grid flex-1 grid-cols-1 items-start gap-8 px-8 pt-6 wide:grid-cols-[minmax(0,1fr)_minmax(22rem,34%)]">
        <div className="min-w-0">
          {picture && typeof task !== 'string' && (
            <ToolStage
              key={`${shown.toolId} ${shown.seed} ${String(shown.value)} ${shown.eye}`}
              picture={picture}
              name={numerals(instrumentById(shown.toolId).name)}
              sight={sight}
              onRestEye={() => undefined}
              wrongPath={
                slip?.path ??
                (shown.eye === 'level' ? [] : [{ kind: 'sight', text: shown.eye === 'high' ? 'too high' : 'too low' }])
              }
              rightPath={revealOf(task).slice(0, shown.step)}
            />
          )}
          {typeof task === 'string' && (
            <p role="alert" className="py-16 text-2xl text-slip">
              {task}
            </p>
          )}
        </div>
        {readAs && <Aloud task={readAs} shown={shown} />}
      </main>
      <footer className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-hairline px-8 py-2">
        <select
          aria-label="Tool"
          value={shown.toolId}
          onChange={(event) => again({ toolId: event.target.value, value: null })}
          className="min-h-11 w-40 bg-surface px-2"
        >
          {DEMONSTRATED.map((tool) => (
            <option key={tool.id} value={tool.id}>
              {numerals(tool.name)}
            </option>
          ))}
        </select>
        <form
          className="flex items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            const value = numberWritten(typed.trim().replace(',', '.').replace('−', '-'));
            again({ value: typed.trim() === '' ? null : value });
          }}
        >
          {hasScale(shown.toolId, rules) && (
            <input
              aria-label={`Value in ${instrumentById(shown.toolId).unit}`}
              placeholder={`value, ${instrumentById(shown.toolId).unit}`}
              value={typed}
              onChange={(event) => setTyped(event.target.value)}
              className="min-h-11 w-32 bg-surface px-3 font-mono"
            />
          )}
          <Choice pressed={false} onPress={() => again({ value: null })}>
            New example
          </Choice>
        </form>
        {picture !== null && 'eye' in picture && (
          <div role="group" aria-label="The eye" className="flex">
            {(Object.keys(EYES) as EyeShown[]).map((eye) => (
              <Choice key={eye} pressed={shown.eye === eye} onPress={() => change({ eye, slip: null })}>
                {{ high: 'Eye too high', level: 'Level', low: 'Eye too low' }[eye]}
              </Choice>
            ))}
          </div>
        )}
        <select
          aria-label="Slip"
          value={shown.slip ?? ''}
          onChange={(event) => change({ slip: event.target.value === '' ? null : event.target.value })}
          className="min-h-11 w-40 bg-surface px-2"
        >
          <option value="">no slip</option>
          {slips.map((id) => (
            <option key={id} value={id}>
              {slipById(id).name}
            </option>
          ))}
        </select>
        <div className="ml-auto flex items-center">
          <Choice pressed={false} onPress={() => stepBy(-1)}>
            Back
          </Choice>
          <span className="px-2 font-mono text-muted">
            {shown.step}/{last}
          </span>
          <Choice pressed={false} onPress={() => stepBy(1)}>
            Next step
          </Choice>
          <Link to="/" className="ml-4 min-h-11 content-center text-muted underline underline-offset-4">
            Leave
          </Link>
        </div>
      </footer>
    </div>
  );
}

/** Any tool at any value for the front of the room, read aloud step by step with a keyboard or a clicker. */
export default function Demonstrate({ classId }: { readonly classId: string | null }): ReactNode {
  const { rules, error } = useHouseRules(classId);
  const { meet } = useMeetTool(classId ?? '');
  const onRead = useCallback((toolId: string) => meet({ toolId, met: true }), [meet]);
  if (rules) return <Wall rules={rules.rules} onRead={onRead} />;
  return (
    <div className="projector min-h-screen px-8">
      {error ? <Failed error={error} /> : <Loading what="the class rules" />}
    </div>
  );
}
