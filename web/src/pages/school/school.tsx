import { invitation, type Invitation, type OneTimeLink, type SchoolTeacher } from '@green-beam/contract';
import { yupResolver } from '@hookform/resolvers/yup';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import type { ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { ask } from '../../api/request.ts';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { Failed, Loading, Notice } from '../../ui/notice.tsx';

function LinkMade({ link }: { readonly link: OneTimeLink }): ReactNode {
  return (
    <div className="mt-4" role="status">
      <Notice tone="sound" title="One-time link">
        <p>Give this link to the teacher. It works once, until {format(new Date(link.expires), 'd MMMM')}.</p>
        <p className="mt-1 font-mono break-all select-all">{`${window.location.origin}${link.path}`}</p>
      </Notice>
    </div>
  );
}

/** The administrator’s page: who teaches here, invitations and new passwords. */
export default function School(): ReactNode {
  const queries = useQueryClient();
  const { data: teachers, error } = useQuery({
    queryKey: ['teachers'],
    queryFn: () => ask<SchoolTeacher[]>('GET', '/school/teachers'),
  });
  const { register, handleSubmit, formState, reset } = useForm({
    resolver: yupResolver(invitation),
    defaultValues: { name: '', email: '' },
  });
  const link = useMutation({
    mutationFn: (made: Invitation | { readonly id: string }) =>
      'id' in made
        ? ask<OneTimeLink>('POST', `/school/teachers/${made.id}/reset`)
        : ask<OneTimeLink>('POST', '/school/invitations', made),
    onSuccess: (_, made) => {
      if (!('id' in made)) reset();
      return queries.invalidateQueries({ queryKey: ['teachers'] });
    },
  });
  return (
    <main className="mx-auto w-full max-w-4xl px-4 py-8 wide:px-7">
      <h1 className="text-2xl font-bold">School</h1>
      {error && <Failed error={error} />}
      {!teachers && !error && <Loading what="the teachers" />}
      <ul className="mt-4">
        {teachers?.map((teacher) => (
          <li key={teacher.id} className="flex flex-wrap items-center gap-4 border-t border-hairline">
            <span className="flex-1">
              {teacher.name}
              {teacher.role === 'administrator' ? ', administrator' : ''}
              <span className="block text-small text-muted">
                {teacher.email}
                {teacher.classes.length > 0 ? `; ${teacher.classes.join(', ')}` : ''}
              </span>
            </span>
            <Button
              look="quiet"
              onClick={() => link.mutate({ id: teacher.id })}
              aria-label={`Link for a new password for ${teacher.name}`}
            >
              Link for a new password
            </Button>
          </li>
        ))}
      </ul>
      <h2 className="mt-8 text-lg font-bold">Invite a teacher</h2>
      <form
        className="mt-3 flex max-w-lg flex-col gap-4"
        onSubmit={(event) => void handleSubmit((body) => link.mutate(body))(event)}
      >
        <Field label="Name" error={formState.errors.name?.message} {...register('name')} />
        <Field
          label="E-mail"
          type="email"
          error={formState.errors.email?.message ?? link.error?.message}
          {...register('email')}
        />
        <Button type="submit" className="self-start" disabled={link.isPending}>
          Make the link
        </Button>
      </form>
      {link.data && <LinkMade link={link.data} />}
    </main>
  );
}
