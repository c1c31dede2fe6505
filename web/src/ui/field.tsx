import { useId, type InputHTMLAttributes, type ReactNode, type Ref } from 'react';

interface FieldProps extends InputHTMLAttributes<HTMLInputElement> {
  readonly label: string;
  readonly hint?: string;
  readonly error?: string | undefined;
  readonly ref?: Ref<HTMLInputElement>;
}

/** A labelled line to write on, with its error right under it. */
export function Field({ label, hint, error, className = '', ...rest }: FieldProps): ReactNode {
  const id = useId();
  const note = error ?? hint;
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="text-small font-semibold">
        {label}
      </label>
      <input
        id={id}
        aria-invalid={error !== undefined}
        aria-describedby={note === undefined ? undefined : `${id}-note`}
        className={`min-h-11 border-b-2 bg-surface px-3 ${error === undefined ? 'border-ink' : 'border-slip'} ${className}`}
        {...rest}
      />
      {note !== undefined && (
        <p
          id={`${id}-note`}
          role={error === undefined ? undefined : 'alert'}
          className={`text-small ${error === undefined ? 'text-muted' : 'text-slip'}`}
        >
          {note}
        </p>
      )}
    </div>
  );
}
