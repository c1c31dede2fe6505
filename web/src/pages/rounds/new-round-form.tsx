import { newSetRound, type NewSetRound, type SetRoundShown } from '@green-beam/contract';
import {
  DEFAULT_RULES,
  EXERCISE_KINDS,
  exerciseSubject,
  instrumentById,
  instrumentIds,
  practiceSlipById,
  PRESETS,
  shownOnPaper,
  SKILLS,
  SLIPS,
} from '@green-beam/core';
import { yupResolver } from '@hookform/resolvers/yup';
import { useQuery, type UseMutationResult } from '@tanstack/react-query';
import { useMemo, useState, type ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { ask } from '../../api/request.ts';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { useToolChoices } from '../cabinet/use-cabinet.ts';

const TOOLS = instrumentIds().map(instrumentById);
const FAMILIES = SKILLS.map((skill) => ({ ...skill, tools: TOOLS.filter((tool) => tool.skill === skill.id) })).filter(
  ({ tools }) => tools.length > 0,
);
/** Slips that a reading can be built around, and those of the exercises named. */
const READING_AIMS = SLIPS.filter(
  ({ stage, id }) => stage === 'sight' || stage === 'count' || stage === 'correction' || id === 'trailing-zero-dropped',
);

function aimsOf(kinds: readonly string[]): { readonly id: string; readonly name: string }[] {
  return [...new Set(kinds.flatMap((kind) => exerciseSubject(kind).aims(DEFAULT_RULES)))].map(practiceSlipById);
}

interface NewRoundFormProps {
  readonly classId: string;
  readonly change: UseMutationResult<SetRoundShown[], Error, NewSetRound | string>;
  readonly onDone: () => void;
}

interface TicksProps {
  readonly legend: string;
  readonly options: readonly { readonly id: string; readonly name: string }[];
  readonly chosen: readonly string[];
  readonly onChange: (chosen: readonly string[]) => void;
  readonly error?: string | undefined;
}

function Ticks({ legend, options, chosen, onChange, error }: TicksProps): ReactNode {
  return (
    <fieldset>
      <legend className="text-small font-semibold">{legend}</legend>
      <div className="mt-1 flex flex-wrap gap-x-6">
        {options.map(({ id, name }) => (
          <label key={id} className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-beam"
              checked={chosen.includes(id)}
              onChange={(event) =>
                onChange(event.target.checked ? [...chosen, id] : chosen.filter((one) => one !== id))
              }
            />
            {name}
          </label>
        ))}
      </div>
      {error !== undefined && (
        <p role="alert" className="text-small text-slip">
          {error}
        </p>
      )}
    </fieldset>
  );
}

/** Sets a round: what is worked, how often, at what it aims, by when, by whom, and by which rules. */
export function NewRoundForm({ classId, change, onDone }: NewRoundFormProps): ReactNode {
  const { data: students = [] } = useQuery({
    queryKey: ['classmates', classId],
    queryFn: () => ask<{ id: string; label: string }[]>('GET', `/classes/${classId}/classmates`),
  });
  const { register, handleSubmit, formState, watch, setValue } = useForm({
    resolver: yupResolver(newSetRound),
    defaultValues: {
      title: '',
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
  const [families, setFamilies] = useState<readonly string[]>([]);
  const [kinds, setKinds] = useState<readonly string[]>([]);
  const { errors } = formState;
  const [aims, chosen, onPaper, toolIds] = [watch('aims'), watch('studentIds'), watch('onPaper'), watch('toolIds')];
  const tools = useToolChoices(classId);
  // Where only exercises are set, nothing is read.
  const reading = kinds.length === 0 || families.length > 0 || toolIds.length > 0;
  const readingAims = reading ? READING_AIMS.filter(({ id }) => !onPaper || shownOnPaper(id)) : [];
  const exerciseAims = useMemo(() => aimsOf(kinds), [kinds]);
  const setSubjects = (chosenFamilies: readonly string[], chosenKinds: readonly string[]): void => {
    setFamilies(chosenFamilies);
    setKinds(chosenKinds);
    setValue('subjectIds', [
      ...FAMILIES.filter(({ id }) => chosenFamilies.includes(id)).flatMap((family) => family.tools.map(({ id }) => id)),
      ...chosenKinds,
    ]);
    setValue('aims', []);
  };
  const send = handleSubmit((round) =>
    change.mutate(
      { ...round, dueAt: round.dueAt === null ? null : new Date(round.dueAt).toISOString() },
      { onSuccess: onDone },
    ),
  );
  return (
    <form className="mt-4 flex flex-col gap-6 border-y border-ink py-6" onSubmit={(event) => void send(event)}>
      <div className="grid gap-4 sm:grid-cols-[minmax(0,1fr)_8rem_8rem_14rem]">
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
        legend="Tools (nothing ticked here or below: every tool)"
        options={FAMILIES}
        chosen={families}
        onChange={(ids) => {
          setValue('toolIds', []);
          setSubjects(ids, kinds);
        }}
      />
      {tools.length > 0 && (
        <Ticks
          legend="Or the very tools of the cabinet, with the zero errors they have"
          options={tools.map(({ id, code, instrumentId }) => ({
            id,
            name: `${code}, ${instrumentById(instrumentId).name}`,
          }))}
          chosen={toolIds}
          onChange={(ids) => {
            setValue('toolIds', [...ids]);
            if (ids.length > 0) setSubjects([], kinds);
          }}
          error={errors.toolIds?.message}
        />
      )}
      <Ticks
        legend="Exercises in numbers"
        options={EXERCISE_KINDS}
        chosen={kinds}
        onChange={(ids) => setSubjects(families, ids)}
        error={errors.subjectIds?.message}
      />
      <Ticks
        legend="Aim at these slips (none ticked: find out which each student makes)"
        options={[...readingAims, ...exerciseAims.filter(({ id }) => !readingAims.some((aim) => aim.id === id))]}
        chosen={aims}
        onChange={(ids) => setValue('aims', [...ids])}
        error={errors.aims?.message}
      />
      <div className="flex flex-wrap gap-x-10 gap-y-2">
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
            <input type="checkbox" className="size-5 accent-beam" {...register('hints')} /> Hints can be asked for
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
      {change.error && (
        <p role="alert" className="text-slip">
          {change.error.message}
        </p>
      )}
      <div className="flex gap-3">
        <Button type="submit" disabled={change.isPending}>
          Set this round
        </Button>
        <Button look="quiet" onClick={onDone}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
