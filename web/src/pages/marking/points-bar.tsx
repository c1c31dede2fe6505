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

function shownAs(points: number | null, scale: Rubric['scale']): string {
  if (points === null) return '–';
  return scale === 'letters' ? (LETTERS[points] ?? '') : String(points);
}

/** The points that the chosen criterion can have. */
export function PointChoices({
  rubric,
  marking,
  chosen,
  onPoints,
}: Omit<PointsBarProps, 'onChoose' | 'proposal'>): ReactNode {
  const criterion = rubric.criteria.find(({ id }) => id === chosen);
  if (!criterion || rubric.scale === 'comments') return null;
  return (
    <div className="flex" role="group" aria-label={`Points for ${criterion.name.toLowerCase()}`}>
      {CHOICES.map((choice) => (
        <button
          key={choice}
          type="button"
          aria-pressed={choice === marking.points[chosen]}
          className={`size-11 border border-hairline font-mono ${choice === marking.points[chosen] ? 'bg-ink text-white' : 'hover:bg-wash'}`}
          onClick={() => onPoints(chosen, choice)}
        >
          {shownAs(choice, rubric.scale)}
        </button>
      ))}
    </div>
  );
}

/** Points by each criterion, where the class gives any. */
export function PointsBar({
  rubric,
  marking,
  proposal,
  chosen,
  onChoose,
}: Omit<PointsBarProps, 'onPoints'>): ReactNode {
  if (rubric.scale === 'comments') return <p className="text-muted">This class is marked by comments only.</p>;
  return (
    <div className="grid grid-cols-2 gap-x-8 gap-y-2 wide:flex wide:flex-wrap" role="group" aria-label="Points">
      {rubric.criteria.map((criterion) => {
        const { id, name } = criterion;
        const { points, isProposed } = pointsOf(criterion, marking, proposal);
        const isChosen = id === chosen;
        return (
          <div key={id} className={`border-b-[3px] pb-1 ${isChosen ? 'border-beam' : 'border-transparent'}`}>
            <button type="button" aria-pressed={isChosen} className="block text-left" onClick={() => onChoose(id)}>
              <span className="block text-small text-muted">{name}</span>
              <span className={`block text-2xl ${isProposed ? 'text-muted' : 'font-semibold'}`}>
                {shownAs(points, rubric.scale)}
              </span>
              <span className="block max-w-44 text-small text-muted">
                {whyOf(criterion, isProposed, proposal, isChosen)}
              </span>
            </button>
          </div>
        );
      })}
    </div>
  );
}
