import { boolean, object, string, type InferType } from './yup.ts';
import { ownPin } from './session.ts';

const id = string().uuid('That is not an id.').required();

/** Whether a student works at some screen, is away today, or has not come in yet. */
export type Presence = 'in' | 'away' | 'not-yet';

/** The lesson as it begins: how to come in, and who has. */
export interface LessonShown {
  readonly className: string;
  /** Null while the code is closed. */
  readonly code: string | null;
  readonly students: readonly { readonly id: string; readonly label: string; readonly presence: Presence }[];
  /** Who is not on the list and asks to be let in. */
  readonly asking: readonly { readonly id: string; readonly name: string; readonly at: string }[];
  /** Who covers the class today. */
  readonly covers: readonly { readonly id: string; readonly name: string; readonly until: string }[];
}

const day = string()
  .matches(/^20\d\d-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, 'That is no day.')
  .test('day', 'That is no day.', (text) => {
    const date = new Date(`${text ?? ''}T00:00:00Z`);
    // The 31st of February is taken for a day in March.
    return !Number.isNaN(date.getTime()) && date.toISOString().startsWith(text ?? '');
  })
  .required('Say which day.');

export const absence = object({ day, away: boolean().required('Say whether the student is away.') });
export type Absence = InferType<typeof absence>;

/** The day of a lesson, in the address. */
export const lessonDay = object({ day });

/** Somebody who is not on the list asks to be let in, with the PIN they want. */
export const admission = object({
  code: string().trim().uppercase().max(20).required('Write the class code.'),
  id,
  firstName: string().trim().max(60, 'The first name has more than 60 characters.').required('Write your first name.'),
  lastName: string().trim().max(60, 'The last name has more than 60 characters.').default(''),
  pin: ownPin.required('Choose a PIN.'),
});
export type Admission = InferType<typeof admission>;

/** What has become of it. */
export interface AdmissionState {
  readonly state: 'waiting' | 'admitted' | 'refused';
}

export const admissionAnswer = object({ admit: boolean().required('Say whether to let them in.') });
export type AdmissionAnswer = InferType<typeof admissionAnswer>;

export const newCover = object({
  id,
  name: string().trim().max(80, 'The name has more than 80 characters.').required('Write who covers the class.'),
  until: string().datetime('That is no time.').required('Say until when.'),
});
export type NewCover = InferType<typeof newCover>;

/** A link for whoever covers a class: it is shown once, and works until it ends. */
export interface CoverLink {
  readonly path: string;
  readonly until: string;
}
