import { schoolChange, type SchoolDetails } from '@green-beam/contract';
import { yupResolver } from '@hookform/resolvers/yup';
import type { ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { useSchoolChange } from './use-school-change.ts';

/** After how many idle minutes students are signed out on shared laptops. */
export function IdleTime({ idleMinutes }: { readonly idleMinutes: number }): ReactNode {
  const { mutate, isPending, isSuccess, error } = useSchoolChange<SchoolDetails>();
  const { register, handleSubmit, formState } = useForm({
    resolver: yupResolver(schoolChange),
    defaultValues: { idleMinutes },
  });
  return (
    <section className="mt-8 border-t border-hairline pt-4">
      <h2 className="text-lg font-bold">Shared laptops</h2>
      <form
        className="mt-3 flex max-w-lg flex-col gap-3"
        onSubmit={(event) => void handleSubmit((body) => mutate(['PATCH', '', body]))(event)}
      >
        <Field
          label="Minutes without work until a student is signed out"
          type="number"
          inputMode="numeric"
          className="max-w-32"
          error={formState.errors.idleMinutes?.message ?? error?.message}
          {...register('idleMinutes', { valueAsNumber: true })}
        />
        <div className="flex items-center gap-4">
          <Button type="submit" look="plain" disabled={isPending}>
            Save
          </Button>
          <span role="status">{isSuccess && 'Saved. It holds for everybody who signs in from now on.'}</span>
        </div>
      </form>
    </section>
  );
}
