import { LETTERS, type Criterion, type Marking, type Rubric } from '@green-beam/contract';
import { MOST_POINTS, type Proposal } from '@green-beam/core';
import type { ReactNode } from 'react';
import { pointsOf } from './points.ts';

interface PointsBarProps {
  readonly rubric: Rubric;
  readonly marking: Marking;
  readonly proposal: Proposal | null;
  /** The criterion that keys are for. */
  readonly chosen: string;
  readonly onChoose: (criterion: string) => void;
  readonly onPoints: (criterion: string, points: number) => void;
}

const CHOICES = Array.from({ length: MOST_POINTS + 1 }, (_, points) => points);

function whyOf({ sees }: Criterion, isProposed: boolean, proposal: Proposal | null, isChosen: boolean): string {
  const seen = sees === null ? undefined : proposal?.of[sees].because;
  if (seen !== undefined) return isProposed ? `${seen} (proposed)` : seen;
  return isChosen ? `yours: keys 0 to ${MOST_POINTS}` : 'yours';
}

/** Points by each criterion, where the class gives any. */
export function PointsBar({ rubric, marking, proposal, chosen, onChoose, onPoints }: PointsBarProps): ReactNode {
  if (rubric.scale === 'comments') return <p className="text-muted">This class is marked by comments only.</p>;
  const shown = (points: number | null): string =>
    points === null ? '–' : rubric.scale === 'letters' ? (LETTERS[points] ?? '') : String(points);
  return (
    <div className="flex flex-wrap gap-x-8 gap-y-2" role="group" aria-label="Points">
      {rubric.criteria.map((criterion) => {
        const { id, name } = criterion;
        const { points, isProposed } = pointsOf(criterion, marking, proposal);
        const isChosen = id === chosen;
        return (
          <div key={id} className={`border-b-[3px] pb-1 ${isChosen ? 'border-beam' : 'border-transparent'}`}>
            <button type="button" aria-pressed={isChosen} className="block text-left" onClick={() => onChoose(id)}>
              <span className="block text-small text-muted">{name}</span>
              <span className={`block text-2xl ${isProposed ? 'text-muted' : 'font-semibold'}`}>{shown(points)}</span>
              <span className="block max-w-44 text-small text-muted">
                {whyOf(criterion, isProposed, proposal, isChosen)}
              </span>
            </button>
            {isChosen && (
              <div className="mt-1 flex" role="group" aria-label={`Points for ${name.toLowerCase()}`}>
                {CHOICES.map((choice) => (
                  <button
                    key={choice}
                    type="button"
                    aria-pressed={choice === points && !isProposed}
                    className={`size-11 border border-hairline font-mono hover:bg-wash ${choice === points && !isProposed ? 'bg-ink text-white' : ''}`}
                    onClick={() => onPoints(id, choice)}
                  >
                    {shown(choice)}
                  </button>
                ))}
              </div>
            )}
          </div>
        );
      })}
    </div>
  );
}
