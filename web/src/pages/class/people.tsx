import { coTeacher, newClass, type ClassDetails, type ClassSummary } from '@green-beam/contract';
import { yupResolver } from '@hookform/resolvers/yup';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { ask } from '../../api/request.ts';
import { Button, buttonClass } from '../../ui/button.tsx';
import { Confirm } from '../../ui/confirm.tsx';
import { Field } from '../../ui/field.tsx';
import { Failed, Loading } from '../../ui/notice.tsx';
import { chooseClass } from '../current-class.ts';
import { ImportRoster } from './import-roster.tsx';

type Change = readonly [method: 'POST' | 'PATCH' | 'DELETE', path: string, body?: unknown];

function useClassChange(classId: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ([method, path, body]: Change) => ask<ClassDetails | undefined>(method, `/classes/${classId}${path}`, body),
    onSuccess: () => Promise.all([queries.invalidateQueries({ queryKey: ['class', classId] }), queries.invalidateQueries({ queryKey: ['classes'] }), queries.invalidateQueries({ queryKey: ['board', classId] })]),
  });
}

function Section({ title, children }: { readonly title: string; readonly children: ReactNode }): ReactNode {
  return (
    <section className="mt-8 border-t border-hairline pt-4">
      <h2 className="text-lg font-bold">{title}</h2>
      {children}
    </section>
  );
}

function Code({ details, change }: { readonly details: ClassDetails; readonly change: (change: Change) => void }): ReactNode {
  return (
    <Section title="Class code">
      <p className="mt-2 font-mono text-4xl">{details.codeOpen ? details.code : 'closed'}</p>
      <p className="mt-1 text-muted">Whoever types it sees first names and initials, and signs in with a PIN.</p>
      <div className="mt-3 flex gap-3">
        <Button look="plain" onClick={() => change(['PATCH', '', { codeOpen: !details.codeOpen }])}>{details.codeOpen ? 'Close it' : 'Open it'}</Button>
        <Button look="plain" onClick={() => change(['POST', '/code'])}>Make a new code</Button>
      </div>
    </Section>
  );
}

function Roster({ details, change }: { readonly details: ClassDetails; readonly change: (change: Change) => void }): ReactNode {
  return (
    <Section title={`Students, ${details.roster.length}`}>
      <ul className="mt-2">
        {details.roster.map((student) => (
          <li key={student.id} className="flex flex-wrap items-center gap-x-4 border-t border-hairline">
            <span className="min-w-48 flex-1">
              {student.firstName} {student.lastName}
            </span>
            <span className="w-32 text-small text-muted">{student.hasPin ? 'has a PIN' : 'no PIN yet'}</span>
            <Button look="quiet" disabled={!student.hasPin} onClick={() => change(['POST', `/students/${student.id}/pin-reset`])} aria-label={`Reset PIN of ${student.label}`}>Reset PIN</Button>
            <a className={buttonClass('quiet')} href={`/api/classes/${details.id}/students/${student.id}/export`} download aria-label={`Export the data of ${student.label}`}>Export</a>
            <Confirm
              trigger={<Button look="quiet" aria-label={`Delete ${student.label}`}>Delete</Button>}
              title={`Delete ${student.label}?`}
              text="The name, the PIN and every attempt are removed for good. What was written in group laboratories stays under “a former member”."
              action="Delete"
              onConfirm={() => change(['DELETE', `/students/${student.id}`])}
            />
          </li>
        ))}
      </ul>
    </Section>
  );
}

function Teachers({ details, change, error }: { readonly details: ClassDetails; readonly change: (change: Change) => void; readonly error: string | undefined }): ReactNode {
  const { register, handleSubmit, formState, reset } = useForm({ resolver: yupResolver(coTeacher), defaultValues: { email: '' } });
  return (
    <Section title="Teachers">
      <ul className="mt-2">
        {details.teachers.map((teacher) => (
          <li key={teacher.id} className="flex items-center gap-4 border-t border-hairline">
            <span className="flex-1">{teacher.name}, <span className="text-muted">{teacher.email}</span></span>
            <Button look="quiet" disabled={details.teachers.length < 2} onClick={() => change(['DELETE', `/teachers/${teacher.id}`])} aria-label={`Remove ${teacher.name} from this class`}>Remove</Button>
          </li>
        ))}
      </ul>
      <form className="mt-3 flex max-w-lg items-end gap-3" onSubmit={(event) => void handleSubmit((body) => { change(['POST', '/teachers', body]); reset(); })(event)}>
        <div className="flex-1">
          <Field label="Add a teacher of your school" type="email" error={formState.errors.email?.message ?? error} {...register('email')} />
        </div>
        <Button type="submit" look="plain">Add</Button>
      </form>
    </Section>
  );
}

function Data({ details, change }: { readonly details: ClassDetails; readonly change: (change: Change) => void }): ReactNode {
  return (
    <Section title="The class’s data">
      <div className="mt-3 flex flex-wrap gap-3">
        <a className={buttonClass('plain')} href={`/api/classes/${details.id}/export`} download>Export as JSON</a>
        <Button look="plain" onClick={() => change(['PATCH', '', { archived: !details.archived }])}>{details.archived ? 'Bring back from the archive' : 'Archive'}</Button>
        <Confirm
          trigger={<Button look="danger">Delete the class</Button>}
          title={`Delete ${details.name}?`}
          text="Every student, attempt and laboratory of this class is removed for good. Export it first if anything of it may be needed."
          action="Delete everything"
          onConfirm={() => change(['DELETE', ''])}
        />
      </div>
    </Section>
  );
}

function NewClassForm(): ReactNode {
  const queries = useQueryClient();
  const { register, handleSubmit, formState, reset } = useForm({ resolver: yupResolver(newClass), defaultValues: { name: '' } });
  const make = useMutation({
    mutationFn: (body: { name: string }) => ask<ClassSummary>('POST', '/classes', body),
    onSuccess: async (made) => {
      reset();
      await queries.invalidateQueries({ queryKey: ['classes'] });
      chooseClass(made.id);
    },
  });
  return (
    <Section title="Another class">
      <form className="mt-3 flex max-w-lg items-end gap-3" onSubmit={(event) => void handleSubmit((body) => make.mutate(body))(event)}>
        <div className="flex-1">
          <Field label="Name of the class" error={formState.errors.name?.message ?? make.error?.message} {...register('name')} />
        </div>
        <Button type="submit" look="plain" disabled={make.isPending}>Make it</Button>
      </form>
    </Section>
  );
}

function ClassPeople({ classId }: { readonly classId: string }): ReactNode {
  const { data: details, error } = useQuery({ queryKey: ['class', classId], queryFn: () => ask<ClassDetails>('GET', `/classes/${classId}`) });
  const { mutate, error: refused } = useClassChange(classId);
  if (error) return <Failed error={error} />;
  if (!details) return <Loading what="the class" />;
  return (
    <>
      <h1 className="text-2xl font-bold">{details.name}{details.archived ? ', archived' : ''}</h1>
      {refused && <p role="alert" className="mt-2 text-slip">{refused.message}</p>}
      <Code details={details} change={mutate} />
      <Roster details={details} change={mutate} />
      <Section title="Import a class list"><ImportRoster classId={classId} /></Section>
      <Teachers details={details} change={mutate} error={undefined} />
      <Data details={details} change={mutate} />
    </>
  );
}

/** Who is in the class, how they get in, and what becomes of the data. */
export default function People({ classId }: { readonly classId: string | null }): ReactNode {
  return (
    <main className="mx-auto w-full max-w-4xl px-4 py-8 wide:px-7">
      {classId !== null && <ClassPeople classId={classId} />}
      <NewClassForm />
    </main>
  );
}
