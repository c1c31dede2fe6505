import { useState } from 'react';

/** A field that is being typed in. */
export interface Draft {
  readonly value: string;
  readonly onChange: (event: { readonly target: { readonly value: string } }) => void;
  readonly onBlur: () => void;
}

/** What is being typed, until the field is left and it goes into the log. */
export function useFieldDraft(standing: string, onWrite: (text: string) => void): Draft {
  const [text, setText] = useState<string | null>(null);
  return {
    value: text ?? standing,
    onChange: (event) => setText(event.target.value),
    onBlur: () => {
      if (text !== null && text.trim() !== standing) onWrite(text.trim());
      setText(null);
    },
  };
}
