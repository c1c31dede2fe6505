import { Check } from 'lucide-react';
import type { ReactNode } from 'react';

/** A part of the page that the list leads to. */
export interface PagePart {
  readonly id: string;
  readonly title: string;
  readonly done: boolean;
}

interface StepListProps {
  readonly parts: readonly PagePart[];
  readonly current: string;
  readonly onChoose: (id: string) => void;
}

/** Leads through a laboratory, and shows what is done. */
export function StepList({ parts, current, onChoose }: StepListProps): ReactNode {
  return (
    <nav aria-label="Steps of the laboratory" className="mt-4">
      <ol className="max-wide:flex max-wide:flex-wrap max-wide:gap-x-4">
        {parts.map(({ id, title, done }) => (
          <li key={id}>
            <button
              type="button"
              aria-current={id === current ? 'step' : undefined}
              onClick={() => onChoose(id)}
              className={`flex min-h-9 items-center gap-2 py-1 text-left leading-5 hover:underline max-wide:min-h-11 ${id === current ? 'font-bold' : ''}`}
            >
              <span aria-hidden="true" className="flex size-4 shrink-0 items-center justify-center text-beam">
                {done ? <Check size={16} /> : id === current ? <span className="size-2 rounded-full bg-beam" /> : null}
              </span>
              {title}
              {done && <span className="sr-only">, done</span>}
            </button>
          </li>
        ))}
      </ol>
    </nav>
  );
}
