import { newSetRound, type NewSetRound, type SetRoundShown } from '@green-beam/contract';
import {
  completeRules,
  DEFAULT_RULES,
  EXERCISE_KINDS,
  instrumentById,
  PRESETS,
  shownOnPaper,
  toolFamilies,
} from '@green-beam/core';
import { yupResolver } from '@hookform/resolvers/yup';
import { useQuery, type UseMutationResult } from '@tanstack/react-query';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { ask } from '../../../api/request.ts';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { useHouseRules } from '../../../rules/house-rules.ts';
import { Field } from '../../../ui/field.tsx';
import { FormEnd } from '../../../ui/form-end.tsx';
import { useToolChoices } from '../../cabinet/use-cabinet.ts';
import { AimsChoice } from './aims-choice.tsx';
import { ExampleItem } from './example-item.tsx';
import { suggestedTitle } from './suggested-title.ts';
import { Ticks } from '../../../ui/ticks.tsx';

const FAMILIES = toolFamilies();

interface NewSetFormProps {
  readonly classId: string;
  readonly change: UseMutationResult<SetRoundShown[], Error, NewSetRound | string>;
  readonly onDone: () => void;
}

const FOLD = 'cursor-pointer min-h-9 content-center font-semibold';

/** A new practice set: what is worked and at what it aims, with an example beside it; the rest is folded. */
export function NewSetForm({ classId, change, onDone }: NewSetFormProps): ReactNode {
  const { data: students = [] } = useQuery({
    queryKey: ['classmates', classId],
    queryFn: () => ask<{ id: string; label: string }[]>('GET', `/classes/${classId}/classmates`),
  });
  const { register, handleSubmit, formState, watch, setValue } = useForm({
    resolver: yupResolver(newSetRound),
    defaultValues: {
      title: suggestedTitle([], []),
      subjectIds: [],
      toolIds: [],
      length: 10,
      aims: [],
      tries: 2,
      hints: true,
      dueAt: null,
      studentIds: null,
      preset: null,
      onPaper: false,
    },
  });
  const { errors, dirtyFields } = formState;
  const numerals = useNumerals();
  const [families, setFamilies] = useState<readonly string[]>([]);
  const [kinds, setKinds] = useState<readonly string[]>([]);
  const [aims, chosen, onPaper, toolIds, preset] = watch(['aims', 'studentIds', 'onPaper', 'toolIds', 'preset']);
  const tools = useToolChoices(classId);
  const { rules: ofClass } = useHouseRules(classId);
  const rules = useMemo(
    () => completeRules(PRESETS.find(({ id }) => id === preset)?.rules ?? ofClass?.rules ?? DEFAULT_RULES),
    [preset, ofClass],
  );
  const subjectIds = useMemo(
    () => [
      ...FAMILIES.filter(({ id }) => families.includes(id)).flatMap((family) => family.tools.map(({ id }) => id)),
      ...kinds,
    ],
    [families, kinds],
  );
  // The very tools of the equipment stand for their kinds.
  const worked = useMemo(() => {
    const ofTools = tools.filter(({ id }) => toolIds.includes(id)).map(({ instrumentId }) => instrumentId);
    return ofTools.length > 0 ? [...new Set(ofTools), ...kinds] : subjectIds;
  }, [tools, toolIds, kinds, subjectIds]);
  useEffect(() => {
    setValue('subjectIds', subjectIds);
  }, [subjectIds, setValue]);
  const hasOwnTitle = dirtyFields.title ?? false;
  useEffect(() => {
    const named = tools.filter(({ id }) => toolIds.includes(id));
    if (!hasOwnTitle) setValue('title', numerals(suggestedTitle(named.length > 0 ? kinds : subjectIds, named)));
  }, [hasOwnTitle, subjectIds, kinds, toolIds, tools, numerals, setValue]);
  const choose = (chosenFamilies: readonly string[], chosenKinds: readonly string[]): void => {
    setFamilies(chosenFamilies);
    setKinds(chosenKinds);
    setValue('aims', []);
  };
  const send = handleSubmit((set) =>
    change.mutate(
      { ...set, dueAt: set.dueAt === null ? null : new Date(set.dueAt).toISOString() },
      { onSuccess: onDone },
    ),
  );
  return (
    <form
      className="mt-4 grid items-start gap-x-8 gap-y-5 border-t border-ink py-4 wide:grid-cols-[minmax(0,1fr)_24rem]"
      onSubmit={(event) => void send(event)}
    >
      <div className="flex flex-col gap-4">
        <div className="grid gap-x-4 gap-y-2 sm:grid-cols-[minmax(0,1fr)_5rem_6rem_13rem]">
          <Field label="Title" error={errors.title?.message} {...register('title')} />
          <Field
            label="Items"
            type="number"
            min={1}
            max={30}
            error={errors.length?.message}
            {...register('length', { valueAsNumber: true })}
          />
          <Field
            label="Tries each"
            type="number"
            min={1}
            max={3}
            readOnly={onPaper}
            error={errors.tries?.message}
            {...register('tries', { valueAsNumber: true })}
          />
          <Field
            label="Due"
            type="datetime-local"
            error={errors.dueAt?.message}
            {...register('dueAt', { setValueAs: (value: string | null) => (value === '' ? null : value) })}
          />
        </div>
        <Ticks
          legend="Tools (none: every tool)"
          options={FAMILIES}
          chosen={families}
          onChange={(ids) => {
            setValue('toolIds', []);
            choose(ids, kinds);
          }}
        />
        <details open={kinds.length > 0 || undefined}>
          <summary className={FOLD}>Exercises with numbers</summary>
          <Ticks
            legend="Exercises with numbers"
            hidesLegend
            options={EXERCISE_KINDS}
            chosen={kinds}
            onChange={(ids) => choose(families, ids)}
            error={errors.subjectIds?.message}
          />
        </details>
        <AimsChoice
          classId={classId}
          subjectIds={worked}
          rules={rules}
          onPaper={onPaper}
          chosen={aims}
          onChange={(ids) => setValue('aims', [...ids])}
          error={errors.aims?.message}
        />
        <details open={chosen !== null || errors.studentIds !== undefined || errors.toolIds !== undefined || undefined}>
          <summary className={FOLD}>More: on paper, hints, method, students, your own tools</summary>
          <div className="flex flex-wrap gap-x-8">
            <label className="flex min-h-11 items-center gap-2">
              Worked
              <select
                aria-label="Where it is worked"
                className="min-h-11 bg-surface px-2"
                value={onPaper ? 'paper' : 'bench'}
                onChange={(event) => {
                  const paper = event.target.value === 'paper';
                  setValue('onPaper', paper);
                  setValue('tries', paper ? 1 : 2);
                  setValue('hints', !paper);
                  setValue(
                    'aims',
                    aims.filter((id) => !paper || shownOnPaper(id)),
                  );
                }}
              >
                <option value="bench">on the bench</option>
                <option value="paper">on paper, one try each</option>
              </select>
            </label>
            {!onPaper && (
              <label className="flex min-h-11 items-center gap-2">
                <input type="checkbox" className="size-5 accent-beam" {...register('hints')} /> With hints
              </label>
            )}
            <label className="flex min-h-11 items-center gap-2">
              By
              <select
                className="min-h-11 bg-surface px-2"
                {...register('preset', { setValueAs: (value: string | null) => (value === '' ? null : value) })}
              >
                <option value="">the class rules</option>
                {PRESETS.map(({ id, name }) => (
                  <option key={id} value={id}>
                    {name}
                  </option>
                ))}
              </select>
            </label>
            <label className="flex min-h-11 items-center gap-2">
              For
              <select
                className="min-h-11 bg-surface px-2"
                value={chosen === null ? 'all' : 'some'}
                onChange={(event) => setValue('studentIds', event.target.value === 'all' ? null : [])}
              >
                <option value="all">the whole class</option>
                <option value="some">some students</option>
              </select>
            </label>
          </div>
          {chosen !== null && (
            <Ticks
              legend="Students"
              options={students.map(({ id, label }) => ({ id, name: label }))}
              chosen={chosen}
              onChange={(ids) => setValue('studentIds', [...ids])}
              error={errors.studentIds?.message}
            />
          )}
          {tools.length > 0 && (
            <Ticks
              legend="Your own tools, with the zero errors they have"
              options={tools.map(({ id, code, instrumentId }) => ({
                id,
                name: numerals(`${code}, ${instrumentById(instrumentId).name}`),
              }))}
              chosen={toolIds}
              onChange={(ids) => {
                setValue('toolIds', [...ids]);
                if (ids.length > 0) choose([], kinds);
              }}
              error={errors.toolIds?.message}
            />
          )}
        </details>
      </div>
      <div className="flex flex-col gap-4 wide:border-l wide:border-hairline wide:pl-6">
        <ExampleItem subjectIds={worked} aims={aims} onPaper={onPaper} rules={rules} />
        <FormEnd action="Set this practice" isSending={change.isPending} error={change.error} onCancel={onDone} />
      </div>
    </form>
  );
}
