import type { Joining, PartnerSignIn, SignedIn } from '@green-beam/contract';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { ask } from '../../api/request.ts';
import { useSessionChange } from '../../api/session.ts';
import { Button } from '../../ui/button.tsx';
import { NO_PIN, PinFields, sentPin } from '../sign-in/pin-fields.tsx';

interface WritersProps {
  readonly signedIn: SignedIn;
  readonly classId: string;
  readonly runId: string;
  readonly writer: string;
  readonly onChoose: (personId: string) => void;
}

function AddPartner({
  signedIn,
  classId,
  runId,
  onDone,
}: Pick<WritersProps, 'signedIn' | 'classId' | 'runId'> & { readonly onDone: () => void }): ReactNode {
  const { data: classmates = [] } = useQuery({
    queryKey: ['classmates', classId],
    queryFn: () => ask<{ id: string; label: string }[]>('GET', `/classes/${classId}/classmates`),
  });
  const [studentId, setStudentId] = useState('');
  const [pin, setPin] = useState(NO_PIN);
  const add = useSessionChange<PartnerSignIn>(
    'POST',
    () => '/session/partners',
    ({ studentId: personId }) =>
      ask('POST', `/classes/${classId}/runs/${runId}/members`, { personId } satisfies Joining),
  );
  const here = new Set([signedIn.person.id, ...signedIn.partners.map((partner) => partner.id)]);
  return (
    <form
      className="mt-2 flex flex-col gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate({ studentId, ...sentPin(pin) }, { onSuccess: onDone });
      }}
    >
      <select
        aria-label="Partner’s name"
        value={studentId}
        onChange={(event) => setStudentId(event.target.value)}
        className="min-h-11 border-b-2 border-ink bg-surface px-2"
      >
        <option value="">name</option>
        {classmates
          .filter((one) => !here.has(one.id))
          .map((one) => (
            <option key={one.id} value={one.id}>
              {one.label}
            </option>
          ))}
      </select>
      <PinFields entered={pin} onChange={setPin} error={add.error} />
      <Button type="submit" look="plain" disabled={studentId === '' || add.isPending}>
        Join
      </Button>
    </form>
  );
}

/** Who is writing at this screen: one tap changes it, a partner joins once with the PIN. */
export function Writers({ signedIn, classId, runId, writer, onChoose }: WritersProps): ReactNode {
  const [adding, setAdding] = useState(false);
  return (
    <section className="mt-6" aria-label="Who is writing">
      <p className="text-small font-semibold">Writing</p>
      <div role="radiogroup" aria-label="Who is writing" className="mt-1 flex flex-col">
        {[signedIn.person, ...signedIn.partners].map((person) => (
          <button
            key={person.id}
            type="button"
            role="radio"
            aria-checked={writer === person.id}
            className={`min-h-11 border-l-[3px] pl-3 text-left ${writer === person.id ? 'border-beam font-bold' : 'border-transparent text-muted'}`}
            onClick={() => onChoose(person.id)}
          >
            {person.name}
          </button>
        ))}
      </div>
      {adding ? (
        <AddPartner signedIn={signedIn} classId={classId} runId={runId} onDone={() => setAdding(false)} />
      ) : (
        <Button look="quiet" className="-ml-2" onClick={() => setAdding(true)}>
          A partner joins
        </Button>
      )}
    </section>
  );
}
