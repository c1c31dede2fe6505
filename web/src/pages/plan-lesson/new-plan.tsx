import type { LaboratoryShown } from '@green-beam/contract';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { ChooseLaboratories } from './choose-laboratories.tsx';
import { isTime, newDraft, type UsableTool } from './lesson-draft.ts';
import { useNewPlan } from './use-plans.ts';
import { useProtocols } from './use-protocols.ts';

interface NewPlanProps {
  readonly classId: string;
  readonly laboratories: readonly LaboratoryShown[];
  readonly cabinet: readonly UsableTool[];
}

const wholeNumber = (text: string): number => (/^\d{1,3}$/.test(text.trim()) ? Number(text) : NaN);

/** Says what is to be planned, and makes the first plan of it. */
export function NewPlan({ classId, laboratories, cabinet }: NewPlanProps): ReactNode {
  const goTo = useNavigate();
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [title, setTitle] = useState('');
  const [begins, setBegins] = useState('10:00');
  const [minutes, setMinutes] = useState('55');
  const [groups, setGroups] = useState('8');
  const [isAsked, setAsked] = useState(false);
  const { protocols, error } = useProtocols(classId, chosen);
  const make = useNewPlan(classId);
  const errors = {
    chosen: chosen.length === 0 ? 'Choose at least one laboratory.' : chosen.length > 6 ? 'At most 6 fit.' : undefined,
    begins: isTime(begins) ? undefined : 'Write a time such as 10:00.',
    minutes: wholeNumber(minutes) >= 5 && wholeNumber(minutes) <= 600 ? undefined : 'From 5 to 600 minutes.',
    groups: wholeNumber(groups) >= 1 && wholeNumber(groups) <= 40 ? undefined : 'From 1 to 40 groups.',
  };
  const isBad = Object.values(errors).some((one) => one !== undefined);
  const shown = (name: keyof typeof errors): string | undefined => (isAsked ? errors[name] : undefined);
  const send = (): void => {
    setAsked(true);
    if (isBad || !protocols) return;
    const wanted = {
      title:
        title.trim() ||
        protocols
          .map((one) => one.title)
          .join(', ')
          .slice(0, 80),
      begins: begins.padStart(5, '0'),
      minutes: wholeNumber(minutes),
      groups: wholeNumber(groups),
      protocols,
    };
    make.mutate(newDraft(wanted, cabinet), { onSuccess: ({ id }) => void goTo(`/plan-lesson/${id}`) });
  };
  return (
    <form
      className="mt-4 max-w-5xl"
      onSubmit={(event) => {
        event.preventDefault();
        send();
      }}
    >
      <ChooseLaboratories laboratories={laboratories} chosen={chosen} onChange={setChosen} />
      {shown('chosen') && (
        <p role="alert" className="text-small text-slip">
          {shown('chosen')}
        </p>
      )}
      <div className="mt-4 flex flex-wrap items-start gap-x-6 gap-y-4">
        <Field
          label="Begins at"
          className="w-28 font-mono"
          value={begins}
          error={shown('begins')}
          onChange={(event) => setBegins(event.target.value)}
        />
        <Field
          label="Minutes"
          inputMode="numeric"
          className="w-28 font-mono"
          value={minutes}
          error={shown('minutes')}
          onChange={(event) => setMinutes(event.target.value)}
        />
        <Field
          label="Groups"
          inputMode="numeric"
          className="w-28 font-mono"
          value={groups}
          error={shown('groups')}
          onChange={(event) => setGroups(event.target.value)}
        />
        <Field
          label="Name of the plan"
          className="w-64"
          maxLength={80}
          placeholder="as the laboratory"
          value={title}
          onChange={(event) => setTitle(event.target.value)}
        />
      </div>
      {(make.error ?? error) && (
        <p role="alert" className="mt-3 text-slip">
          {(make.error ?? error)?.message}
        </p>
      )}
      <Button type="submit" className="mt-5" disabled={make.isPending || (chosen.length > 0 && !protocols)}>
        Plan it
      </Button>
    </form>
  );
}
