import { useId, type ReactNode } from 'react';

interface FileChoiceProps {
  readonly label: string;
  /** Endings and media types that are offered: `.json,application/json`. */
  readonly accept: string;
  readonly onFile: (file: File) => void;
}

/** A file to be chosen; the same one, mended, can be chosen again. */
export function FileChoice({ label, accept, onFile }: FileChoiceProps): ReactNode {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="font-semibold">
        {label}
      </label>
      <input
        id={id}
        type="file"
        accept={accept}
        className="block min-h-11 py-2"
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) onFile(file);
          event.target.value = '';
        }}
      />
    </div>
  );
}
