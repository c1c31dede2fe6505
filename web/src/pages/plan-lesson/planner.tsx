import type { LaboratoryShown, PlanDraft, PlanPage } from '@green-beam/contract';
import { fits, moved, planConflicts, problemOf, withTool, type LessonPlan } from '@green-beam/core';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { SavingShown } from '../../saving/saving-shown.tsx';
import { useSaving, useUnsaved } from '../../saving/use-saving.ts';
import { Button } from '../../ui/button.tsx';
import { Confirm } from '../../ui/confirm.tsx';
import { useNow } from '../../ui/use-now.ts';
import { useWorker } from '../../ui/use-worker.ts';
import { Answers } from './answers.tsx';
import { Cards } from './cards.tsx';
import { conflictInWords } from './in-words.ts';
import { Care, Kit } from './kit-and-care.tsx';
import { lessonIn, withCount, type UsableTool } from './lesson-draft.ts';
import { LessonSettings } from './lesson-settings.tsx';
import { MoveStep } from './move-step.tsx';
import { useProtocols } from './use-protocols.ts';
import type { PlanOrder } from './plan-lesson.worker.ts';
import { Legend } from './timeline/legend.tsx';
import { Timeline, type StepAt } from './timeline/timeline.tsx';
import { usePlanRemoval, writtenPlan } from './use-plans.ts';
import { WhatIfs, type WhatIf } from './what-if.tsx';

const VIEWS = [
  { id: 'group', name: 'By group' },
  { id: 'tool', name: 'By tool' },
  { id: 'cards', name: 'Cards' },
] as const;
type View = (typeof VIEWS)[number]['id'];

const begin = (): Worker => new Worker(new URL('./plan-lesson.worker.ts', import.meta.url), { type: 'module' });
/** More conflicts than these are counted. */
const TOLD = 6;

interface PlannerProps {
  readonly classId: string;
  readonly page: PlanPage;
  readonly laboratories: readonly LaboratoryShown[];
  readonly cabinet: readonly UsableTool[];
}

/** A plan that is made, looked at and changed. */
export function Planner({ classId, page, laboratories, cabinet }: PlannerProps): ReactNode {
  const goTo = useNavigate();
  const written = writtenPlan(classId, page);
  const [unsaved, keepUnsaved] = useUnsaved<PlanDraft>(written.key);
  const [draft, setDraft] = useState<PlanDraft>(unsaved?.revision === page.revision ? unsaved.draft : page.draft);
  const [seed, setSeed] = useState(1);
  const [before, setBefore] = useState<readonly PlanDraft['placed'][]>([]);
  const [view, setView] = useState<View>('group');
  const [selected, setSelected] = useState<StepAt | null>(null);
  const [isChanging, setChanging] = useState(false);
  const remove = usePlanRemoval(classId, page.id);
  const { protocols, error: noProtocols } = useProtocols(classId, draft.stations);
  const { groups, steps, tools } = draft;
  const lesson = useMemo(() => lessonIn({ groups, steps, tools } as PlanDraft), [groups, steps, tools]);
  const problem = useMemo(() => problemOf(lesson), [lesson]);
  const order = useMemo(() => ({ problem, seed }), [problem, seed]);
  const { state, start } = useWorker<PlanOrder, LessonPlan>(
    begin,
    'The lesson could not be planned. Load the page again.',
  );
  const kept = draft.placed.length > 0 && fits(problem, draft.placed);
  useEffect(() => {
    if (!kept) start(order);
  }, [kept, order, start]);
  const made = state.kind === 'done' && state.of === order ? state.outcome.steps : null;
  const plan = useMemo(() => (kept ? draft.placed : (made ?? [])), [kept, draft.placed, made]);
  const shown = useMemo(() => ({ ...draft, placed: [...plan] }), [draft, plan]);
  const { saving, flush } = useSaving(written, shown, keepUnsaved);
  const now = useNow(10_000);
  const sinceBegin = page.beganAt ? (now - new Date(page.beganAt).getTime()) / 60_000 : null;
  const conflicts = planConflicts(problem, plan);
  const needed = Math.max(0, ...plan.map(({ end }) => end));
  const change = (next: PlanDraft): void => {
    setBefore([]);
    setDraft(next);
  };
  const place = (next: PlanDraft['placed']): void => {
    setBefore([...before, shown.placed]);
    setDraft({ ...draft, placed: next });
  };
  const move = ({ group, step }: StepAt, at: number): void => {
    setSelected({ group, step });
    place(moved(problem, plan, { group, step, start: at }));
  };
  const take = ({ groups: wanted, kind, count }: WhatIf): void =>
    change(kind === null ? { ...draft, groups: wanted, placed: [] } : withCount(draft, kind, count));
  return (
    <main className="mx-auto w-full max-w-7xl px-4 py-6 wide:px-7">
      <p className="text-small">
        <Link to="/plan-lesson" className="inline-block py-1 underline decoration-hairline underline-offset-4">
          All plans
        </Link>
      </p>
      <div className="flex flex-wrap items-baseline gap-x-6 gap-y-1">
        <h1 className="text-2xl font-bold">{draft.title}</h1>
        <SavingShown saving={saving} />
        {saving.kind === 'elsewhere' && (
          <p role="alert" className="text-slip">
            This plan was changed in another window. Load the page again to see it.
          </p>
        )}
        <div className="ml-auto flex flex-wrap gap-x-3">
          <Button look="quiet" aria-expanded={isChanging} onClick={() => setChanging(!isChanging)}>
            Change the lesson
          </Button>
          <Button onClick={() => void flush().then(() => goTo(`/plan-lesson/${page.id}/wall`))}>
            Show on the wall
          </Button>
        </div>
      </div>
      {isChanging && (
        <LessonSettings
          classId={classId}
          draft={draft}
          laboratories={laboratories}
          cabinet={cabinet}
          onChange={change}
        />
      )}
      {plan.length === 0 || !protocols ? (
        <div role="status" className="mt-6 flex items-center gap-4">
          {state.kind === 'failed' || noProtocols ? (
            <p className="text-slip">{state.kind === 'failed' ? state.message : noProtocols?.message}</p>
          ) : (
            <>
              <progress
                className="h-3 w-60 accent-beam"
                value={state.kind === 'running' ? state.done : 0}
                aria-label="Planning, how much is done"
              />
              Planning …
            </>
          )}
        </div>
      ) : (
        <>
          <div className="mt-4">
            <Answers id={page.id} draft={draft} lesson={lesson} plan={plan} protocols={protocols} />
          </div>
          <div className="mt-4 flex flex-wrap items-center gap-x-5">
            <div role="group" aria-label="View" className="flex gap-x-4">
              {VIEWS.map(({ id, name }) => (
                <button
                  key={id}
                  type="button"
                  aria-pressed={view === id}
                  onClick={() => setView(id)}
                  className={`min-h-11 border-b-2 ${view === id ? 'border-beam font-bold' : 'border-transparent text-muted'}`}
                >
                  {name}
                </button>
              ))}
            </div>
            <div className="ml-auto flex gap-x-2">
              {before.length > 0 && (
                <Button
                  look="quiet"
                  onClick={() => {
                    setDraft({ ...draft, placed: before.at(-1) ?? [] });
                    setBefore(before.slice(0, -1));
                  }}
                >
                  Undo
                </Button>
              )}
              <Button
                look="quiet"
                onClick={() => {
                  place([]);
                  setSeed(seed + 1);
                }}
              >
                Plan again
              </Button>
            </div>
          </div>
          {view === 'cards' ? (
            <Cards lesson={lesson} plan={plan} begins={draft.begins} real={page.real} />
          ) : (
            <>
              <Timeline
                lesson={lesson}
                plan={plan}
                by={view}
                begins={draft.begins}
                minutes={draft.minutes}
                real={page.real}
                now={sinceBegin}
                selected={selected}
                onSelect={setSelected}
                onMove={move}
              />
              <Legend hasReal={page.real.length > 0} />
              {conflicts.length > 0 && (
                <div role="alert" className="mt-3 border-l-[3px] border-slip pl-4">
                  <p className="font-bold text-slip">
                    {conflicts.length === 1 ? 'One thing does not work' : `${conflicts.length} things do not work`}
                  </p>
                  <ul>
                    {conflicts.slice(0, TOLD).map((conflict, i) => (
                      <li key={i}>{conflictInWords(conflict, lesson, plan, draft.begins)}</li>
                    ))}
                  </ul>
                </div>
              )}
              <MoveStep
                lesson={lesson}
                plan={plan}
                begins={draft.begins}
                selected={selected ?? { group: 0, step: lesson.steps[0]?.id ?? '' }}
                onSelect={setSelected}
                onMove={move}
                onTool={(group, kind, tool) => place(withTool(plan, group, kind, tool))}
              />
            </>
          )}
          <WhatIfs lesson={lesson} minutes={needed} onTake={take} />
          <div className="mt-8 grid gap-x-12 gap-y-6 border-t border-hairline pt-5 wide:grid-cols-2">
            <section>
              <Kit lesson={lesson} protocols={protocols} />
            </section>
            <section>
              <Care protocols={protocols} />
            </section>
          </div>
          <p className="mt-8 -ml-2">
            <Confirm
              trigger={<Button look="quiet">Delete this plan</Button>}
              title="Delete this plan?"
              text="Who does what when is deleted. The pages of the groups stay."
              action="Delete"
              onConfirm={() => remove.mutate(undefined, { onSuccess: () => void goTo('/plan-lesson') })}
            />
          </p>
        </>
      )}
    </main>
  );
}
