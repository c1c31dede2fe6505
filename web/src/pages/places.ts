import type { SignedIn } from '@green-beam/contract';

/** A page that can be gone to, by its address and by what a teacher would call it. */
interface PageNamed {
  readonly to: string;
  readonly name: string;
}

/** A place of the header: its pages stand in a line below it, where there are several. */
export interface Place {
  readonly name: string;
  readonly pages: readonly [PageNamed, ...PageNamed[]];
  /** Beginnings of addresses that belong to it. */
  readonly under: readonly string[];
}

const BENCH: Place = { name: 'Bench', pages: [{ to: '/', name: 'Practise' }], under: ['/bench', '/shelf', '/sheets'] };
const NUMBERS: Place = {
  name: 'Numbers',
  pages: [
    { to: '/numbers', name: 'Calculations' },
    { to: '/numbers/practice', name: 'Practice' },
    { to: '/numbers/check-table', name: 'Check a table' },
  ],
  under: ['/numbers'],
};

const OF_A_TEACHER: readonly Place[] = [
  {
    name: 'Class',
    pages: [
      { to: '/class', name: 'Overview' },
      { to: '/rounds', name: 'Practice sets' },
      { to: '/read-together', name: 'Read together' },
      { to: '/class/people', name: 'Students' },
      { to: '/class/start', name: 'Start the lesson' },
    ],
    under: ['/class', '/rounds', '/read-together'],
  },
  { ...BENCH, pages: [...BENCH.pages, { to: '/demonstrate', name: 'Demonstrate' }] },
  NUMBERS,
  {
    name: 'Laboratories',
    pages: [
      { to: '/notebook', name: 'Class work' },
      { to: '/marking', name: 'Marking' },
      { to: '/class-results', name: 'Class results' },
      { to: '/lab-sheets', name: 'Lab sheets' },
      { to: '/plan-lesson', name: 'Plan a lesson' },
    ],
    under: ['/notebook', '/marking', '/class-results', '/lab-sheets', '/plan-lesson'],
  },
  { name: 'Equipment', pages: [{ to: '/cabinet', name: 'Equipment' }], under: ['/cabinet'] },
];

/** The places there are for whoever is here: five at most. */
export const PLACES: Readonly<Record<SignedIn['role'] | 'visitor', readonly Place[]>> = {
  visitor: [BENCH, NUMBERS],
  student: [
    BENCH,
    NUMBERS,
    { name: 'Notebook', pages: [{ to: '/notebook', name: 'Notebook' }], under: ['/notebook', '/class-results'] },
    { name: 'My progress', pages: [{ to: '/record', name: 'My progress' }], under: ['/record'] },
  ],
  teacher: OF_A_TEACHER,
  administrator: OF_A_TEACHER,
};

/** Whether an address is a page of a place, or lies under one. */
export function isUnder({ pages, under }: Place, address: string): boolean {
  return (
    pages.some(({ to }) => to === address) ||
    under.some((start) => address === start || address.startsWith(`${start}/`))
  );
}
