import type { ReactNode } from 'react';
import { useController } from 'react-hook-form';
import { ChoiceField, LinesField, NumberField, TextArea, TextField } from './fields.tsx';
import { ItemList } from './item-list.tsx';
import { freshId, useSheet } from './use-sheet.ts';

const ATTENTION = [
  { id: 'hands', name: 'work for the hands' },
  { id: 'waiting', name: 'mostly waiting' },
] as const;

/** Whether a step has to wait for the one before it: a plan of the lesson puts those that do not where tools are free. */
function AnyTime({ name }: { readonly name: string }): ReactNode {
  const { field } = useController({ name });
  const after: unknown = field.value;
  // Some are named one by one, which a file does.
  if (Array.isArray(after) && after.length > 0) return null;
  return (
    <label className="flex min-h-11 items-center gap-3">
      <input
        type="checkbox"
        className="size-5 accent-beam"
        checked={Array.isArray(after)}
        onChange={(event) => field.onChange(event.target.checked ? [] : undefined)}
      />
      It can be done at any time, also before the steps above
    </label>
  );
}

/** What is done, in its order, and how long it takes. */
export function StepsPart(): ReactNode {
  const { steps } = useSheet();
  return (
    <ItemList
      name="steps"
      what="step"
      make={() => ({ id: freshId('step', steps), title: 'Next step', text: '', minutes: 5, attention: 'hands' })}
    >
      {(at, i) => (
        <>
          <TextField name={`${at}.title`} label={`Step ${i + 1}`} />
          <TextArea name={`${at}.text`} label="What to do" />
          <div className="flex flex-wrap gap-6">
            <NumberField name={`${at}.minutes`} label="Minutes" />
            <ChoiceField name={`${at}.attention`} label="It is" choices={ATTENTION} />
          </div>
          {i > 0 && <AnyTime name={`${at}.after`} />}
          <LinesField
            name={`${at}.apparatus`}
            label="Apparatus that groups may share"
            hint="One thing in a line, such as hot plate. Tools that are read are known already."
            rows={2}
          />
        </>
      )}
    </ItemList>
  );
}
