import { linkUse, type LinkDoor, type UseLink } from '@green-beam/contract';
import { yupResolver } from '@hookform/resolvers/yup';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { useNavigate, useParams } from 'react-router';
import { ask } from '../../api/request.ts';
import { useSessionChange } from '../../api/session.ts';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { Failed, Loading } from '../../ui/notice.tsx';
import { Refused, refusedIn } from '../../ui/refused.tsx';

const TITLES = {
  administrator: 'Begin with Green Beam',
  invitation: 'Welcome to Green Beam',
  'password-reset': 'Choose a new password',
} as const;

function LinkForm({ token, door }: { readonly token: string; readonly door: LinkDoor }): ReactNode {
  const navigate = useNavigate();
  const use = useSessionChange<UseLink>('POST', () => `/links/${token}`);
  const { register, handleSubmit, formState } = useForm({
    resolver: yupResolver(linkUse),
    defaultValues: { name: '', email: '', schoolName: '', password: '' },
  });
  const { errors } = formState;
  return (
    <form
      className="mt-6 flex flex-col gap-4"
      onSubmit={(event) =>
        void handleSubmit((body) =>
          use.mutate(body, { onSuccess: () => void navigate(door.purpose === 'administrator' ? '/school' : '/class') }),
        )(event)
      }
    >
      {door.purpose === 'administrator' && (
        <>
          <Field
            label="Name of your school"
            error={errors.schoolName?.message ?? refusedIn(use.error, 'schoolName')}
            {...register('schoolName')}
          />
          <Field
            label="Your name"
            autoComplete="name"
            error={errors.name?.message ?? refusedIn(use.error, 'name')}
            {...register('name')}
          />
          <Field
            label="Your e-mail"
            type="email"
            autoComplete="username"
            error={errors.email?.message ?? refusedIn(use.error, 'email')}
            {...register('email')}
          />
        </>
      )}
      <Field
        label="Password"
        type="password"
        autoComplete="new-password"
        hint="At least ten characters."
        error={errors.password?.message ?? refusedIn(use.error, 'password')}
        {...register('password')}
      />
      <Refused error={use.error} />
      <Button type="submit" disabled={use.isPending} className="self-start">
        Go on
      </Button>
    </form>
  );
}

/** Where a one-time link leads: setting up the school, taking up an invitation, or a new password. */
export default function OneTimeLink(): ReactNode {
  const { token = '' } = useParams();
  const { data, error } = useQuery({
    queryKey: ['link', token],
    queryFn: () => ask<LinkDoor>('GET', `/links/${encodeURIComponent(token)}`),
    retry: false,
    staleTime: Infinity,
  });
  return (
    <main className="mx-auto w-full max-w-md px-4 py-10">
      {error && <Failed error={error} />}
      {!data && !error && <Loading what="your link" />}
      {data && (
        <>
          <h1 className="text-2xl font-bold">{TITLES[data.purpose]}</h1>
          <p className="mt-2 text-muted">
            {data.email
              ? `${data.name ?? ''}, ${data.email}${data.schoolName ? `, ${data.schoolName}` : ''}`
              : 'This link makes you the administrator of this installation. It works once.'}
          </p>
          <LinkForm token={token} door={data} />
        </>
      )}
    </main>
  );
}
