import type { ToolShown } from '@green-beam/contract';
import { instrumentById } from '@green-beam/core';
import { useState, type ReactNode } from 'react';
import { RefusedError } from '../../api/request.ts';
import { newId } from '../../outbox/new-id.ts';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { useCabinetChange } from './use-cabinet.ts';

interface NoteFormProps {
  readonly classId: string;
  readonly tool: ToolShown;
  readonly kind: 'zero' | 'check';
  /** The standard mass it is usually checked with. */
  readonly nominal?: number;
}

/** A number as it is typed, with a point or a comma; null for none. */
function typedNumber(text: string): number | null {
  const plain = text.trim().replace('−', '-').replace(',', '.');
  return plain === '' || !Number.isFinite(Number(plain)) ? null : Number(plain);
}

/** Notes what a tool showed today: at zero, or for a standard mass. */
export function NoteForm({ classId, tool, kind, nominal }: NoteFormProps): ReactNode {
  const change = useCabinetChange(classId);
  const [mass, setMass] = useState(nominal === undefined ? '' : String(nominal));
  const [reading, setReading] = useState('');
  const [remark, setRemark] = useState('');
  const [missing, setMissing] = useState<'nominal' | 'reading' | null>(null);
  const { unit } = instrumentById(tool.instrumentId);
  const send = (): void => {
    const [read, standard] = [typedNumber(reading), typedNumber(mass)];
    setMissing(kind === 'check' && standard === null ? 'nominal' : read === null ? 'reading' : null);
    if (read === null || (kind === 'check' && standard === null)) return;
    change.mutate(
      {
        kind: 'note',
        id: tool.id,
        note: { id: newId(), kind, reading: read, nominal: kind === 'check' ? standard : null, remark },
      },
      {
        onSuccess: () => {
          setReading('');
          setRemark('');
        },
      },
    );
  };
  const refused = (field: string): string | undefined =>
    change.error instanceof RefusedError && change.error.field === field
      ? change.error.message
      : missing === field
        ? `Write ${field === 'nominal' ? 'the standard mass' : 'what it showed'} as a number.`
        : undefined;
  return (
    <form
      className="mt-4 flex flex-wrap items-start gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        send();
      }}
    >
      {kind === 'check' && (
        <Field
          label={`Standard mass, ${unit}`}
          inputMode="decimal"
          value={mass}
          error={refused('nominal')}
          onChange={(event) => setMass(event.target.value)}
          className="w-36 font-mono"
        />
      )}
      <Field
        label={kind === 'check' ? `It shows, ${unit}` : `It shows at zero, ${unit}`}
        inputMode="decimal"
        value={reading}
        error={refused('reading')}
        onChange={(event) => setReading(event.target.value)}
        className="w-36 font-mono"
      />
      <Field
        label="Remark"
        value={remark}
        maxLength={200}
        onChange={(event) => setRemark(event.target.value)}
        className="w-56"
      />
      <Button look="plain" type="submit" className="mt-6" disabled={change.isPending}>
        Save the check
      </Button>
      {change.error &&
        !(change.error instanceof RefusedError && ['nominal', 'reading'].includes(change.error.field ?? '')) && (
          <p role="alert" className="basis-full text-slip">
            {change.error.message}
          </p>
        )}
    </form>
  );
}
