/** The sample world: Saltmarsh School, its classes Heron 9 and Plover 10, and the people in them. All invented. */
export const DEMO_SCHOOL = '5a17a4b0-0000-4000-8000-000000000001';
export const DEMO_CLASS = '5a17a4b0-0000-4000-8000-000000000010';
export const DEMO_OTHER_CLASS = '5a17a4b0-0000-4000-8000-000000000011';
export const DEMO_TEACHER = '5a17a4b0-0000-4000-8000-000000000020';
export const DEMO_CO_TEACHER = '5a17a4b0-0000-4000-8000-000000000021';
export const DEMO_ADMINISTRATOR = '5a17a4b0-0000-4000-8000-000000000022';

export const DEMO_CLASS_CODE = 'HRN-947';
export const DEMO_OTHER_CLASS_CODE = 'PLV-362';
/** PIN of every sample student who has one. */
export const DEMO_PIN = '2468';

function studentId(classNumber: number, index: number): string {
  return `5a17a4b0-0000-4000-8000-00000${classNumber}${String(index).padStart(2, '0')}`;
}

/** What a sample student tends to do: a slip and how often it happens. */
export type Habits = Readonly<Record<string, number>>;

export interface SampleStudent {
  readonly id: string;
  readonly givenName: string;
  readonly familyName: string;
  readonly habits: Habits;
  /** Rounds taken in three weeks. */
  readonly rounds: number;
  readonly hasPin: boolean;
  /** What is worked in the lesson under way; null for who is away. */
  readonly lesson: SampleLesson | null;
}

/** How a student works in the lesson under way. */
export interface SampleLesson {
  /** How much likelier the habits happen than in the first week. */
  readonly haste: number;
  /** Minutes since the last entry. */
  readonly quietFor: number;
}

type Row = readonly [givenName: string, familyName: string, habits: Habits, rounds: number];

const HERON: readonly Row[] = [
  ['Ines', 'Varga', { 'meniscus-edge': 0.3, 'exact-counted': 0.3 }, 5],
  ['Tomasz', 'Bell', { 'eye-high': 0.35, 'dropped-digit': 0.1 }, 5],
  ['Amara', 'Quist', {}, 4],
  ['Bao', 'Lindqvist', { 'dropped-digit': 0.5, 'zero-lost': 0.5 }, 4],
  ['Chidi', 'Moreau', { 'label-above': 0.4, 'upside-down': 0.5, 'factor-power-forgotten': 0.7 }, 4],
  ['Dilnoza', 'Hart', { 'meniscus-edge': 0.5, 'eye-low': 0.2 }, 3],
  ['Emeka', 'Sandoval', { 'unit-missing': 0.45 }, 4],
  ['Freya', 'Okonjo', { 'rounded-up': 0.3, 'rounded-between': 0.6 }, 5],
  ['Goran', 'Tamaki', { 'eye-high': 0.6, unsettled: 0.5, 'precise-is-accurate': 0.7 }, 4],
  ['Hana', 'Brightwater', {}, 6],
  ['Ikaika', 'Petrov', { 'trailing-zero-dropped': 0.7, 'zero-overlooked': 0.6, 'dropped-digit': 0.15 }, 3],
  ['Jovana', 'Achterberg', { 'eye-low': 0.4 }, 4],
  ['Kofi', 'Ramires', { 'extra-digit': 0.35, 'calculator-digits': 0.5 }, 3],
  ['Leila', 'Nordahl', { 'other-scale': 0.5, 'percent-of-measured': 0.6 }, 4],
  ['Mateus', 'Iqbal', { 'meniscus-edge': 0.2, 'unit-missing': 0.2 }, 4],
  ['Nadia', 'Featherstone', { 'zero-ignored': 0.6, 'end-not-zero': 0.4, 'container-not-subtracted': 0.5 }, 5],
  ['Oluwaseun', 'Kask', { 'marks-counted': 0.4, 'leading-zeros-counted': 0.6 }, 3],
  ['Pilar', 'Winterbourne', { transposed: 0.15 }, 4],
  ['Quynh', 'Abara', { 'eye-high': 0.2, 'fewest-figures-in-sum': 0.5 }, 5],
  ['Rasmus', 'Delacroix', { 'power-of-ten': 0.3 }, 2],
  ['Sefa', 'Holloway', { 'label-above': 0.25, 'eye-high': 0.25, 'final-as-delivered': 0.6 }, 4],
  ['Tereza', 'Mwangi', {}, 4],
  ['Umut', 'Castellan', { 'dropped-digit': 0.3, 'sixteenths-as-tenths': 0.7, 'decimals-in-product': 0.6 }, 3],
  ['Vaida', 'Ferreira', { 'meniscus-edge': 0.15 }, 0],
];

const PLOVER: readonly Row[] = [
  ['Wren', 'Adeyemi', { 'eye-high': 0.3 }, 2],
  ['Xenia', 'Marlowe', { 'meniscus-edge': 0.4 }, 2],
  ['Yusuf', 'Engstrand', {}, 3],
  ['Zofia', 'Tallis', { 'dropped-digit': 0.3 }, 2],
  ['Anouk', 'Pereira', { 'unit-missing': 0.3 }, 1],
  ['Bram', 'Osei', { 'rounded-up': 0.3 }, 2],
  ['Catalina', 'Voss', {}, 2],
  ['Davit', 'Nakagawa', { 'label-above': 0.3 }, 1],
  ['Elif', 'Rowntree', { 'eye-low': 0.4 }, 2],
  ['Farouk', 'Lindgren', {}, 2],
  ['Greta', 'Amadi', { 'extra-digit': 0.3 }, 1],
  ['Hugo', 'Salonen', { 'other-scale': 0.3 }, 2],
];

/** Who does what in the lesson of Heron 9 that is under way: one cannot get on, two have stopped, three are away. */
function lessonOf(index: number, givenName: string): SampleLesson | null {
  if (['Ines', 'Tereza', 'Vaida'].includes(givenName)) return null;
  if (givenName === 'Bao') return { haste: 10, quietFor: 0 };
  // So early in the lesson that nobody can have finished.
  if (['Kofi', 'Umut'].includes(givenName)) return { haste: 0.5, quietFor: givenName === 'Kofi' ? 11 : 12 };
  return { haste: 0.4, quietFor: (index % 4) / 2 };
}

function students(classNumber: number, rows: readonly Row[]): SampleStudent[] {
  return rows.map(([givenName, familyName, habits, rounds], i) => ({
    id: studentId(classNumber, i),
    givenName,
    familyName,
    habits,
    rounds,
    hasPin: rounds > 0,
    lesson: rows === HERON ? lessonOf(i, givenName) : null,
  }));
}

export const HERON_STUDENTS = students(11000, HERON);
export const PLOVER_STUDENTS = students(12000, PLOVER);

/** The student of the one-click sign-in. */
export const DEMO_STUDENT = studentId(11000, 0);

export const SAMPLE_TEACHERS = [
  {
    id: DEMO_TEACHER,
    givenName: 'Maren',
    familyName: 'Oduya',
    email: 'maren.oduya@saltmarsh.example',
    role: 'teacher',
  },
  {
    id: DEMO_CO_TEACHER,
    givenName: 'Tobias',
    familyName: 'Ferrant',
    email: 'tobias.ferrant@saltmarsh.example',
    role: 'teacher',
  },
  {
    id: DEMO_ADMINISTRATOR,
    givenName: 'Halima',
    familyName: 'Strand',
    email: 'halima.strand@saltmarsh.example',
    role: 'administrator',
  },
] as const;
