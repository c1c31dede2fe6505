import { newOpening, type NewOpening } from '@green-beam/contract';
import { yupResolver } from '@hookform/resolvers/yup';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { ask, RefusedError } from '../../../api/request.ts';
import { newId } from '../../../outbox/new-id.ts';
import { Button } from '../../../ui/button.tsx';
import { Field } from '../../../ui/field.tsx';
import { Failed, Loading } from '../../../ui/notice.tsx';
import { useLesson } from '../../class/start/use-lesson.ts';
import { useLaboratories } from '../../notebook/use-laboratories.ts';
import { useOpening, useOpenings } from '../use-openings.ts';
import { GroupFormer, GroupStarts } from './group-former.tsx';
import { asLastTime, eachAlone, type Groups } from './groups.ts';

type Readings = 'own' | 'drawn';

const READINGS: readonly (readonly [Readings, string, string])[] = [
  ['own', 'Each group takes them', 'They read their tools and write on one page together.'],
  [
    'drawn',
    'They are given, to each student others',
    'Nobody needs a tool. They lie about a believable example, and students calculate with them.',
  ],
];

/** A group with its page, which is made with it. */
function asWanted(groups: Groups, readings: Readings): NewOpening['groups'] {
  return groups.map((memberIds) => ({
    runId: newId(),
    memberIds: [...memberIds],
    given: readings === 'drawn' ? ('drawn' as const) : null,
    from: null,
    sample: 0,
  }));
}

interface FormProps {
  readonly classId: string;
  readonly students: readonly { readonly id: string; readonly label: string }[];
  readonly laboratories: readonly { readonly id: string; readonly title: string; readonly setting: string }[];
  readonly last: Groups | null;
}

function OpeningForm({ classId, students, laboratories, last }: FormProps): ReactNode {
  const goTo = useNavigate();
  const { lesson } = useLesson(classId);
  const [readings, setReadings] = useState<Readings>('own');
  const [formed, setFormed] = useState<Groups>([]);
  const { register, handleSubmit, control, setValue, formState } = useForm({
    resolver: yupResolver(newOpening),
    defaultValues: { id: newId(), protocolId: '', specimen: '', dueAt: null, groups: [] } as NewOpening,
  });
  const { errors } = formState;
  const opening = useOpening(classId);
  const away = new Set(
    lesson?.students.filter(({ presence }) => presence === 'away').map((student) => student.id) ?? [],
  );
  const ids = students.map((student) => student.id);
  const here = ids.filter((one) => !away.has(one));
  const protocolId = useWatch({ control, name: 'protocolId' });
  const setting = laboratories.find(({ id }) => id === protocolId)?.setting;
  const groups = readings === 'drawn' ? eachAlone(ids) : formed;
  const choose = (chosen: Readings, wanted: Groups): void => {
    setReadings(chosen);
    setFormed(wanted);
    const shouldValidate = formState.isSubmitted;
    setValue('groups', asWanted(chosen === 'drawn' ? eachAlone(ids) : wanted, chosen), { shouldValidate });
  };
  const refusal = opening.error instanceof RefusedError ? opening.error : null;
  const refused = (field: keyof NewOpening): string | undefined =>
    refusal?.field?.startsWith(field) ? refusal.message : undefined;
  const noGroups = errors.groups?.message ?? errors.groups?.root?.message ?? refused('groups');
  const elsewhere = opening.error && refused('groups') === undefined && refused('protocolId') === undefined;
  const open = (body: NewOpening): void =>
    opening.mutate(body, {
      onSuccess: ({ id }) => {
        void goTo(`/notebook?opening=${id}`);
        window.scrollTo(0, 0);
      },
    });

  return (
    <form
      className="mt-6 flex max-w-4xl flex-col gap-8"
      noValidate
      onSubmit={(event) => void handleSubmit(open)(event)}
    >
      <div className="grid gap-4 sm:grid-cols-3">
        <label className="flex flex-col gap-1 text-small font-semibold">
          Laboratory
          <select
            aria-invalid={errors.protocolId !== undefined}
            className="min-h-11 border-b-2 border-ink bg-surface px-2 text-base font-normal"
            {...register('protocolId')}
          >
            <option value="" disabled>
              choose
            </option>
            {laboratories.map((one) => (
              <option key={one.id} value={one.id}>
                {one.title}
              </option>
            ))}
          </select>
          {(errors.protocolId?.message ?? refused('protocolId')) && (
            <span role="alert" className="font-normal text-slip">
              {errors.protocolId?.message ?? refused('protocolId')}
            </span>
          )}
        </label>
        <Field
          label="What is measured"
          placeholder={setting ?? 'bronze deck nail'}
          maxLength={80}
          error={errors.specimen?.message}
          {...register('specimen')}
        />
        <Field
          label="To be handed in by (optional)"
          type="datetime-local"
          error={errors.dueAt?.message}
          {...register('dueAt', {
            setValueAs: (typed: string | null) => (typed ? new Date(typed).toISOString() : null),
          })}
        />
      </div>
      <fieldset>
        <legend className="text-lg font-bold">The readings</legend>
        {READINGS.map(([value, label, note]) => (
          <label key={value} className="mt-1 flex min-h-11 items-start gap-3">
            <input
              type="radio"
              name="readings"
              className="mt-1 size-5 accent-beam"
              checked={readings === value}
              onChange={() => choose(value, formed)}
            />
            <span>
              {label}
              <span className="block text-small text-muted">{note}</span>
            </span>
          </label>
        ))}
      </fieldset>
      {readings === 'own' ? (
        <section aria-labelledby="groups-title">
          <h2 id="groups-title" className="text-lg font-bold">
            Groups
          </h2>
          <p className="mb-3 text-muted">
            Drag a name to another group, or press it and choose.
            {away.size > 0 && ` Chance leaves out who is away today (${away.size}).`}
          </p>
          <GroupStarts students={here} last={last} onChange={(wanted) => choose('own', wanted)} />
          <div className="mt-4">
            <GroupFormer students={students} groups={formed} onChange={(wanted) => choose('own', wanted)} />
          </div>
        </section>
      ) : (
        <p>
          Each of {students.length} students gets a page with other readings. What is not left to students in this
          laboratory is left to them here.
        </p>
      )}
      <div>
        {(noGroups ?? elsewhere) && (
          <p role="alert" className="mb-3 text-slip">
            {noGroups ?? opening.error?.message}
          </p>
        )}
        <Button type="submit" disabled={opening.isPending}>
          {groups.length === 0
            ? 'Open it for the class'
            : readings === 'own'
              ? `Open it for ${groups.length} ${groups.length === 1 ? 'group' : 'groups'}`
              : `Give it to ${groups.length} students`}
        </Button>
      </div>
    </form>
  );
}

/** Opens a laboratory for a class: what is measured, by whom, and until when. */
export default function OpenLaboratory({ classId }: { readonly classId: string | null }): ReactNode {
  return (
    <main className="mx-auto w-full max-w-7xl px-4 py-8 wide:px-7">
      <h1 className="text-2xl font-bold">Open a laboratory</h1>
      {classId === null ? <Loading what="the class" /> : <Loaded classId={classId} />}
    </main>
  );
}

function Loaded({ classId }: { readonly classId: string }): ReactNode {
  const { data: laboratories, error: noLaboratories } = useLaboratories(classId);
  const { data: openings, error: noOpenings } = useOpenings(classId);
  const { data: students, error: noStudents } = useQuery({
    queryKey: ['classmates', classId],
    queryFn: () => ask<{ id: string; label: string }[]>('GET', `/classes/${classId}/classmates`),
  });
  const error = noLaboratories ?? noOpenings ?? noStudents;
  if (error) return <Failed error={error} />;
  if (!laboratories || !openings || !students) return <Loading what="the class" />;
  const latest = openings.find(({ groups }) => groups.some((group) => group.length > 1));
  const last = latest
    ? asLastTime(
        latest.groups,
        students.map(({ id }) => id),
      )
    : null;
  return <OpeningForm classId={classId} students={students} laboratories={laboratories} last={last} />;
}
