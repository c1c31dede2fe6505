import type { OneTimeLink, Removal, SchoolDetails, SchoolTeacher } from '@green-beam/contract';
import { useState, type ReactNode } from 'react';
import { Button } from '../../ui/button.tsx';
import { Confirm } from '../../ui/confirm.tsx';
import { useSchoolChange } from './use-school-change.ts';

interface TeachersProps {
  readonly teachers: readonly SchoolTeacher[];
  readonly ownId: string;
  readonly onLink: (link: OneTimeLink) => void;
}

/** Removes a teacher; classes that nobody else teaches pass on to somebody who is chosen. */
function Remove({
  teacher,
  teachers,
  ownId,
}: Omit<TeachersProps, 'onLink'> & { readonly teacher: SchoolTeacher }): ReactNode {
  const { mutate, error, isPending } = useSchoolChange<SchoolDetails>();
  const [heirId, setHeirId] = useState(ownId);
  const left = teacher.classes.filter(({ alone }) => alone).map(({ name }) => name);
  return (
    <>
      <Confirm
        trigger={
          <Button look="quiet" disabled={isPending} aria-label={`Remove ${teacher.name}`}>
            Remove
          </Button>
        }
        title={`Remove ${teacher.name}?`}
        text={`The account and the name are deleted for good, and ${teacher.name} is signed out everywhere. No class and no work of a student is lost.`}
        action="Remove"
        keep="Keep the account"
        onConfirm={() => mutate(['POST', `/teachers/${teacher.id}/removal`, { heirId } satisfies Removal])}
      >
        {left.length > 0 && (
          <label className="flex flex-col gap-1 font-semibold">
            Who takes over {left.join(', ')}
            <select
              className="min-h-11 border-b-2 border-ink bg-surface px-2 font-normal"
              value={heirId}
              onChange={(event) => setHeirId(event.target.value)}
            >
              {teachers
                .filter(({ id }) => id !== teacher.id)
                .map(({ id, name }) => (
                  <option key={id} value={id}>
                    {name}
                  </option>
                ))}
            </select>
          </label>
        )}
      </Confirm>
      {error && (
        <p role="alert" className="w-full text-slip">
          {error.message}
        </p>
      )}
    </>
  );
}

function Teacher({ teacher, teachers, ownId, onLink }: TeachersProps & { readonly teacher: SchoolTeacher }): ReactNode {
  const link = useSchoolChange<OneTimeLink>();
  const unlock = useSchoolChange<SchoolDetails>();
  const at = `/teachers/${teacher.id}`;
  return (
    <li className="flex flex-wrap items-center gap-x-4 border-t border-hairline py-1">
      <span className="min-w-60 flex-1">
        {teacher.name}
        {teacher.role === 'administrator' ? ', administrator' : ''}
        <span className="block text-small text-muted">
          {teacher.email}
          {teacher.classes.length > 0 ? `; ${teacher.classes.map(({ name }) => name).join(', ')}` : ''}
        </span>
        {teacher.locked && (
          <span className="flex flex-wrap items-center gap-x-3 text-small text-doubt">
            too many wrong passwords
            <Button
              look="quiet"
              className="px-0"
              onClick={() => unlock.mutate(['POST', `${at}/unlock`])}
              aria-label={`Let ${teacher.name} try again`}
            >
              Let in again
            </Button>
          </span>
        )}
      </span>
      <Button
        look="quiet"
        onClick={() => link.mutate(['POST', `${at}/reset`], { onSuccess: onLink })}
        aria-label={`Link for a new password for ${teacher.name}`}
      >
        Link for a new password
      </Button>
      {teacher.id !== ownId && <Remove teacher={teacher} teachers={teachers} ownId={ownId} />}
      {(link.error ?? unlock.error) && (
        <p role="alert" className="w-full text-slip">
          {(link.error ?? unlock.error)?.message}
        </p>
      )}
    </li>
  );
}

/** Who teaches at the school. */
export function Teachers(props: TeachersProps): ReactNode {
  return (
    <ul className="mt-4">
      {props.teachers.map((teacher) => (
        <Teacher key={teacher.id} teacher={teacher} {...props} />
      ))}
    </ul>
  );
}
