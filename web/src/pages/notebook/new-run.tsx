import { newRun, type NewRun, type RunPage, type SignedIn } from '@green-beam/contract';
import { yupResolver } from '@hookform/resolvers/yup';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { ask } from '../../api/request.ts';
import { newId } from '../../outbox/new-id.ts';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { Failed, Loading } from '../../ui/notice.tsx';
import { LaboratoryOptions } from './laboratory-options.tsx';
import { useLaboratories } from './use-laboratories.ts';

/** Begins a laboratory with whoever works together. */
export function NewRunForm({
  classId,
  signedIn,
}: {
  readonly classId: string;
  readonly signedIn: SignedIn;
}): ReactNode {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const { data: classmates, error } = useQuery({
    queryKey: ['classmates', classId],
    queryFn: () => ask<{ id: string; label: string }[]>('GET', `/classes/${classId}/classmates`),
  });
  const { register, handleSubmit, formState, control } = useForm({
    resolver: yupResolver(newRun),
    defaultValues: { id: newId(), protocolId: '', specimen: '', memberIds: [] as string[] },
  });
  const { data: laboratories, error: noLaboratories } = useLaboratories(classId);
  const protocolId = useWatch({ control, name: 'protocolId' });
  const chosen = laboratories?.find(({ id }) => id === protocolId);
  const begin = useMutation({
    mutationFn: (body: NewRun) => ask<RunPage>('POST', `/classes/${classId}/runs`, body),
    onSuccess: async (page) => {
      await queries.invalidateQueries({ queryKey: ['runs', classId] });
      await navigate(`/notebook/${page.id}`);
    },
  });
  // With names still to come the button would move from under the finger.
  if (!classmates || !laboratories) {
    const failed = error ?? noLaboratories;
    return failed ? <Failed error={failed} /> : <Loading what="your class" />;
  }
  return (
    <form className="max-w-3xl" onSubmit={(event) => void handleSubmit((body) => begin.mutate(body))(event)}>
      <div className="mt-3 grid gap-4 sm:grid-cols-2">
        <label className="flex flex-col gap-1 text-small font-semibold">
          Laboratory
          <select
            className="min-h-11 border-b-2 border-ink bg-surface px-2 text-base font-normal"
            {...register('protocolId')}
          >
            <option value="" disabled>
              choose
            </option>
            <LaboratoryOptions laboratories={laboratories} />
          </select>
          {formState.errors.protocolId && (
            <span role="alert" className="font-normal text-slip">
              {formState.errors.protocolId.message}
            </span>
          )}
        </label>
        <Field
          label="What you measure"
          placeholder={chosen?.setting ?? 'bronze deck nail'}
          error={formState.errors.specimen?.message}
          {...register('specimen')}
        />
      </div>
      {chosen && (
        <p className="mt-2 text-muted">
          {chosen.purpose} About {chosen.minutes} minutes.
        </p>
      )}
      <fieldset className="mt-4">
        <legend className="text-small font-semibold">Who works with you</legend>
        <p className="text-small text-muted">
          Partners who entered their PIN on this laptop join at once. The others are asked when they sign in.
        </p>
        <div className="mt-1 grid grid-cols-[repeat(auto-fill,minmax(9rem,1fr))]">
          {classmates
            .filter((one) => one.id !== signedIn.person.id)
            .map((one) => (
              <label key={one.id} className="flex min-h-11 items-center gap-2">
                <input type="checkbox" value={one.id} className="size-5 accent-beam" {...register('memberIds')} />
                {one.label}
              </label>
            ))}
        </div>
      </fieldset>
      {begin.error && (
        <p role="alert" className="mt-2 text-slip">
          {begin.error.message}
        </p>
      )}
      <Button type="submit" className="mt-4" disabled={begin.isPending}>
        Begin
      </Button>
    </form>
  );
}
