import { teacherSignIn, type TeacherSignIn } from '@green-beam/contract';
import { yupResolver } from '@hookform/resolvers/yup';
import type { ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { useSessionChange } from '../../api/session.ts';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';

/** A teacher signs in with e-mail and password. */
export function TeacherDoor(): ReactNode {
  const enter = useSessionChange<TeacherSignIn>('POST', () => '/session/teacher');
  const { register, handleSubmit, formState } = useForm({
    resolver: yupResolver(teacherSignIn),
    defaultValues: { email: '', password: '' },
  });
  return (
    <form className="flex flex-col gap-4" onSubmit={(event) => void handleSubmit((body) => enter.mutate(body))(event)}>
      <Field
        label="E-mail"
        type="email"
        autoComplete="username"
        error={formState.errors.email?.message}
        {...register('email')}
      />
      <Field
        label="Password"
        type="password"
        autoComplete="current-password"
        hint="Forgotten? The administrator of your school can make a link for a new one."
        error={formState.errors.password?.message ?? enter.error?.message}
        {...register('password')}
      />
      <Button type="submit" look="plain" disabled={enter.isPending} className="self-start">
        Sign in
      </Button>
    </form>
  );
}
