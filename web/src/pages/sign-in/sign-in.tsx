import {
  classCode,
  teacherSignIn,
  type ClassCode,
  type ClassDoor,
  type DemoSignIn,
  type Role,
  type StudentSignIn,
  type TeacherSignIn,
} from '@green-beam/contract';
import { yupResolver } from '@hookform/resolvers/yup';
import { useMutation } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { ask, RefusedError } from '../../api/request.ts';
import { useSessionChange } from '../../api/session.ts';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { ChooseName } from './choose-name.tsx';

function messageFor(error: Error | null, field: string): string | undefined {
  if (!error) return undefined;
  const blamed = error instanceof RefusedError ? error.field : null;
  return blamed === field || blamed === null ? error.message : undefined;
}

function StudentDoor(): ReactNode {
  const [code, setCode] = useState('');
  const look = useMutation({ mutationFn: (body: ClassCode) => ask<ClassDoor>('POST', '/session/class', body) });
  const enter = useSessionChange<StudentSignIn>('POST', () => '/session/student');
  const { register, handleSubmit, formState } = useForm({
    resolver: yupResolver(classCode),
    defaultValues: { code: '' },
  });
  if (look.data) {
    return (
      <ChooseName
        door={look.data}
        busy={enter.isPending}
        error={enter.error?.message}
        onBack={() => look.reset()}
        onChoose={(studentId, pin) => enter.mutate({ code, studentId, pin })}
      />
    );
  }
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(event) => {
        void handleSubmit((body) => {
          setCode(body.code);
          look.mutate(body);
        })(event);
      }}
    >
      <Field
        label="Class code"
        hint="It stands on the board; three letters and three digits."
        className="font-mono text-xl uppercase"
        autoComplete="off"
        error={formState.errors.code?.message ?? messageFor(look.error, 'code')}
        {...register('code')}
      />
      <Button type="submit" disabled={look.isPending} className="self-start">
        Find my class
      </Button>
    </form>
  );
}

function TeacherDoor(): ReactNode {
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
        hint="Forgotten? Your school’s administrator can make a link for a new one."
        error={formState.errors.password?.message ?? enter.error?.message}
        {...register('password')}
      />
      <Button type="submit" look="plain" disabled={enter.isPending} className="self-start">
        Sign in
      </Button>
    </form>
  );
}

const DEMO_ROLES: readonly [role: Role, text: string][] = [
  ['student', 'As Ines, a student'],
  ['teacher', 'As Maren, a teacher'],
  ['administrator', 'As Halima, the administrator'],
];

function DemoDoor(): ReactNode {
  const enter = useSessionChange<DemoSignIn>('POST', () => '/session/demo');
  return (
    <section className="mt-10 border-t border-hairline pt-6">
      <h2 className="text-lg font-bold">Look around Saltmarsh School</h2>
      <p className="text-muted">Sample data, all of it invented. One tap, no password.</p>
      <div className="mt-3 flex flex-wrap gap-3">
        {DEMO_ROLES.map(([role, text]) => (
          <Button key={role} look="plain" disabled={enter.isPending} onClick={() => enter.mutate({ role })}>
            {text}
          </Button>
        ))}
      </div>
      {enter.error && (
        <p role="alert" className="mt-2 text-slip">
          {enter.error.message}
        </p>
      )}
    </section>
  );
}

/** The two doors: a class code for students, e-mail and password for teachers. */
export default function SignIn({ demo }: { readonly demo: boolean }): ReactNode {
  return (
    <main className="mx-auto w-full max-w-4xl px-4 py-10 wide:px-7">
      <h1 className="text-2xl font-bold">Sign in</h1>
      <div className="mt-6 grid gap-10 sm:grid-cols-2">
        <section>
          <h2 className="mb-3 text-lg font-bold">Students</h2>
          <StudentDoor />
        </section>
        <section>
          <h2 className="mb-3 text-lg font-bold">Teachers</h2>
          <TeacherDoor />
        </section>
      </div>
      {demo && <DemoDoor />}
    </main>
  );
}
