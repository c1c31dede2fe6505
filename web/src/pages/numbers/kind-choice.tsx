import { EXERCISE_KINDS, SKILLS } from '@green-beam/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Button } from '../../ui/button.tsx';

const GROUPS = SKILLS.map((skill) => ({
  ...skill,
  kinds: EXERCISE_KINDS.filter((kind) => kind.skill === skill.id),
})).filter(({ kinds }) => kinds.length > 0);
const ALL = EXERCISE_KINDS.map(({ id }) => id);

interface KindChoiceProps {
  readonly title: string;
  readonly onChoose: (kinds: readonly string[]) => void;
}

/** The kinds of exercises of the next round: something of everything, a skill, or a single kind. */
export function KindChoice({ title, onChoose }: KindChoiceProps): ReactNode {
  return (
    <section aria-labelledby="next-ten" className="mt-6">
      <h2 id="next-ten" className="font-semibold">
        {title}
      </h2>
      <div className="mt-3">
        <Button onClick={() => onChoose(ALL)}>Something of everything</Button>
      </div>
      <p className="mt-3">
        <Link
          to="/numbers/two-axes"
          className="inline-flex min-h-11 items-center font-semibold underline decoration-hairline decoration-2 underline-offset-4"
        >
          Accurate and precise: drag a tool, and see
        </Link>
      </p>
      <ul className="mt-2">
        {GROUPS.map(({ id, name, kinds }) => (
          <li key={id} className="grid items-baseline border-t border-hairline py-1 sm:grid-cols-[13rem_1fr]">
            <Button look="quiet" className="-ml-2 justify-start" onClick={() => onChoose(kinds.map((kind) => kind.id))}>
              {name}
            </Button>
            {kinds.length > 1 && (
              <span className="flex flex-wrap max-sm:-ml-2">
                {kinds.map((kind) => (
                  <Button key={kind.id} look="quiet" className="font-normal" onClick={() => onChoose([kind.id])}>
                    {kind.name}
                  </Button>
                ))}
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
