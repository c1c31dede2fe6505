import { useId, useState, type ReactNode } from 'react';

/** A slip of paper for what has to be remembered until the answer is written: a vessel alone, a zero error read three times. */
export function NotePad({ asked = 'Note for yourself' }: { readonly asked?: string }): ReactNode {
  const id = useId();
  const [notes, setNotes] = useState<readonly string[]>([]);
  const [text, setText] = useState('');
  return (
    <form
      className="mt-1"
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim() === '') return;
        setNotes((before) => [...before, text.trim()]);
        setText('');
      }}
    >
      {notes.length > 0 && (
        <ul aria-label="Your notes" className="flex flex-wrap gap-x-5 border-l-[3px] border-hairline pl-4 font-mono">
          {notes.map((note, i) => (
            <li key={i}>{note}</li>
          ))}
        </ul>
      )}
      <label htmlFor={id} className="flex items-baseline gap-3 text-small text-muted">
        {asked}
        <input
          id={id}
          value={text}
          maxLength={60}
          autoComplete="off"
          onChange={(event) => setText(event.target.value)}
          className="min-h-11 w-40 min-w-0 border-b border-ink bg-transparent font-mono text-base text-ink"
        />
      </label>
    </form>
  );
}
