import { schoolChange, type SchoolDetails } from '@green-beam/contract';
import { yupResolver } from '@hookform/resolvers/yup';
import type { ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { useSchoolChange } from './use-school-change.ts';

/** An empty field is no number. */
const numberIn = (text: string | number | null): number | null => (text === '' || text === null ? null : Number(text));

/** How long sessions last on shared laptops, and how long archived classes are kept. */
export function SchoolRules({
  idleMinutes,
  keepArchivedMonths,
}: Pick<SchoolDetails, 'idleMinutes' | 'keepArchivedMonths'>): ReactNode {
  const { mutate, isPending, isSuccess, error } = useSchoolChange<SchoolDetails>();
  const { register, handleSubmit, formState } = useForm({
    resolver: yupResolver(schoolChange),
    defaultValues: { idleMinutes, keepArchivedMonths },
  });
  return (
    <section className="mt-8 border-t border-hairline pt-4">
      <h2 className="text-lg font-bold">Sessions and old classes</h2>
      <form
        className="mt-3 flex max-w-lg flex-col gap-4"
        onSubmit={(event) => void handleSubmit((body) => mutate(['PATCH', '', body]))(event)}
      >
        <Field
          label="Minutes without work until a student is signed out"
          hint="On shared laptops, for everybody who signs in from now on."
          inputMode="numeric"
          className="max-w-32"
          error={formState.errors.idleMinutes?.message}
          {...register('idleMinutes', { setValueAs: numberIn })}
        />
        <Field
          label="Months until an archived class is deleted"
          hint="With its students, their names and all their work. Leave it empty to keep archived classes."
          inputMode="numeric"
          className="max-w-32"
          error={formState.errors.keepArchivedMonths?.message ?? error?.message}
          {...register('keepArchivedMonths', { setValueAs: numberIn })}
        />
        <div className="flex items-center gap-4">
          <Button type="submit" look="plain" disabled={isPending}>
            Save
          </Button>
          <span role="status">{isSuccess && 'Saved.'}</span>
        </div>
      </form>
    </section>
  );
}
