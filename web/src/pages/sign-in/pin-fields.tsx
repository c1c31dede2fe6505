import type { ReactNode } from 'react';
import { RefusedError } from '../../api/request.ts';
import { Field } from '../../ui/field.tsx';

/** A PIN as it is entered; with a first one, which was handed out, also the one chosen instead. */
export interface EnteredPin {
  readonly pin: string;
  readonly newPin: string;
}

export const NO_PIN: EnteredPin = { pin: '', newPin: '' };

/** What is sent of it. */
export function sentPin({ pin, newPin }: EnteredPin): { readonly pin: string; readonly newPin?: string } {
  return newPin === '' ? { pin } : { pin, newPin };
}

/** What was asked for just now is written next. */
const focus = (field: HTMLInputElement | null): void => field?.focus();

interface PinFieldsProps {
  readonly entered: EnteredPin;
  readonly onChange: (entered: EnteredPin) => void;
  /** Why the server, or the page, did not take what was entered. */
  readonly error: Error | null;
}

/** Asks for a PIN, and for one of the student’s own once the server has said that the first one is right. */
export function PinFields({ entered, onChange, error }: PinFieldsProps): ReactNode {
  const blamed = error instanceof RefusedError ? error : null;
  const asksForOwn = blamed?.field === 'newPin';
  // That a first PIN is right is no complaint.
  const isComplaint = entered.newPin !== '' || blamed?.status !== 409;
  return (
    <>
      <Field
        label="PIN"
        hint="Four to six digits. Your first PIN is on the slip from your teacher."
        type="password"
        inputMode="numeric"
        autoComplete="off"
        value={entered.pin}
        onChange={(event) => onChange({ pin: event.target.value, newPin: '' })}
        error={asksForOwn ? undefined : error?.message}
      />
      {asksForOwn && (
        <Field
          label="Your own PIN"
          ref={focus}
          hint="Your first PIN is right. Choose a PIN of your own now: four to six digits that you will remember."
          type="password"
          inputMode="numeric"
          autoComplete="off"
          value={entered.newPin}
          onChange={(event) => onChange({ ...entered, newPin: event.target.value })}
          error={isComplaint ? blamed.message : undefined}
        />
      )}
    </>
  );
}
