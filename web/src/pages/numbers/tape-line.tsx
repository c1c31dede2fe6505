import { nameLatex, type TapeLine as Worked } from '@green-beam/core';
import { lazy, type KeyboardEvent, type ReactNode, type Ref } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { CalculatedNumber } from '../../numbers/calculated-number.tsx';
import { FetchedPart } from '../../ui/fetched-part.tsx';

const Typeset = lazy(() => import('../../numbers/typeset.tsx'));

/** The place a mistake points at, under the line as it was typed. */
function Pointed({ line, at }: { readonly line: string; readonly at: number }): ReactNode {
  const shown = line.slice(0, 200);
  const place = Math.min(at, shown.length);
  return (
    <span className="block overflow-x-auto font-mono whitespace-pre" aria-hidden="true">
      {shown.slice(0, place)}
      <mark className="bg-slip-pale text-ink">{shown.slice(place, place + 1) || ' '}</mark>
      {shown.slice(place + 1)}
    </span>
  );
}

interface TapeLineProps {
  readonly number: number;
  readonly text: string;
  /** The text the result belongs to; while a newer one is worked out, the one before it. */
  readonly workedText: string;
  readonly worked: Worked | undefined;
  readonly selected: boolean;
  readonly inputRef: Ref<HTMLInputElement>;
  readonly onWrite: (text: string) => void;
  readonly onSelect: () => void;
  readonly onKey: (event: KeyboardEvent<HTMLInputElement>) => void;
}

/** One line of the tape: what is typed, the same typeset, and its result or what is wrong with it. */
export function TapeLine({
  number,
  text,
  workedText,
  worked,
  selected,
  inputRef,
  onWrite,
  onSelect,
  onKey,
}: TapeLineProps): ReactNode {
  const numerals = useNumerals();
  const { name, calculation, mistake } = worked ?? { name: null, calculation: null, mistake: null };
  const messageId = `mistake-${number}`;
  return (
    <li
      className={`border-t border-hairline py-2 pl-4 ${selected ? 'border-l-[3px] border-l-beam' : 'border-l-[3px] border-l-transparent'}`}
    >
      <input
        ref={inputRef}
        value={text}
        onChange={(event) => onWrite(event.target.value)}
        onFocus={onSelect}
        onKeyDown={onKey}
        aria-label={`Line ${number}`}
        aria-invalid={mistake !== null}
        aria-describedby={mistake ? messageId : undefined}
        placeholder={number === 1 ? numerals('m = 24.31 g') : 'a number, a calculation, a name ='}
        autoComplete="off"
        autoCapitalize="off"
        spellCheck={false}
        enterKeyHint="next"
        className="min-h-11 w-full border-b border-hairline bg-transparent font-mono text-xl placeholder:text-base placeholder:text-muted focus:border-beam"
      />
      {mistake && (
        <p id={messageId} className="mt-1 text-small text-slip">
          {numerals(mistake.message)}
          {mistake.at !== null && <Pointed line={workedText} at={mistake.at} />}
        </p>
      )}
      {mistake === null && text.trim() !== '' && (
        // The room of a result, a fraction in it too, is kept from the first: what stands below does not move away under a finger.
        <div className="flex min-h-15 flex-wrap items-center justify-between gap-x-6">
          {calculation && (
            <>
              <FetchedPart fallback={<span className="text-muted">…</span>}>
                <Typeset latex={name === null ? calculation.latex : `${nameLatex(name)} = ${calculation.latex}`} />
              </FetchedPart>
              <output className="ml-auto text-reading">
                <CalculatedNumber calculation={calculation} />
              </output>
            </>
          )}
        </div>
      )}
    </li>
  );
}
