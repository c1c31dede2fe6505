import type { TapeLine as Worked } from '@green-beam/core';
import { useEffect, useRef, type KeyboardEvent, type ReactNode } from 'react';
import { TapeLine } from './tape-line.tsx';

interface TapeProps {
  readonly lines: readonly string[];
  readonly workedLines: readonly string[];
  readonly results: readonly Worked[];
  readonly selected: number;
  /** The line to be written on next; a new object each time somebody is to be taken there. */
  readonly goTo: { readonly line: number } | null;
  readonly onGoTo: (line: number) => void;
  readonly onWrite: (lines: readonly string[]) => void;
  readonly onSelect: (index: number) => void;
}

/** The tape: Enter begins a line, Backspace in an empty one takes it away, the arrows go from line to line. */
export function Tape({ lines, workedLines, results, selected, goTo, onGoTo, onWrite, onSelect }: TapeProps): ReactNode {
  const inputs = useRef<(HTMLInputElement | null)[]>([]);
  useEffect(() => {
    if (goTo) inputs.current[goTo.line]?.focus();
  }, [goTo]);
  const onKey = (index: number, event: KeyboardEvent<HTMLInputElement>): void => {
    if (event.key === 'Enter') {
      event.preventDefault();
      onGoTo(index + 1);
      onWrite([...lines.slice(0, index + 1), '', ...lines.slice(index + 1)]);
    } else if (event.key === 'Backspace' && lines[index] === '' && lines.length > 1) {
      event.preventDefault();
      onGoTo(Math.max(0, index - 1));
      onWrite(lines.filter((_, i) => i !== index));
    } else if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      const next = inputs.current[index + (event.key === 'ArrowDown' ? 1 : -1)];
      if (!next) return;
      event.preventDefault();
      next.focus();
    }
  };
  return (
    <ol className="mt-4 border-b border-hairline" aria-label="Tape">
      {lines.map((text, index) => (
        <TapeLine
          key={index}
          number={index + 1}
          text={text}
          workedText={workedLines[index] ?? ''}
          worked={results[index]}
          selected={index === selected}
          inputRef={(input) => {
            inputs.current[index] = input;
          }}
          onWrite={(typed) => onWrite(lines.map((line, i) => (i === index ? typed : line)))}
          onSelect={() => onSelect(index)}
          onKey={(event) => onKey(index, event)}
        />
      ))}
    </ol>
  );
}
