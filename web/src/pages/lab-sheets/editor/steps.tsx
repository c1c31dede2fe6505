import type { ReactNode } from 'react';
import { ChoiceField, NumberField, TextArea, TextField } from './fields.tsx';
import { ItemList } from './item-list.tsx';
import { freshId, useSheet } from './use-sheet.ts';

const ATTENTION = [
  { id: 'hands', name: 'work for the hands' },
  { id: 'waiting', name: 'mostly waiting' },
] as const;

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
        </>
      )}
    </ItemList>
  );
}
