import type { ClassDoor } from '@green-beam/contract';
import { useState, type ReactNode } from 'react';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';

interface ChooseNameProps {
  readonly door: ClassDoor;
  readonly busy: boolean;
  readonly error: string | undefined;
  readonly onBack: () => void;
  readonly onChoose: (studentId: string, pin: string) => void;
}

/** The names behind a class code, and the PIN: set at the first visit, asked for afterwards. */
export function ChooseName({ door, busy, error, onBack, onChoose }: ChooseNameProps): ReactNode {
  const [studentId, setStudentId] = useState('');
  const [pin, setPin] = useState('');
  const [wanted, setWanted] = useState<string | undefined>();
  const student = door.students.find((one) => one.id === studentId);
  const send = (): void => {
    const complaint = student
      ? /^\d{4,6}$/.test(pin)
        ? undefined
        : 'A PIN has four to six digits.'
      : 'Choose your name first.';
    setWanted(complaint);
    if (student && !complaint) onChoose(student.id, pin);
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
      <Field
        label={student && !student.hasPin ? 'Set a PIN' : 'PIN'}
        hint={
          student && !student.hasPin
            ? 'Four to six digits. Remember them: nobody can look them up.'
            : 'Four to six digits.'
        }
        type="password"
        inputMode="numeric"
        autoComplete="off"
        value={pin}
        onChange={(event) => setPin(event.target.value)}
        error={wanted ?? error}
      />
      <div className="flex gap-3">
        <Button type="submit" disabled={busy}>
          Sign in
        </Button>
        <Button look="quiet" onClick={onBack}>
          Another code
        </Button>
      </div>
    </form>
  );
}
