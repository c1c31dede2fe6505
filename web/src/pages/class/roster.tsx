import type { ClassDetails } from '@green-beam/contract';
import { useState, type ReactNode } from 'react';
import { Button, buttonClass } from '../../ui/button.tsx';
import { Confirm } from '../../ui/confirm.tsx';
import { Section } from './section.tsx';
import type { Change } from './use-class-change.ts';

interface RosterProps {
  readonly details: ClassDetails;
  readonly change: (change: Change) => void;
  /** Gives students new first PINs. */
  readonly onFirstPins: (studentIds: readonly string[]) => void;
  /** Whether whoever looks may take students out of the class, and their data away. */
  readonly mayRemove: boolean;
}

const PIN_WORDS = { none: 'no PIN yet', first: 'has a first PIN', own: 'has chosen a PIN' } as const;

type Listed = ClassDetails['roster'][number];

/** What is seldom wanted, folded: what takes a student’s data away, or the student out of the class. */
function Removal({
  details,
  student,
  change,
}: Pick<RosterProps, 'details' | 'change'> & { readonly student: Listed }): ReactNode {
  return (
    <div className="flex w-full sm:justify-end">
      <a
        className={`${buttonClass('quiet')} px-2`}
        href={`/api/classes/${details.id}/students/${student.id}/export`}
        download
        aria-label={`Export the data of ${student.label}`}
      >
        Export
      </a>
      <Button
        look="quiet"
        className="px-2"
        onClick={() => change(['PATCH', `/students/${student.id}`, { archived: !student.archived }])}
        aria-label={student.archived ? `Bring back ${student.label}` : `Archive ${student.label}`}
      >
        {student.archived ? 'Bring back' : 'Archive'}
      </Button>
      <Confirm
        trigger={
          <Button look="quiet" className="px-2" aria-label={`Delete ${student.label}`}>
            Delete
          </Button>
        }
        title={`Delete ${student.label}?`}
        text="This removes the name, the PIN and every attempt for good, also those of earlier years. What the student wrote in group laboratories stays as “a former member”."
        action="Delete"
        onConfirm={() => change(['DELETE', `/students/${student.id}`])}
      />
    </div>
  );
}

function Student({
  details,
  student,
  change,
  onFirstPins,
  mayRemove,
}: RosterProps & { readonly student: Listed }): ReactNode {
  const [showsMore, setShowsMore] = useState(false);
  return (
    <li className="flex flex-wrap items-center gap-x-4 border-t border-hairline">
      <span className={`min-w-48 flex-1 ${student.archived ? 'text-muted' : ''}`}>
        {student.firstName} {student.lastName}
        {student.locked && (
          <span className="flex flex-wrap items-center gap-x-3 text-small text-doubt">
            too many wrong PINs
            <Button
              look="quiet"
              className="px-0"
              onClick={() => change(['POST', `/students/${student.id}/unlock`])}
              aria-label={`Let ${student.label} try again`}
            >
              Let in again
            </Button>
          </span>
        )}
      </span>
      <span className="w-32 text-small text-muted">{student.archived ? 'removed' : PIN_WORDS[student.pin]}</span>
      {!student.archived && (
        <Button
          look="quiet"
          className="px-2"
          onClick={() => onFirstPins([student.id])}
          aria-label={`New first PIN for ${student.label}`}
        >
          New first PIN
        </Button>
      )}
      {mayRemove && (
        <Button
          look="quiet"
          aria-expanded={showsMore}
          aria-label={`${showsMore ? 'Less' : 'More'} about ${student.label}`}
          className="min-w-20"
          onClick={() => setShowsMore(!showsMore)}
        >
          {showsMore ? 'Less' : 'More'}
        </Button>
      )}
      {mayRemove && showsMore && <Removal details={details} student={student} change={change} />}
    </li>
  );
}

/** The class list; those who are put away stand at its end. */
export function Roster({ details, change, onFirstPins, mayRemove }: RosterProps): ReactNode {
  const present = details.roster.filter((student) => !student.archived);
  const withoutPin = present.filter((student) => student.pin === 'none');
  const away = details.roster.filter((student) => student.archived);
  return (
    <Section title={`Students, ${present.length}`}>
      {details.roster.length === 0 && <p className="mt-2 text-muted">Nobody is on the list yet. Import one below.</p>}
      {withoutPin.length > 0 && (
        <div className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2">
          <Button onClick={() => onFirstPins(withoutPin.map(({ id }) => id))}>
            Print first PINs for {withoutPin.length}
          </Button>
          <p>{withoutPin.length === 1 ? 'One student' : `${withoutPin.length} students`} cannot sign in until then.</p>
        </div>
      )}
      <ul className="mt-4">
        {[...present, ...away].map((student) => (
          <Student
            key={student.id}
            details={details}
            student={student}
            change={change}
            onFirstPins={onFirstPins}
            mayRemove={mayRemove}
          />
        ))}
      </ul>
    </Section>
  );
}
