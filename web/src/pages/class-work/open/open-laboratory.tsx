import { newOpening, type Given, type NewOpening, type LaboratoryShown } from '@green-beam/contract';
import { yupResolver } from '@hookform/resolvers/yup';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { inTheWay } from '../../../api/in-the-way.ts';
import { ask, RefusedError } from '../../../api/request.ts';
import { newId } from '../../../outbox/new-id.ts';
import { Button } from '../../../ui/button.tsx';
import { Field } from '../../../ui/field.tsx';
import { Failed, Loading } from '../../../ui/notice.tsx';
import { useLesson } from '../../class/start/use-lesson.ts';
import { LaboratoryOptions } from '../../notebook/laboratory-options.tsx';
import { useLaboratories } from '../../notebook/use-laboratories.ts';
import { useOpening, useOpenings } from '../use-openings.ts';
import { GivenTo } from './given-to.tsx';
import { GroupFormer, GroupStarts } from './group-former.tsx';
import { asLastTime, eachAlone, type Groups } from './groups.ts';

type Readings = 'own' | Given;

const READINGS: readonly (readonly [Readings, string, string])[] = [
  ['own', 'Each group takes them', 'They read their tools and write on one page together.'],
  [
    'drawn',
    'They are given, different for each student',
    'Nobody needs a tool: the readings are like those of a real run, and students calculate with them.',
  ],
  [
    'copied',
    'They are given, the same for everybody',
    'They are those of a page: one that you have typed, or a group’s.',
  ],
];

/** A group with its page, which is made with it. */
function asWanted(groups: Groups, { readings, from }: Wanted): NewOpening['groups'] {
  return groups.map((memberIds) => ({
    runId: newId(),
    memberIds: [...memberIds],
    given: readings === 'own' ? null : readings,
    from: readings === 'copied' && from !== '' ? from : null,
    sample: 0,
  }));
}

/** Who does the laboratory, and where the readings come from. */
interface Wanted {
  readonly readings: Readings;
  readonly formed: Groups;
  /** Who is given readings. */
  readonly people: readonly string[];
  /** The page that they are copied from. */
  readonly from: string;
}

/** The groups that there are: those that were formed, or each of who is given readings alone. */
function groupsOf({ readings, formed, people }: Wanted): Groups {
  return readings === 'own' ? formed : eachAlone(people);
}

/** What the button says that it does. */
function actionOf(groups: Groups, { readings, from }: Wanted): string {
  if (groups.length === 0) return 'Open it for the class';
  if (readings === 'copied' && from === '') return 'Choose a page first';
  const one = groups.length === 1;
  if (readings === 'own') return `Open it for ${groups.length} ${one ? 'group' : 'groups'}`;
  return `Give them to ${groups.length} ${one ? 'student' : 'students'}`;
}

interface FormProps {
  readonly classId: string;
  readonly students: readonly { readonly id: string; readonly label: string }[];
  readonly laboratories: readonly LaboratoryShown[];
  readonly last: Groups | null;
}

function OpeningForm({ classId, students, laboratories, last }: FormProps): ReactNode {
  const goTo = useNavigate();
  const { lesson } = useLesson(classId);
  const ids = students.map((student) => student.id);
  const [wanted, setWanted] = useState<Wanted>({ readings: 'own', formed: [], people: ids, from: '' });
  const { readings, formed, people, from } = wanted;
  const { register, handleSubmit, control, setValue, formState } = useForm({
    resolver: yupResolver(newOpening),
    defaultValues: { id: newId(), protocolId: '', specimen: '', dueAt: null, groups: [] } as NewOpening,
  });
  const { errors } = formState;
  const opening = useOpening(classId);
  const away = new Set(
    lesson?.students.filter(({ presence }) => presence === 'away').map((student) => student.id) ?? [],
  );
  const here = ids.filter((one) => !away.has(one));
  const protocolId = useWatch({ control, name: 'protocolId' });
  const setting = laboratories.find(({ id }) => id === protocolId)?.setting;
  const groups = groupsOf(wanted);
  const choose = (more: Partial<Wanted>): void => {
    const now = { ...wanted, ...more };
    setWanted(now);
    setValue('groups', asWanted(groupsOf(now), now), { shouldValidate: formState.isSubmitted });
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
            <LaboratoryOptions laboratories={laboratories} />
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
              className="mt-1 size-5 shrink-0 accent-beam"
              checked={readings === value}
              onChange={() => choose({ readings: value })}
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
            {away.size > 0 &&
              ` The buttons leave out who is away today: ${away.size === 1 ? 'one student' : `${away.size} students`}.`}
          </p>
          <GroupStarts students={here} last={last} onChange={(found) => choose({ formed: found })} />
          <div className="mt-4">
            <GroupFormer students={students} groups={formed} onChange={(found) => choose({ formed: found })} />
          </div>
        </section>
      ) : (
        <GivenTo
          classId={classId}
          students={students}
          chosen={people}
          onChosen={(chosen) => choose({ people: chosen })}
          copied={readings === 'copied' ? { protocolId, from } : null}
          onFrom={(runId) => choose({ from: runId })}
        />
      )}
      <div>
        {(noGroups ?? elsewhere) && (
          <p role="alert" className="mb-3 text-slip">
            {noGroups ?? opening.error?.message}
          </p>
        )}
        <Button type="submit" disabled={opening.isPending || (readings === 'copied' && from === '')}>
          {actionOf(groups, wanted)}
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
  const error =
    inTheWay(noLaboratories, laboratories) ?? inTheWay(noOpenings, openings) ?? inTheWay(noStudents, students);
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
