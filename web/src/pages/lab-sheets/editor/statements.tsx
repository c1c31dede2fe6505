import type { ReactNode } from 'react';
import { useController } from 'react-hook-form';
import { LinesField, Select, TextArea } from './fields.tsx';
import { ItemList } from './item-list.tsx';
import { freshId, useSheet } from './use-sheet.ts';

function Truth({ at }: { readonly at: string }): ReactNode {
  const { field } = useController({ name: `${at}.holds` });
  const holds = field.value === true;
  return (
    <>
      <div className="max-w-40">
        <Select
          label="It is"
          value={holds ? 'true' : 'false'}
          choices={[
            { id: 'true', name: 'true' },
            { id: 'false', name: 'false' },
          ]}
          onChange={(chosen) => field.onChange(chosen === 'true')}
        />
      </div>
      {!holds && (
        <LinesField
          name={`${at}.corrections`}
          label="What it should say"
          hint="Two or more to choose from, one in a line; the right one first. Students see them mixed."
        />
      )}
    </>
  );
}

/** Statements on technique that students judge, and correct where they are false. */
export function StatementsPart(): ReactNode {
  const { statements } = useSheet();
  return (
    <>
      <p className="mb-2 text-muted">
        Four to eight sentences on how it is done. Students say which are true, and correct the others.
      </p>
      <ItemList
        name="statements"
        what="statement"
        make={() => ({ id: freshId('statement-', statements), text: '', holds: true, corrections: [], because: '' })}
      >
        {(at, i) => (
          <>
            <TextArea name={`${at}.text`} label={`Statement ${i + 1}`} rows={2} />
            <Truth at={at} />
            <TextArea name={`${at}.because`} label="Why" rows={2} />
          </>
        )}
      </ItemList>
    </>
  );
}
