import { toolKindName, toolKinds } from '@green-beam/core';
import { X } from 'lucide-react';
import { useMemo, type ReactNode } from 'react';
import { useController } from 'react-hook-form';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { Select } from './fields.tsx';
import { useFault } from './faults-here.ts';

/** A kind of tool by its name; what is no kind of tool, as it is written. */
function nameOf(kind: string): string {
  return toolKinds().includes(kind) ? toolKindName(kind) : kind;
}

/** The kinds of tools that something can be read on, the usual one first. */
export function ToolsField({ name, label }: { readonly name: string; readonly label: string }): ReactNode {
  const numerals = useNumerals();
  const { field } = useController({ name });
  const fault = useFault(name, true);
  const kinds = useMemo(
    () => toolKinds().map((kind) => ({ id: kind, name: numerals(toolKindName(kind)) })),
    [numerals],
  );
  const chosen = Array.isArray(field.value) ? (field.value as readonly string[]) : [];
  return (
    <fieldset className="border-t border-hairline pt-3">
      <legend className="sr-only">{label}: tools</legend>
      <p className="font-semibold">{label}</p>
      <ul className="flex flex-wrap gap-x-4">
        {chosen.map((kind, i) => (
          <li key={kind} className="flex items-center">
            <span>
              {numerals(nameOf(kind))}
              {i === 0 && chosen.length > 1 && <span className="text-muted"> (usual)</span>}
            </span>
            <button
              type="button"
              className="flex size-11 items-center justify-center hover:bg-wash"
              aria-label={`${label}: without ${nameOf(kind)}`}
              onClick={() => field.onChange(chosen.filter((one) => one !== kind))}
            >
              <X size={16} aria-hidden="true" />
            </button>
          </li>
        ))}
      </ul>
      <div className="max-w-sm">
        <Select
          label={`Add a tool for ${label.toLowerCase()}`}
          value=""
          none="choose"
          onChange={(kind) => kind !== '' && field.onChange([...chosen, kind])}
          choices={kinds.filter(({ id }) => !chosen.includes(id))}
          fault={fault === undefined ? undefined : 'Choose at least one tool that is known here.'}
        />
      </div>
    </fieldset>
  );
}
