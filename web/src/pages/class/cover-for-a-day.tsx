import { newCover, type CoverLink, type NewCover } from '@green-beam/contract';
import { yupResolver } from '@hookform/resolvers/yup';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { addHours, endOfDay, format, min } from 'date-fns';
import type { ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { ask } from '../../api/request.ts';
import { newId } from '../../outbox/new-id.ts';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Section } from './section.tsx';
import { useLesson } from './start/use-lesson.ts';

const nobody = (): NewCover => ({
  id: newId(),
  name: '',
  // A link that is made in the evening is not over at once.
  until: min([addHours(new Date(), 23), endOfDay(addHours(new Date(), 4))]).toISOString(),
});

/** A link for whoever covers the class today. */
export function CoverForADay({ classId }: { readonly classId: string }): ReactNode {
  const queries = useQueryClient();
  const { lesson, endCover } = useLesson(classId);
  const { register, handleSubmit, formState, reset } = useForm({
    resolver: yupResolver(newCover),
    defaultValues: nobody(),
  });
  const { mutate, data, error, isPending } = useMutation({
    mutationFn: (body: NewCover) => ask<CoverLink>('POST', `/classes/${classId}/covers`, body),
    onSuccess: () => {
      reset(nobody());
      return queries.invalidateQueries({ queryKey: ['lesson', classId] });
    },
  });
  return (
    <Section title="Somebody else takes the class today">
      <ul>
        {lesson?.covers.map(({ id, name, until }) => (
          <li key={id} className="flex items-center gap-4">
            {name}, until {format(new Date(until), 'HH:mm')}
            <Button look="quiet" onClick={() => endCover(id)} aria-label={`End the cover of ${name}`}>
              End it now
            </Button>
          </li>
        ))}
      </ul>
      <form
        className="mt-3 flex max-w-lg items-start gap-3"
        onSubmit={(event) => void handleSubmit((body) => mutate(body))(event)}
      >
        <div className="flex-1">
          <Field
            label="Who covers the class"
            hint="They need no account. The link works today only, and nothing can be deleted with it."
            error={formState.errors.name?.message ?? error?.message}
            {...register('name')}
          />
        </div>
        <Button type="submit" look="plain" className="mt-6" disabled={isPending}>
          Make the link
        </Button>
      </form>
      {data && (
        <div className="mt-3" role="status">
          <Notice tone="sound" title="Link for the day">
            <p>Give it to whoever covers the class. It works until {format(new Date(data.until), 'HH:mm')}.</p>
            <p className="mt-1 font-mono break-all select-all">{`${window.location.origin}${data.path}`}</p>
          </Notice>
        </div>
      )}
    </Section>
  );
}
