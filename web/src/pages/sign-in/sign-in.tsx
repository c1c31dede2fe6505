import { classCode, type Admission, type ClassCode, type ClassDoor, type StudentSignIn } from '@green-beam/contract';
import { yupResolver } from '@hookform/resolvers/yup';
import { useMutation } from '@tanstack/react-query';
import { useCallback, useEffect, useState, type ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { useParams } from 'react-router';
import { ask, RefusedError } from '../../api/request.ts';
import { useSessionChange } from '../../api/session.ts';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { AskToJoin } from './ask-to-join.tsx';
import { ChooseName } from './choose-name.tsx';
import { DemoDoor } from './demo-door.tsx';
import { TeacherDoor } from './teacher-door.tsx';

function messageFor(error: Error | null, field: string): string | undefined {
  if (!error) return undefined;
  const blamed = error instanceof RefusedError ? error.field : null;
  return blamed === field || blamed === null ? error.message : undefined;
}

function StudentDoor(): ReactNode {
  const { code: scanned = '' } = useParams();
  const [code, setCode] = useState(scanned);
  const [asks, setAsks] = useState(false);
  const look = useMutation({ mutationFn: (body: ClassCode) => ask<ClassDoor>('POST', '/session/class', body) });
  const enter = useSessionChange<StudentSignIn>('POST', () => '/session/student');
  const { register, handleSubmit, formState } = useForm({
    resolver: yupResolver(classCode),
    defaultValues: { code: scanned },
  });
  const find = look.mutate;
  // Who has scanned the code from the wall needs not press anything.
  useEffect(() => {
    if (scanned !== '') find({ code: scanned });
  }, [scanned, find]);
  const come = enter.mutate;
  const onAdmitted = useCallback(
    ({ id: studentId, pin }: Admission) => come({ code, studentId, pin, shared: true }),
    [come, code],
  );
  if (look.data && asks)
    return (
      <AskToJoin code={code} className={look.data.className} onAdmitted={onAdmitted} onBack={() => setAsks(false)} />
    );
  if (look.data) {
    return (
      <ChooseName
        door={look.data}
        busy={enter.isPending}
        error={enter.error}
        onBack={() => look.reset()}
        onAsk={() => setAsks(true)}
        onChoose={(entered) => enter.mutate({ code, ...entered })}
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
        hint="Three letters and three digits. Your teacher shows it to you."
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
