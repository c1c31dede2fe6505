import { useId, type ReactNode } from 'react';
import { useController, useFormContext } from 'react-hook-form';
import { Field } from '../../../ui/field.tsx';
import { Ticks } from '../../../ui/ticks.tsx';
import { useFault } from './faults-here.ts';

/* The fields of the editor: each at a place of the lab sheet, with what is wrong there right under it. */

interface Bound {
  /** The place in the lab sheet, as the form calls it: `steps.0.title`. */
  readonly name: string;
  readonly label: string;
  readonly hint?: string;
}

/** A fault as a sentence of its own: “is missing” becomes “Is missing”. One that begins with a unit or a name stays as it is. */
export const asSentence = (fault: string | undefined): string | undefined =>
  fault?.replace(/^(is|has|needs)(?= )/, (word) => `${word[0]?.toUpperCase() ?? ''}${word.slice(1)}`);

export function TextField({ name, isMono = false, ...rest }: Bound & { readonly isMono?: boolean }): ReactNode {
  const { register } = useFormContext();
  const fault = asSentence(useFault(name));
  return (
    <Field
      {...rest}
      {...(isMono ? { className: 'font-mono', spellCheck: false, autoComplete: 'off' } : {})}
      error={fault}
      {...register(name)}
    />
  );
}

export function NumberField({ name, ...rest }: Bound): ReactNode {
  const { register } = useFormContext();
  const fault = asSentence(useFault(name));
  return (
    <Field
      {...rest}
      inputMode="decimal"
      className="w-24 font-mono"
      error={fault}
      {...register(name, {
        setValueAs: (typed?: string | number | null) =>
          typed === '' || typed === undefined || typed === null ? undefined : Number(`${typed}`.replace(',', '.')),
      })}
    />
  );
}

const AREA = 'w-full border-b-2 bg-surface p-3';

/** Several lines to write on. */
export function TextArea({ name, label, hint, rows = 3 }: Bound & { readonly rows?: number }): ReactNode {
  const { register } = useFormContext();
  const fault = asSentence(useFault(name));
  return <Area label={label} note={fault ?? hint} isFault={fault !== undefined} rows={rows} {...register(name)} />;
}

interface AreaProps extends React.TextareaHTMLAttributes<HTMLTextAreaElement> {
  readonly label: string;
  readonly note: string | undefined;
  readonly isFault: boolean;
  readonly ref?: React.Ref<HTMLTextAreaElement>;
}

function Area({ label, note, isFault, className = '', ...rest }: AreaProps): ReactNode {
  const id = useId();
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="text-small font-semibold">
        {label}
      </label>
      <textarea
        id={id}
        aria-invalid={isFault}
        aria-describedby={note === undefined ? undefined : `${id}-note`}
        className={`${AREA} ${isFault ? 'border-slip' : 'border-ink'} ${className}`}
        {...rest}
      />
      {note !== undefined && (
        <p
          id={`${id}-note`}
          role={isFault ? 'alert' : undefined}
          className={`text-small ${isFault ? 'text-slip' : 'text-muted'}`}
        >
          {note}
        </p>
      )}
    </div>
  );
}

interface LinesShownProps {
  readonly label: string;
  readonly hint?: string | undefined;
  readonly fault: string | undefined;
  readonly rows: number;
  readonly lines: readonly string[];
  readonly onChange: (lines: readonly string[]) => void;
}

/** Several texts, one in a line. */
export function LinesShown({ label, hint, fault, rows, lines, onChange }: LinesShownProps): ReactNode {
  return (
    <Area
      label={label}
      note={asSentence(fault) ?? hint}
      isFault={fault !== undefined}
      rows={rows}
      value={lines.join('\n')}
      onChange={(event) => onChange(event.target.value === '' ? [] : event.target.value.split('\n'))}
    />
  );
}

/** A list of texts, one in a line. */
export function LinesField({ name, rows = 4, ...rest }: Bound & { readonly rows?: number }): ReactNode {
  const { field } = useController({ name });
  const fault = useFault(name, true);
  const lines = Array.isArray(field.value) ? (field.value as readonly string[]) : [];
  return <LinesShown {...rest} fault={fault} rows={rows} lines={lines} onChange={field.onChange} />;
}

export interface Choice {
  readonly id: string;
  readonly name: string;
}

/** One of several, from a list that opens. @param none what stands for nothing, where that can be chosen. */
export function ChoiceField({
  name,
  label,
  choices,
  none,
}: Bound & { readonly choices: readonly Choice[]; readonly none?: string }): ReactNode {
  const { field } = useController({ name });
  const fault = asSentence(useFault(name, true));
  const value = typeof field.value === 'string' ? field.value : '';
  return (
    <Select
      label={label}
      value={value}
      onChange={(chosen) => field.onChange(chosen === '' ? undefined : chosen)}
      choices={choices}
      none={none ?? (choices.some(({ id }) => id === value) ? undefined : 'choose')}
      fault={fault}
    />
  );
}

interface SelectProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly choices: readonly Choice[];
  readonly none?: string | undefined;
  readonly fault?: string | undefined;
}

/** A list that opens, with its label. */
export function Select({ label, value, onChange, choices, none, fault }: SelectProps): ReactNode {
  return (
    <label className="flex min-w-0 flex-col gap-1 text-small font-semibold">
      {label}
      <select
        value={value}
        onChange={(event) => onChange(event.target.value)}
        aria-invalid={fault !== undefined}
        className={`min-h-11 w-full min-w-0 border-b-2 bg-surface px-2 text-base font-normal ${fault === undefined ? 'border-ink' : 'border-slip'}`}
      >
        {none !== undefined && <option value="">{none}</option>}
        {choices.map((choice) => (
          <option key={choice.id} value={choice.id}>
            {choice.name}
          </option>
        ))}
      </select>
      {fault !== undefined && (
        <span role="alert" className="font-normal text-slip">
          {fault}
        </span>
      )}
    </label>
  );
}

/** Any number of several. */
export function TicksField({ name, label, choices }: Bound & { readonly choices: readonly Choice[] }): ReactNode {
  const { field } = useController({ name });
  const fault = asSentence(useFault(name, true));
  const chosen = Array.isArray(field.value) ? (field.value as readonly string[]) : [];
  return <Ticks legend={label} options={choices} chosen={chosen} onChange={field.onChange} error={fault} />;
}

export function YesField({ name, label }: Bound): ReactNode {
  const { register } = useFormContext();
  return (
    <label className="flex min-h-11 items-center gap-3">
      <input type="checkbox" className="size-5 accent-beam" {...register(name)} />
      {label}
    </label>
  );
}
