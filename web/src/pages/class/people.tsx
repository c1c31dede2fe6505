import {
  coTeacher,
  newClass,
  type ClassDetails,
  type ClassSummary,
  type NewClass,
  type SignedIn,
} from '@green-beam/contract';
import { yupResolver } from '@hookform/resolvers/yup';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import type { ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { inTheWay } from '../../api/in-the-way.ts';
import { ask } from '../../api/request.ts';
import { newId } from '../../outbox/new-id.ts';
import { Link } from 'react-router';
import { Button, buttonClass } from '../../ui/button.tsx';
import { Confirm } from '../../ui/confirm.tsx';
import { Field } from '../../ui/field.tsx';
import { Failed, Loading } from '../../ui/notice.tsx';
import { chooseClass } from '../current-class.ts';
import { CoverForADay } from './cover-for-a-day.tsx';
import { FirstPinSlips } from './first-pin-slips.tsx';
import { ImportRoster } from './import-roster.tsx';
import { NewSchoolYear } from './new-school-year.tsx';
import { Roster } from './roster.tsx';
import { Section } from './section.tsx';
import { useClassChange, type Change } from './use-class-change.ts';
import { useFirstPins } from './use-first-pins.ts';

function Code({
  details,
  change,
  mayClose,
}: {
  readonly details: ClassDetails;
  readonly change: (change: Change) => void;
  readonly mayClose: boolean;
}): ReactNode {
  return (
    <Section title="Class code">
      <p className="mt-2 font-mono text-4xl">{details.codeOpen ? details.code : 'closed'}</p>
      <p className="mt-1 text-muted">
        Students type it, choose their name and sign in with a PIN. They see first names and initials only.
      </p>
      <div className="mt-3 flex gap-3">
        {mayClose && (
          <Button look="plain" onClick={() => change(['PATCH', '', { codeOpen: !details.codeOpen }])}>
            {details.codeOpen ? 'Close it' : 'Open it'}
          </Button>
        )}
        <Button look="plain" onClick={() => change(['POST', '/code'])}>
          Make a new code
        </Button>
      </div>
    </Section>
  );
}

/** Whoever made a class is taken out of it by themselves or by the administrator. */
function mayRemoveFounder(signedIn: SignedIn, founderId: string): boolean {
  return signedIn.role === 'administrator' || signedIn.person.id === founderId;
}

function Teachers({
  signedIn,
  details,
  change,
}: {
  readonly signedIn: SignedIn;
  readonly details: ClassDetails;
  readonly change: (change: Change) => void;
}): ReactNode {
  const add = useClassChange(details.id);
  const { register, handleSubmit, formState, reset } = useForm({
    resolver: yupResolver(coTeacher),
    defaultValues: { email: '' },
  });
  return (
    <Section title="Teachers">
      <ul className="mt-2">
        {details.teachers.map((teacher) => (
          <li key={teacher.id} className="flex items-center gap-4 border-t border-hairline">
            <span className="flex-1">
              {teacher.name}, <span className="text-muted">{teacher.email}</span>
              {teacher.founder && <span className="block text-small text-muted">made this class</span>}
            </span>
            <Button
              look="quiet"
              disabled={details.teachers.length < 2 || (teacher.founder && !mayRemoveFounder(signedIn, teacher.id))}
              onClick={() => change(['DELETE', `/teachers/${teacher.id}`])}
              aria-label={`Remove ${teacher.name} from this class`}
            >
              Remove
            </Button>
          </li>
        ))}
      </ul>
      <form
        className="mt-3 flex max-w-lg items-end gap-3"
        onSubmit={(event) =>
          void handleSubmit((body) => add.mutate(['POST', '/teachers', body], { onSuccess: () => reset() }))(event)
        }
      >
        <div className="flex-1">
          <Field
            label="Add a teacher of your school"
            type="email"
            error={formState.errors.email?.message ?? add.error?.message}
            {...register('email')}
          />
        </div>
        <Button type="submit" look="plain">
          Add
        </Button>
      </form>
    </Section>
  );
}

function Data({
  details,
  change,
}: {
  readonly details: ClassDetails;
  readonly change: (change: Change) => void;
}): ReactNode {
  const putAway = (): void => {
    // An archived class is looked at only when it has been chosen: this one stays on the page.
    chooseClass(details.id);
    change(['PATCH', '', { archived: !details.archived }]);
  };
  return (
    <Section title="The class’s data">
      {details.deletedOn && (
        <p className="mt-2 text-doubt">
          Your school deletes archived classes after a time: this one on{' '}
          {format(new Date(details.deletedOn), 'd MMMM yyyy')}, with all its students and their work.
        </p>
      )}
      <div className="mt-3 flex flex-wrap gap-3">
        <a className={buttonClass('plain')} href={`/api/classes/${details.id}/export`} download>
          Export as JSON
        </a>
        <Button look="plain" onClick={putAway}>
          {details.archived ? 'Bring back from the archive' : 'Archive'}
        </Button>
        <Confirm
          trigger={<Button look="danger">Delete the class</Button>}
          title={`Delete ${details.name}?`}
          text="This removes every student, attempt and laboratory of the class for good. Export the data first if you may need them."
          action="Delete everything"
          onConfirm={() => change(['DELETE', ''])}
        />
      </div>
    </Section>
  );
}

function NewClassForm(): ReactNode {
  const queries = useQueryClient();
  const { register, handleSubmit, formState, reset } = useForm({
    resolver: yupResolver(newClass),
    defaultValues: { id: newId(), name: '' },
  });
  const make = useMutation({
    mutationFn: (body: NewClass) => ask<ClassSummary>('POST', '/classes', body),
    onSuccess: async (made) => {
      reset({ id: newId(), name: '' });
      await queries.invalidateQueries({ queryKey: ['classes'] });
      chooseClass(made.id);
    },
  });
  return (
    <Section title="Another class">
      <form
        className="mt-3 flex max-w-lg items-end gap-3"
        onSubmit={(event) => void handleSubmit((body) => make.mutate(body))(event)}
      >
        <div className="flex-1">
          <Field
            label="Name of the class"
            error={formState.errors.name?.message ?? make.error?.message}
            {...register('name')}
          />
        </div>
        <Button type="submit" look="plain" disabled={make.isPending}>
          Make the class
        </Button>
      </form>
    </Section>
  );
}

interface PeopleProps {
  readonly classId: string;
  readonly signedIn: SignedIn;
}

function ClassPeople({ classId, signedIn }: PeopleProps): ReactNode {
  const { data: details, error: missing } = useQuery({
    queryKey: ['class', classId],
    queryFn: () => ask<ClassDetails>('GET', `/classes/${classId}`),
  });
  const { mutate, error } = useClassChange(classId);
  const { handOut, pins, forget, error: notHandedOut } = useFirstPins(classId);
  const refused = error ?? notHandedOut;
  const failed = inTheWay(missing, details);
  if (failed) return <Failed error={failed} />;
  if (!details) return <Loading what="the class" />;
  if (pins) return <FirstPinSlips className={details.name} code={details.code} pins={pins} onDone={forget} />;
  return (
    <>
      <h1 className="text-2xl font-bold">
        {details.name}
        {details.archived ? ', archived' : ''}
      </h1>
      {refused && (
        <p role="alert" className="mt-2 text-slip">
          {refused.message}
        </p>
      )}
      <Code details={details} change={mutate} mayClose={signedIn.coversUntil === null} />
      <Roster details={details} change={mutate} onFirstPins={handOut} mayRemove={signedIn.coversUntil === null} />
      {signedIn.coversUntil === null && (
        <>
          <Section title="Parents’ evening">
            <p className="mt-1 text-muted">
              A page for each student: what they can do, what they work on, an example, and how to help.
            </p>
            <Link to="/class/parents" className={`${buttonClass('plain')} mt-3`}>
              See and print the pages
            </Link>
          </Section>
          <Section title="Import a class list">
            <ImportRoster classId={classId} />
          </Section>
          <Teachers signedIn={signedIn} details={details} change={mutate} />
          <CoverForADay classId={classId} />
          <NewSchoolYear details={details} />
          <Data details={details} change={mutate} />
          <NewClassForm />
        </>
      )}
    </>
  );
}

/** Who is in the class, how they get in, and what becomes of the data. */
export default function People({
  classId,
  signedIn,
}: Omit<PeopleProps, 'classId'> & { readonly classId: string | null }): ReactNode {
  return (
    <main className="mx-auto w-full max-w-4xl px-4 py-8 wide:px-7">
      {classId === null ? <NewClassForm /> : <ClassPeople key={classId} classId={classId} signedIn={signedIn} />}
    </main>
  );
}
