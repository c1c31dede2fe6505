import { completeRules, HouseRuleError } from '@green-beam/core';
import { useState, type KeyboardEvent, type ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';

interface QuotedFactorsProps {
  readonly quoted: readonly string[];
  readonly changed: boolean;
  readonly onChange: (quoted: readonly string[]) => void;
}

/** Why a relation cannot be quoted, or null. */
function complaintAbout(quoted: readonly string[]): string | null {
  try {
    completeRules({ quotedFactors: quoted });
    return null;
  } catch (error) {
    if (error instanceof HouseRuleError) return error.message.replace(/^\w+: /, '');
    throw error;
  }
}

/** Rounded relations between units that the class quotes; without any, conversions are exact. */
export function QuotedFactors({ quoted, changed, onChange }: QuotedFactorsProps): ReactNode {
  const numerals = useNumerals();
  const [typed, setTyped] = useState('');
  const [complaint, setComplaint] = useState<string | null>(null);
  const add = (): void => {
    const wanted = typed.trim();
    if (wanted === '') return;
    const wrong = quoted.includes(wanted)
      ? 'This relation is on the list already.'
      : complaintAbout([...quoted, wanted]);
    setComplaint(wrong);
    if (wrong !== null) return;
    onChange([...quoted, wanted]);
    setTyped('');
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    add();
  };
  return (
    <div className="border-y border-hairline py-3">
      <p className={changed ? 'font-semibold' : 'text-muted'}>
        {quoted.length === 0
          ? 'Conversions are exact. If your class uses a rounded factor, write it here. Its digits count as written.'
          : 'Used with the digits written here. All other conversions are exact.'}
      </p>
      <ul>
        {quoted.map((relation) => (
          <li key={relation} className="flex min-h-11 items-center gap-4">
            <span className="font-mono">{numerals(relation)}</span>
            <Button
              look="quiet"
              aria-label={`Remove ${relation}`}
              onClick={() => onChange(quoted.filter((other) => other !== relation))}
            >
              Remove
            </Button>
          </li>
        ))}
      </ul>
      <div className="mt-2 flex flex-wrap items-end gap-4">
        <Field
          label="A relation your class uses"
          placeholder="1 lb = 454 g"
          value={typed}
          maxLength={60}
          error={complaint ?? undefined}
          onChange={(event) => setTyped(event.target.value)}
          onKeyDown={onKeyDown}
        />
        <Button look="plain" onClick={add} disabled={typed.trim() === ''}>
          Add it
        </Button>
      </div>
    </div>
  );
}
