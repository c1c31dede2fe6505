import { rubricChange, SCALES, type Rubric } from '@green-beam/contract';
import { SEEN } from '@green-beam/core';
import { yupResolver } from '@hookform/resolvers/yup';
import type { ReactNode } from 'react';
import { useFieldArray, useForm } from 'react-hook-form';
import { newId } from '../../outbox/new-id.ts';
import { Button } from '../../ui/button.tsx';
import { useRubricChange } from './use-marking.ts';

const SCALE_NAMES = {
  points: 'points from 0 to 4',
  letters: 'letters from A to E',
  comments: 'comments only',
} as const;
const SEEN_NAMES = { readings: 'readings', digits: 'digits', calculation: 'calculations' } as const;

/** What the reports of a class are marked by. */
export function RubricForm({ classId, rubric }: { readonly classId: string; readonly rubric: Rubric }): ReactNode {
  const change = useRubricChange(classId);
  const { register, control, handleSubmit, formState, reset } = useForm({
    resolver: yupResolver(rubricChange),
    defaultValues: { scale: rubric.scale, criteria: rubric.criteria.map((one) => ({ ...one })) },
  });
  const { fields, append, remove } = useFieldArray({ control, name: 'criteria', keyName: 'key' });
  const { errors } = formState;
  return (
    <form
      className="mt-3 flex max-w-2xl flex-col gap-4"
      onSubmit={(event) =>
        void handleSubmit((body) => change.mutate(body, { onSuccess: (saved) => reset(saved) }))(event)
      }
    >
      <fieldset>
        <legend className="text-small font-semibold">Marks are</legend>
        {SCALES.map((scale) => (
          <label key={scale} className="flex min-h-11 items-center gap-3">
            <input type="radio" value={scale} className="size-5 accent-beam" {...register('scale')} />
            {SCALE_NAMES[scale]}
          </label>
        ))}
      </fieldset>
      <ul aria-label="Criteria">
        {fields.map((field, i) => (
          <li key={field.key} className="flex flex-wrap items-end gap-x-4 gap-y-1 border-t border-hairline py-2">
            <label className="flex flex-1 flex-col text-small font-semibold">
              Criterion {i + 1}
              <input
                className="min-h-11 border-b-2 border-ink bg-surface px-3 text-base font-normal"
                aria-invalid={errors.criteria?.[i]?.name !== undefined}
                {...register(`criteria.${i}.name`)}
              />
              {errors.criteria?.[i]?.name && (
                <span role="alert" className="font-normal text-slip">
                  {errors.criteria[i].name.message}
                </span>
              )}
            </label>
            <label className="flex flex-col text-small font-semibold">
              Proposed from
              <select
                className="min-h-11 border-b-2 border-ink bg-surface px-2 text-base font-normal"
                {...register(`criteria.${i}.sees`, { setValueAs: (value: string | null) => (value ? value : null) })}
              >
                <option value="">nothing: it is yours</option>
                {SEEN.map((seen) => (
                  <option key={seen} value={seen}>
                    {SEEN_NAMES[seen]}
                  </option>
                ))}
              </select>
            </label>
            <Button
              look="quiet"
              disabled={fields.length === 1}
              aria-label={`Remove criterion ${i + 1}`}
              onClick={() => remove(i)}
            >
              Remove
            </Button>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-center gap-4">
        <Button
          look="quiet"
          disabled={fields.length >= 12}
          onClick={() => append({ id: `c-${newId().slice(0, 8)}`, name: '', sees: null })}
        >
          One more criterion
        </Button>
        <Button type="submit" look="plain" disabled={change.isPending || !formState.isDirty}>
          Save
        </Button>
        <p role="status" className="text-small text-muted">
          {change.isSuccess && !formState.isDirty ? 'Saved.' : ''}
        </p>
      </div>
      {change.error && (
        <p role="alert" className="text-slip">
          {change.error.message}
        </p>
      )}
    </form>
  );
}
