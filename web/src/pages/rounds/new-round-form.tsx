import { newSetRound, type NewSetRound, type SetRoundShown } from '@green-beam/contract';
import { instrumentIds, instrumentById, PRESETS, shownOnPaper, SKILLS, SLIPS } from '@green-beam/core';
import { yupResolver } from '@hookform/resolvers/yup';
import { useQuery, type UseMutationResult } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { ask } from '../../api/request.ts';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { useToolChoices } from '../cabinet/use-cabinet.ts';

const TOOLS = instrumentIds().map(instrumentById);
const FAMILIES = SKILLS.map((skill) => ({ ...skill, tools: TOOLS.filter((tool) => tool.skill === skill.id) })).filter(({ tools }) => tools.length > 0);
/** Slips that an item can be built around. */
const AIMS = SLIPS.filter(({ stage, id }) => stage === 'sight' || stage === 'count' || stage === 'correction' || id === 'trailing-zero-dropped');

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
            <input type="checkbox" className="size-5 accent-beam" checked={chosen.includes(id)} onChange={(event) => onChange(event.target.checked ? [...chosen, id] : chosen.filter((one) => one !== id))} />
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

/** Sets a round: what is read, how often, at what it aims, by when, by whom, and by which rules. */
export function NewRoundForm({ classId, change, onDone }: NewRoundFormProps): ReactNode {
  const { data: students = [] } = useQuery({ queryKey: ['classmates', classId], queryFn: () => ask<{ id: string; label: string }[]>('GET', `/classes/${classId}/classmates`) });
  const { register, handleSubmit, formState, watch, setValue } = useForm({ resolver: yupResolver(newSetRound), defaultValues: { title: '', instrumentIds: [], toolIds: [], length: 10, aims: [], tries: 2, hints: true, dueAt: null, studentIds: null, preset: null, onPaper: false } });
  const [families, setFamilies] = useState<readonly string[]>([]);
  const { errors } = formState;
  const [aims, chosen, onPaper, toolIds] = [watch('aims'), watch('studentIds'), watch('onPaper'), watch('toolIds')];
  const tools = useToolChoices(classId);
  const showing = onPaper ? AIMS.filter(({ id }) => shownOnPaper(id)) : AIMS;
  const send = handleSubmit((round) => change.mutate({ ...round, dueAt: round.dueAt === null ? null : new Date(round.dueAt).toISOString() }, { onSuccess: onDone }));
  return (
    <form className="mt-4 flex flex-col gap-6 border-y border-ink py-6" onSubmit={(event) => void send(event)}>
      <div className="grid gap-4 sm:grid-cols-[minmax(0,1fr)_8rem_8rem_14rem]">
        <Field label="Title" error={errors.title?.message} {...register('title')} />
        <Field label="Readings" type="number" min={1} max={30} error={errors.length?.message} {...register('length', { valueAsNumber: true })} />
        <Field label="Tries each" type="number" min={1} max={3} readOnly={onPaper ?? false} error={errors.tries?.message} {...register('tries', { valueAsNumber: true })} />
        <Field label="Due" type="datetime-local" error={errors.dueAt?.message} {...register('dueAt', { setValueAs: (value: string | null) => (value === '' ? null : value) })} />
      </div>
      <Ticks
        legend="Tools (none ticked: every tool)"
        options={FAMILIES}
        chosen={families}
        onChange={(ids) => {
          setFamilies(ids);
          setValue('toolIds', []);
          setValue('instrumentIds', FAMILIES.filter(({ id }) => ids.includes(id)).flatMap(({ tools }) => tools.map(({ id }) => id)));
        }}
      />
      {tools.length > 0 && (
        <Ticks
          legend="Or the very tools of the cabinet, with the zero errors they have"
          options={tools.map(({ id, code, instrumentId }) => ({ id, name: `${code}, ${instrumentById(instrumentId).name}` }))}
          chosen={toolIds ?? []}
          onChange={(ids) => {
            setValue('toolIds', [...ids]);
            if (ids.length > 0) setFamilies([]);
          }}
          error={errors.toolIds?.message}
        />
      )}
      <Ticks legend="Aim at these slips (none ticked: find out which each student makes)" options={showing} chosen={aims ?? []} onChange={(ids) => setValue('aims', [...ids])} error={errors.aims?.message} />
      <div className="flex flex-wrap gap-x-10 gap-y-2">
        <label className="flex min-h-11 items-center gap-2">
          Read
          <select
            aria-label="Where it is read"
            className="min-h-11 bg-surface px-2"
            value={onPaper ? 'paper' : 'bench'}
            onChange={(event) => {
              const paper = event.target.value === 'paper';
              setValue('onPaper', paper);
              setValue('tries', paper ? 1 : 2);
              setValue('hints', !paper);
              setValue('aims', (aims ?? []).filter((id) => !paper || shownOnPaper(id)));
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
          <select className="min-h-11 bg-surface px-2" {...register('preset', { setValueAs: (value: string | null) => (value === '' ? null : value) })}>
            <option value="">the class’s house rules</option>
            {PRESETS.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <label className="flex min-h-11 items-center gap-2">
          For
          <select className="min-h-11 bg-surface px-2" value={chosen === null ? 'all' : 'some'} onChange={(event) => setValue('studentIds', event.target.value === 'all' ? null : [])}>
            <option value="all">the whole class</option>
            <option value="some">some students</option>
          </select>
        </label>
      </div>
      {chosen !== null && chosen !== undefined && <Ticks legend="Students" options={students.map(({ id, label }) => ({ id, name: label }))} chosen={chosen} onChange={(ids) => setValue('studentIds', [...ids])} error={errors.studentIds?.message} />}
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
