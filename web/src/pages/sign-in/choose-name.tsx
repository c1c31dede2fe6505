import type { ClassDoor, StudentSignIn } from '@green-beam/contract';
import { useState, type ReactNode } from 'react';
import { Button } from '../../ui/button.tsx';
import { NO_PIN, PinFields, sentPin } from './pin-fields.tsx';
import { SharedLaptop } from './shared-laptop.tsx';

interface ChooseNameProps {
  readonly door: ClassDoor;
  readonly busy: boolean;
  readonly error: Error | null;
  readonly onBack: () => void;
  /** For whoever is not on the list. */
  readonly onAsk: () => void;
  readonly onChoose: (entered: Omit<StudentSignIn, 'code'>) => void;
}

/** The names behind a class code, and the PIN. */
export function ChooseName({ door, busy, error, onBack, onAsk, onChoose }: ChooseNameProps): ReactNode {
  const [studentId, setStudentId] = useState('');
  const [pin, setPin] = useState(NO_PIN);
  const [shared, setShared] = useState(true);
  const [missing, setMissing] = useState<Error | null>(null);
  const send = (): void => {
    const complaint =
      studentId === '' ? 'Choose your name first.' : /^\d{4,6}$/.test(pin.pin) ? null : 'A PIN has four to six digits.';
    setMissing(complaint === null ? null : new Error(complaint));
    if (complaint === null) onChoose({ studentId, shared, ...sentPin(pin) });
  };
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        send();
      }}
    >
      <p className="text-lg font-bold">{door.className}</p>
      <label className="flex flex-col gap-1 text-small font-semibold">
        Your name
        <select
          value={studentId}
          onChange={(event) => setStudentId(event.target.value)}
          className="min-h-11 border-b-2 border-ink bg-surface px-2 text-base font-normal"
        >
          <option value="">choose</option>
          {door.students.map((one) => (
            <option key={one.id} value={one.id}>
              {one.label}
            </option>
          ))}
        </select>
      </label>
      <PinFields entered={pin} onChange={setPin} error={missing ?? error} />
      <SharedLaptop shared={shared} onChange={setShared} idleMinutes={door.idleMinutes} />
      <div className="flex gap-3">
        <Button type="submit" disabled={busy}>
          Sign in
        </Button>
        <Button look="quiet" onClick={onBack}>
          Another code
        </Button>
      </div>
      <Button look="quiet" className="-ml-2 self-start" onClick={onAsk}>
        My name is not here
      </Button>
    </form>
  );
}
