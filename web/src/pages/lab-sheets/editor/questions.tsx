import type { ReactNode } from 'react';
import { useController } from 'react-hook-form';
import { ChoiceField, LinesField, Select, TextArea } from './fields.tsx';
import { ItemList } from './item-list.tsx';
import { choicesOf, freshId, useSheet, withUnits } from './use-sheet.ts';

interface Answer {
  readonly kind?: 'number' | 'choice';
  readonly choices?: readonly string[];
}

const KINDS = [
  { id: 'number', name: 'a number of the group’s own data' },
  { id: 'choice', name: 'one of several' },
] as const;

/** What answers a question: the run’s own number, one of several, or words that the teacher reads. */
function AnswerField({ at }: { readonly at: string }): ReactNode {
  const sheet = useSheet();
  const { field } = useController({ name: `${at}.answer` });
  const { kind = '', choices = [] } = (field.value ?? {}) as Answer;
  const beginWith = (chosen: string): object | undefined => {
    if (chosen === 'number') return { kind: 'number', quantity: sheet.results[0]?.quantity ?? '' };
    return chosen === 'choice' ? { kind: 'choice', choices: ['yes', 'no'], right: 'yes' } : undefined;
  };
  return (
    <>
      <Select
        label="It is answered by"
        value={kind}
        none="words, which you read"
        choices={KINDS}
        onChange={(chosen) => field.onChange(beginWith(chosen))}
      />
      {kind === 'number' && (
        <ChoiceField name={`${at}.answer.quantity`} label="Which number" choices={choicesOf(withUnits(sheet))} />
      )}
      {kind === 'choice' && (
        <>
          <LinesField name={`${at}.answer.choices`} label="To choose from" hint="One in a line." rows={3} />
          <ChoiceField
            name={`${at}.answer.right`}
            label="Right is"
            choices={choices.filter((one) => one.trim() !== '').map((one) => ({ id: one, name: one }))}
          />
        </>
      )}
    </>
  );
}

/** What is asked at the end. */
export function QuestionsPart(): ReactNode {
  const { questions } = useSheet();
  return (
    <ItemList name="questions" what="question" make={() => ({ id: freshId('question-', questions), text: '' })}>
      {(at, i) => (
        <>
          <TextArea name={`${at}.text`} label={`Question ${i + 1}`} rows={2} />
          <AnswerField at={at} />
        </>
      )}
    </ItemList>
  );
}
