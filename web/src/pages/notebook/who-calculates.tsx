import { arrangementChange, type ArrangementChange, type LaboratoryShown } from '@green-beam/contract';
import { yupResolver } from '@hookform/resolvers/yup';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useId, useState, type ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { ask } from '../../api/request.ts';
import { Button } from '../../ui/button.tsx';
import { Failed, Loading } from '../../ui/notice.tsx';
import { LaboratoryOptions } from './laboratory-options.tsx';
import { laboratoriesKey, useLaboratories } from './use-laboratories.ts';

const OWN_WORK = [
  ['each-student', 'Each student calculates and answers alone. Partners see it after handing in.'],
  ['group', 'The group calculates and answers together.'],
] as const;

const SUMS = [
  ['student', 'the students'],
  ['page', 'the page'],
] as const;

const REVEALS = [
  ['with-own-answer', 'when all readings and the own results are there'],
  ['from-the-start', 'from the start'],
  ['after-handing-in', 'after handing in'],
] as const;

/** One of a few, in words. */
function Choice({
  legend,
  options,
  field,
}: {
  readonly legend: string;
  readonly options: readonly (readonly [string, string])[];
  readonly field: object;
}): ReactNode {
  return (
    <fieldset>
      <legend className="text-small font-semibold">{legend}</legend>
      {options.map(([value, label]) => (
        <label key={value} className="flex min-h-11 items-center gap-3">
          <input type="radio" value={value} className="size-5 accent-beam" {...field} />
          {label}
        </label>
      ))}
    </fieldset>
  );
}

function Decided({
  classId,
  laboratory,
}: {
  readonly classId: string;
  readonly laboratory: LaboratoryShown;
}): ReactNode {
  const queries = useQueryClient();
  const { register, handleSubmit, formState, reset } = useForm({
    resolver: yupResolver(arrangementChange),
    defaultValues: {
      byStudent: [...laboratory.arrangement.byStudent],
      ownWork: laboratory.arrangement.ownWork,
      reveals: laboratory.arrangement.reveals,
      sums: laboratory.arrangement.sums,
    },
  });
  const save = useMutation({
    mutationFn: (body: ArrangementChange) =>
      ask<LaboratoryShown[]>('PUT', `/classes/${classId}/laboratories/${laboratory.id}`, body),
    onSuccess: (all, body) => {
      queries.setQueryData(laboratoriesKey(classId), all);
      reset(body);
    },
  });
  return (
    <form
      className="mt-4 flex flex-col gap-5"
      onSubmit={(event) => void handleSubmit((body) => save.mutate(body))(event)}
    >
      <fieldset>
        <legend className="text-small font-semibold">Left to the students</legend>
        <p className="text-small text-muted">The page works out everything that is not ticked.</p>
        <div className="mt-1 grid grid-cols-[repeat(auto-fill,minmax(13rem,1fr))]">
          {laboratory.canBeLeft.map(({ id, name }) => (
            <label key={id} className="flex min-h-11 items-center gap-3">
              <input type="checkbox" value={id} className="size-5 accent-beam" {...register('byStudent')} />
              {name}
            </label>
          ))}
        </div>
      </fieldset>
      <Choice legend="Whose work it is" options={OWN_WORK} field={register('ownWork')} />
      <Choice legend="Readings written in parts are added up by" options={SUMS} field={register('sums')} />
      <Choice legend="The accepted value is shown" options={REVEALS} field={register('reveals')} />
      {save.error && (
        <p role="alert" className="text-slip">
          {save.error.message}
        </p>
      )}
      <div className="flex items-center gap-4">
        <Button type="submit" look="plain" disabled={save.isPending || !formState.isDirty}>
          Save
        </Button>
        <p role="status" className="text-small text-muted">
          {save.isSuccess && !formState.isDirty ? 'Saved. It holds for laboratories that begin from now on.' : ''}
        </p>
      </div>
    </form>
  );
}

/** For a teacher: what students calculate in a laboratory, and when they see the accepted value. */
export function WhoCalculates({ classId }: { readonly classId: string }): ReactNode {
  const id = useId();
  const [chosen, setChosen] = useState('');
  const { data: laboratories, error } = useLaboratories(classId);
  if (!laboratories) return error ? <Failed error={error} /> : <Loading what="the laboratories" />;
  const laboratory = laboratories.find((one) => one.id === chosen);
  return (
    <section className="mt-10 max-w-3xl border-t border-hairline pt-6">
      <h2 className="text-lg font-bold">Who calculates</h2>
      <label htmlFor={id} className="mt-3 flex flex-col text-small font-semibold">
        In the laboratory
      </label>
      <select
        id={id}
        value={chosen}
        onChange={(event) => setChosen(event.target.value)}
        className="min-h-11 w-full max-w-sm border-b-2 border-ink bg-surface px-2"
      >
        <option value="" disabled>
          choose
        </option>
        <LaboratoryOptions laboratories={laboratories} />
      </select>
      {laboratory && <Decided key={laboratory.id} classId={classId} laboratory={laboratory} />}
    </section>
  );
}
