import { useId, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Button } from '../../../ui/button.tsx';
import { Field } from '../../../ui/field.tsx';
import { useSetRoundChange } from '../../use-set-rounds.ts';
import type { WorkedOn } from './worked-on.ts';

interface SetExerciseProps {
  readonly classId: string;
  readonly work: WorkedOn;
}

/** The table as it was handed in becomes an exercise for the class: find the errors. What was left as it is counts as right. */
export function SetExercise({ classId, work }: SetExerciseProps): ReactNode {
  const [isOpen, setOpen] = useState(false);
  const [title, setTitle] = useState('Find the errors');
  const set = useSetRoundChange(classId);
  const about = useId();
  const send = (): void => {
    if (title.trim() === '') return;
    set.mutate({
      title,
      subjectIds: ['spot-the-error'],
      toolIds: [],
      length: 1,
      aims: [],
      tries: 2,
      hints: true,
      dueAt: null,
      studentIds: null,
      preset: null,
      onPaper: false,
      table: { cells: work.table.map((row) => [...row]), answers: work.answers, left: [...work.left] },
    });
  };
  if (set.isSuccess)
    return (
      <p role="status" className="mt-3">
        Your class has it now. See who has done it under{' '}
        <Link to="/rounds" className="underline decoration-hairline underline-offset-4">
          Practice sets
        </Link>
        .
      </p>
    );
  if (!isOpen)
    return (
      <Button look="quiet" className="mt-1 -ml-2" onClick={() => setOpen(true)}>
        Make it an exercise for the class
      </Button>
    );
  return (
    <form
      aria-describedby={about}
      className="mt-3 flex flex-wrap items-end gap-x-4 gap-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        send();
      }}
    >
      <p id={about} className="w-full max-w-prose text-muted">
        Everybody gets the table as it came in, without your repairs, and marks what is wrong in it. Take names out of
        it first.
      </p>
      <Field
        label="Name of the exercise"
        className="w-64"
        maxLength={80}
        value={title}
        error={title.trim() === '' ? 'Give it a name.' : undefined}
        onChange={(event) => setTitle(event.target.value)}
      />
      <Button type="submit" look="plain" disabled={set.isPending}>
        Set it for the class
      </Button>
      {set.error && (
        <p role="alert" className="w-full text-slip">
          {set.error.message}
        </p>
      )}
    </form>
  );
}
