import { boolean, number, object, string, type InferType } from './yup.ts';

export type Role = 'student' | 'teacher' | 'administrator';

/** Who is signed in, as every page needs to know it. */
export interface SignedIn {
  readonly role: Role;
  readonly person: { readonly id: string; readonly name: string };
  readonly school: { readonly id: string; readonly name: string };
  /** Until when somebody without an account covers a class; null for everybody else. */
  readonly coversUntil: string | null;
  /** A student's class; teachers choose among theirs. */
  readonly class: { readonly id: string; readonly name: string; readonly rulesName: string } | null;
  /** Partners who have entered their PIN at this screen. */
  readonly partners: readonly { readonly id: string; readonly name: string }[];
}

export interface SessionState {
  readonly signedIn: SignedIn | null;
  /** To be sent as `x-csrf-token` with everything that changes something. */
  readonly csrfToken: string;
  /** True where one-click demonstration sign-in exists. */
  readonly demo: boolean;
}

/** Whether others use this computer too: then the session ends by itself after a while. */
const shared = boolean().default(true);

/** A teacher’s session on a shared computer lasts over a double lesson and a break. */
export const TEACHER_IDLE_MINUTES = 4 * 60;

export const teacherSignIn = object({
  email: string()
    .trim()
    .lowercase()
    .email('Write the whole e-mail address.')
    .max(200)
    .required('Write your e-mail address.'),
  password: string().max(200).required('Write your password.'),
  /** Its name, where they teach at several with one password. */
  school: string().trim().max(120).default(''),
  shared,
});
export type TeacherSignIn = InferType<typeof teacherSignIn>;

export const classCode = object({
  code: string().trim().uppercase().max(20).required('Write the class code from the board.'),
});
export type ClassCode = InferType<typeof classCode>;

/** The names a class code shows: first name and initial, nothing more. */
export interface ClassDoor {
  readonly className: string;
  /** A session on a shared laptop ends when nothing was asked for so long. */
  readonly idleMinutes: number;
  readonly students: readonly { readonly id: string; readonly label: string }[];
}

const pin = string()
  .matches(/^\d{4,6}$/, 'A PIN has four to six digits.')
  .required('Write your PIN.');
const id = string().uuid('That is not an id.').required();

/** 1111, 3456 and 6543 are what a stranger tries first. */
function isEasyToGuess(digits: string): boolean {
  const figures = Array.from(digits, Number);
  const steps = new Set(figures.slice(1).map((figure, i) => figure - (figures[i] ?? 0)));
  return steps.size === 1 && [-1, 0, 1].some((step) => steps.has(step));
}

/** A PIN that a student chooses. */
export const ownPin = string()
  .matches(/^\d{4,6}$/, 'A PIN has four to six digits.')
  .test('hard-to-guess', 'This PIN is easy to guess. Choose another one.', (digits) => !isEasyToGuess(digits ?? ''));

/** With the first PIN, which was handed out, goes the PIN that the student chooses instead. */
export const studentSignIn = object({
  code: string().trim().uppercase().max(20).required(),
  studentId: id,
  pin,
  newPin: ownPin.optional(),
  shared,
});
export type StudentSignIn = InferType<typeof studentSignIn>;

export const partnerSignIn = object({ studentId: id, pin, newPin: ownPin.optional() });
export type PartnerSignIn = InferType<typeof partnerSignIn>;

export const pinChange = object({ pin, newPin: ownPin.required('Write your new PIN.') });
export type PinChange = InferType<typeof pinChange>;

export const demoSignIn = object({
  role: string<Role>()
    .oneOf(['student', 'teacher', 'administrator'] as const)
    .required(),
});
export type DemoSignIn = InferType<typeof demoSignIn>;

/** What a one-time link is for, shown before it is used. */
export interface LinkDoor {
  readonly purpose: 'administrator' | 'invitation' | 'password-reset';
  readonly email: string | null;
  readonly name: string | null;
  readonly schoolName: string | null;
}

export const NEW_PASSWORD_LENGTH = 10;

const newPassword = string()
  .min(NEW_PASSWORD_LENGTH, `A password has at least ${NEW_PASSWORD_LENGTH} characters.`)
  .max(200)
  .required('Choose a password.');

export const passwordChange = object({
  password: string().max(200).required('Write your present password.'),
  newPassword,
});
export type PasswordChange = InferType<typeof passwordChange>;

export const linkUse = object({
  name: string().trim().max(80).default(''),
  email: string().trim().lowercase().email('Write the whole e-mail address.').max(200).default(''),
  schoolName: string().trim().max(120).default(''),
  password: newPassword,
});
export type UseLink = InferType<typeof linkUse>;

export const invitation = object({
  /** Made by the browser, so that what is sent twice invites once. */
  id,
  name: string().trim().max(80).required('Write the teacher’s name.'),
  email: string()
    .trim()
    .lowercase()
    .email('Write the whole e-mail address.')
    .max(200)
    .required('Write the teacher’s e-mail address.'),
});
export type Invitation = InferType<typeof invitation>;

/** A link that works once, to be handed to the person it is for. */
export interface OneTimeLink {
  readonly path: string;
  readonly expires: string;
}

export interface SchoolTeacher {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly role: Role;
  /** Those that nobody else teaches pass on when this teacher is removed. */
  readonly classes: readonly { readonly name: string; readonly alone: boolean }[];
  /** Too many wrong passwords were tried for this address. */
  readonly locked: boolean;
}

/** Who takes over the classes of a teacher that is removed. */
export const removal = object({ heirId: id });
export type Removal = InferType<typeof removal>;

export interface SchoolDetails {
  readonly name: string;
  /** A student’s session on a shared laptop ends when nothing was asked for so long. */
  readonly idleMinutes: number;
  /** An archived class is deleted after so many months; null to keep it for good. */
  readonly keepArchivedMonths: number | null;
  readonly teachers: readonly SchoolTeacher[];
}

export const schoolChange = object({
  idleMinutes: number()
    .typeError('Write a number of minutes.')
    .integer('Write whole minutes.')
    .min(5, 'At least 5 minutes.')
    .max(480, 'At most 480 minutes, which are 8 hours.')
    .required('Write after how many minutes.'),
  keepArchivedMonths: number()
    .typeError('Write a number of months, or nothing.')
    .integer('Write whole months.')
    .min(1, 'At least one month.')
    .max(240, 'At most 240 months, which are 20 years.')
    .nullable()
    .default(null),
});
export type SchoolChange = InferType<typeof schoolChange>;
