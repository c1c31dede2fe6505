import type { RunPage } from '@green-beam/contract';
import type { ReactNode } from 'react';

interface WhoseWorkProps {
  readonly page: RunPage;
  readonly author: string;
  readonly onChoose: (personId: string) => void;
}

/** For a teacher: whose calculations and answers are looked at, where everybody in the group has their own. */
export function WhoseWork({ page, author, onChoose }: WhoseWorkProps): ReactNode {
  if (page.arrangement.ownWork === 'group' || page.group.length === 0) return null;
  return (
    <div role="radiogroup" aria-label="Whose calculations and answers" className="mt-3 flex flex-wrap gap-x-5">
      {page.group.map((personId) => (
        <button
          key={personId}
          type="button"
          role="radio"
          aria-checked={personId === author}
          onClick={() => onChoose(personId)}
          className={`min-h-11 border-b-[3px] ${personId === author ? 'border-beam font-bold' : 'border-transparent text-muted'}`}
        >
          {page.people[personId]?.label ?? ''}
        </button>
      ))}
    </div>
  );
}
