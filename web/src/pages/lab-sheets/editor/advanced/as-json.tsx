import type { LabSheetFault } from '@green-beam/contract';
import { useId, useState, type ReactNode } from 'react';
import { useFormContext } from 'react-hook-form';
import { Button } from '../../../../ui/button.tsx';
import { readSheetText } from '../../read-sheet-file.ts';
import { showable, tidied } from '../../tidied.ts';
import { FaultList } from '../../fault-list.tsx';

/** The whole as JSON: for what the fields have no place for, such as choices, conditions and checks. */
export function AsJson(): ReactNode {
  const id = useId();
  const { getValues, reset } = useFormContext();
  const [text, setText] = useState<string | null>(null);
  const [faults, setFaults] = useState<readonly LabSheetFault[]>([]);
  const take = (): void => {
    const read = readSheetText(text ?? '');
    if ('faults' in read) {
      setFaults(read.faults);
      return;
    }
    setFaults([]);
    setText(null);
    reset(showable(read.sheet), { keepDefaultValues: true });
  };
  return (
    <details
      className="mt-8 border-t border-hairline pt-2"
      onToggle={(event) => {
        if (event.currentTarget.open && text === null) setText(JSON.stringify(tidied(getValues()), null, 2));
        if (!event.currentTarget.open) setText(null);
      }}
    >
      <summary className="min-h-11 cursor-pointer py-2 text-lg font-bold">The whole as JSON</summary>
      <label htmlFor={id} className="text-muted">
        Choices, conditions and checks are written here. The schema is in docs/protocol.schema.json.
      </label>
      <textarea
        id={id}
        rows={20}
        spellCheck={false}
        className="mt-2 w-full border-b-2 border-ink bg-surface p-3 font-mono text-small"
        value={text ?? ''}
        onChange={(event) => setText(event.target.value)}
      />
      <FaultList faults={faults} title="It stays as it was. This is wrong in the text:" />
      <Button look="plain" className="mt-2" onClick={take}>
        Take over
      </Button>
    </details>
  );
}
