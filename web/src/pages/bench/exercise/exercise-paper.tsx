import { instrumentById, type ExerciseShown, type Marked } from '@green-beam/core';
import { useMemo, type ReactNode } from 'react';
import { createSight } from '../../../instruments/sight.ts';
import { seenAtEnter } from '../../../instruments/seen-first.ts';
import { readOff, untouched } from '../../../instruments/tool-state.ts';
import { ToolStage } from '../../../instruments/tool-stage.tsx';
import { MarkedTable } from './marked-table.tsx';
import { Story } from './story.tsx';

interface ExercisePaperProps {
  readonly shown: ExerciseShown;
  /** Where it is not said beside it. */
  readonly question?: string;
  readonly marks?: readonly Marked[];
  readonly faulty?: ReadonlySet<number>;
  readonly onMark?: ((cell: number) => void) | null;
}

function Seen({ shown }: { readonly shown: ExerciseShown }): ReactNode {
  const picture = shown.answered.by === 'choice' ? shown.answered.seen : null;
  const sight = useMemo(() => (picture ? createSight(seenAtEnter(picture, 0)) : null), [picture]);
  if (!picture || !sight) return null;
  return (
    <ToolStage
      picture={picture}
      name={instrumentById(picture.instrumentId).name}
      sight={sight}
      tool={readOff(picture, untouched(picture))}
      closed
      wrongPath={[]}
    />
  );
}

/** What an exercise tells, and the table or the tool it is about. */
export function ExercisePaper({ shown, question, marks = [], faulty, onMark = null }: ExercisePaperProps): ReactNode {
  const { answered, story } = shown;
  return (
    <>
      {question === undefined ? (
        <p className="max-w-prose text-xl leading-relaxed wide:text-2xl wide:leading-relaxed">
          <Story parts={story} />
        </p>
      ) : (
        <p className="max-w-prose text-lg">
          <Story parts={story} /> <strong>{question}</strong>
        </p>
      )}
      <Seen shown={shown} />
      {answered.by === 'marks' && (
        <div className="mt-6">
          <MarkedTable table={answered} marks={marks} {...(faulty ? { faulty } : {})} onMark={onMark} />
        </div>
      )}
    </>
  );
}
