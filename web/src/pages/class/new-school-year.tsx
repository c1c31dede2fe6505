import { newYear, type ClassDetails, type ClassSummary, type NewYear } from '@green-beam/contract';
import { yupResolver } from '@hookform/resolvers/yup';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { ask } from '../../api/request.ts';
import { newId } from '../../outbox/new-id.ts';
import { Button, buttonClass } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { chooseClass } from '../current-class.ts';
import { Section } from './section.tsx';

/** Begins the class of the next school year from this one. */
export function NewSchoolYear({ details }: { readonly details: ClassDetails }): ReactNode {
  const queries = useQueryClient();
  const present = details.roster.filter(({ archived }) => !archived);
  const { register, handleSubmit, formState } = useForm({
    resolver: yupResolver(newYear),
    defaultValues: { id: newId(), name: '', studentIds: present.map(({ id }) => id) },
  });
  const begin = useMutation({
    mutationFn: (body: NewYear) => ask<ClassSummary>('POST', `/classes/${details.id}/new-year`, body),
    onSuccess: async (made) => {
      await queries.invalidateQueries({ queryKey: ['classes'] });
      chooseClass(made.id);
    },
  });
  if (details.archived) return null;
  return (
    <Section title="New school year">
      <details className="mt-1">
        <summary className="min-h-11 cursor-pointer py-2 font-semibold underline decoration-hairline underline-offset-4">
          Go on with this class in a new year
        </summary>
        <p className="max-w-prose">
          The new class has the same teachers, class rules and equipment. The students you choose keep their PINs and
          begin their progress anew. This class goes to the archive with all its work.
        </p>
        <p className="mt-2">
          <a className={`${buttonClass('quiet')} -ml-2`} href={`/api/classes/${details.id}/students-data`} download>
            Download each student’s own data first
          </a>
        </p>
        <form
          className="mt-2 flex flex-col gap-4"
          onSubmit={(event) => void handleSubmit((body) => begin.mutate(body))(event)}
        >
          <div className="max-w-lg">
            <Field
              label="Name of the new class"
              error={formState.errors.name?.message ?? begin.error?.message}
              {...register('name')}
            />
          </div>
          <fieldset>
            <legend className="text-small font-semibold">Who goes on</legend>
            <div className="mt-1 grid grid-cols-[repeat(auto-fill,minmax(9rem,1fr))]">
              {present.map(({ id, label }) => (
                <label key={id} className="flex min-h-11 items-center gap-2">
                  <input type="checkbox" value={id} className="size-5 accent-beam" {...register('studentIds')} />
                  {label}
                </label>
              ))}
            </div>
          </fieldset>
          <Button type="submit" look="plain" className="self-start" disabled={begin.isPending}>
            Begin the new year
          </Button>
        </form>
      </details>
    </Section>
  );
}
