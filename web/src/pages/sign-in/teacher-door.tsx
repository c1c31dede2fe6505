import { TEACHER_IDLE_MINUTES, teacherSignIn, type TeacherSignIn } from '@green-beam/contract';
import { yupResolver } from '@hookform/resolvers/yup';
import type { ReactNode } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { RefusedError } from '../../api/request.ts';
import { useSessionChange } from '../../api/session.ts';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { SharedLaptop } from './shared-laptop.tsx';

/** A teacher signs in with e-mail and password. */
export function TeacherDoor(): ReactNode {
  const enter = useSessionChange<TeacherSignIn>('POST', () => '/session/teacher');
  const { register, handleSubmit, formState, control } = useForm({
    resolver: yupResolver(teacherSignIn),
    defaultValues: { email: '', password: '', school: '', shared: true },
  });
  const asksForSchool = enter.error instanceof RefusedError && enter.error.field === 'school';
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
        error={formState.errors.password?.message ?? (asksForSchool ? undefined : enter.error?.message)}
        {...register('password')}
      />
      {asksForSchool && <Field label="School" error={enter.error?.message} {...register('school')} />}
      <Controller
        control={control}
        name="shared"
        render={({ field }) => (
          <SharedLaptop shared={field.value} onChange={field.onChange} idleMinutes={TEACHER_IDLE_MINUTES} />
        )}
      />
      <Button type="submit" look="plain" disabled={enter.isPending} className="self-start">
        Sign in
      </Button>
    </form>
  );
}
