import type { ReactNode } from 'react';
import { DemoDoor } from './demo-door.tsx';
import { TeacherDoor } from './teacher-door.tsx';

/** What a class can do here, each with what the teacher gets from it. */
const WHAT_IT_DOES: readonly (readonly [what: string, how: string])[] = [
  [
    'Read tools',
    'Students read rulers, glassware, calipers, micrometers, balances and thermometers. A wrong reading gets the name of its slip, and the student tries again.',
  ],
  ['Handle numbers', 'They practise significant figures, units and uncertainty. Every step of a result is shown.'],
  ['Keep a notebook', 'Groups measure in the laboratory. The notebook works out the result with its uncertainty.'],
  [
    'See the class',
    'You see at once who is stuck, and which slips your class makes. You open any answer, with its picture.',
  ],
];

/** What a teacher wants to know first, and the way in. */
export default function ForTeachers({ demo }: { readonly demo: boolean }): ReactNode {
  return (
    <main className="mx-auto w-full max-w-4xl px-4 py-10 wide:px-7">
      <h1 className="text-2xl font-bold">For teachers</h1>
      <div className="mt-6 grid gap-10 sm:grid-cols-2">
        <dl>
          {WHAT_IT_DOES.map(([what, how]) => (
            <div key={what} className="border-t border-hairline py-3">
              <dt className="font-bold">{what}</dt>
              <dd>{how}</dd>
            </div>
          ))}
        </dl>
        <section>
          <h2 className="mb-3 text-lg font-bold">Sign in</h2>
          <TeacherDoor />
          <p className="mt-6 text-muted">
            You have no account? The administrator of your school sends you a link. Students need no account: they join
            with the code of their class.
          </p>
        </section>
      </div>
      {demo && <DemoDoor />}
    </main>
  );
}
