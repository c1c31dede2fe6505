import { partsAdded, partsIn, readingParts, resultIn, type HouseRules, type Instrument } from '@green-beam/core';
import { useEffect, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { unitText } from '../../../numbers/unit-text.ts';

interface PartsEditorProps {
  readonly label: string;
  readonly tool: Instrument;
  /** The unit of the heading. */
  readonly unit: string;
  readonly rules: HouseRules;
  /** Who adds the parts up. */
  readonly sums: 'page' | 'student';
  /** What stands in the cell. */
  readonly standing: string;
  readonly onDone: (text: string) => void;
  readonly onLeave: () => void;
}

const FIELD = 'min-h-11 w-24 border-b-2 border-beam bg-surface px-2 text-right font-mono text-lg';

/** A reading written in the parts it is read in, and what they add up to. */
export function PartsEditor({
  label,
  tool,
  unit,
  rules,
  sums,
  standing,
  onDone,
  onLeave,
}: PartsEditorProps): ReactNode {
  const numerals = useNumerals();
  const known = readingParts(tool, rules);
  const read = partsIn(standing, tool, rules);
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>(
    Object.fromEntries(read.map(({ part, text }) => [part.id, text])),
  );
  const [together, setTogether] = useState(resultIn(standing));
  const first = useRef<HTMLInputElement>(null);
  // It opens where the person has just chosen to write in parts; focus belongs there.
  useEffect(() => first.current?.focus(), []);
  const written = known.map(({ id }) => `${id} ${(texts[id] ?? '').trim().replace(',', '.')}`).join(' + ');
  const parts = partsIn(`${written} =`, tool, rules);
  const sum = parts.length > 0 ? partsAdded(tool, parts, unit, rules) : '';
  const result = sums === 'page' ? sum : together.trim();
  const finish = (): void => {
    if (parts.length > 0 && result !== '') onDone(`${written} = ${result}`);
  };
  const press = (event: KeyboardEvent): void => {
    if (event.key === 'Escape') onLeave();
    if (event.key !== 'Enter') return;
    event.preventDefault();
    finish();
  };
  return (
    <div role="group" aria-label={`${label}, in parts`} className="flex flex-col items-end gap-1">
      {known.map(({ id, name, unit: own }, i) => (
        <label key={id} className="flex items-center gap-2 text-small">
          {name}
          {own === '' ? '' : `, ${unitText(own)}`}
          <input
            ref={i === 0 ? first : undefined}
            value={texts[id] ?? ''}
            onChange={(event) => setTexts({ ...texts, [id]: event.target.value })}
            onKeyDown={press}
            inputMode="decimal"
            maxLength={20}
            className={FIELD}
          />
        </label>
      ))}
      <div className="flex min-h-11 items-center gap-2 border-t border-ink text-small">
        {sums === 'page' ? (
          <>
            together
            <output className="font-mono text-lg">
              {numerals(sum)} {unitText(unit)}
            </output>
          </>
        ) : (
          <label className="flex items-center gap-2">
            together, {unitText(unit)}
            <input
              value={together}
              onChange={(event) => setTogether(event.target.value)}
              onKeyDown={press}
              inputMode="decimal"
              maxLength={40}
              className={FIELD}
            />
          </label>
        )}
      </div>
      <div className="flex gap-4">
        <button
          type="button"
          className="min-h-11 text-small font-semibold underline underline-offset-4 disabled:opacity-50"
          disabled={parts.length === 0 || result === ''}
          onClick={finish}
        >
          Write it down
        </button>
        <button type="button" className="min-h-11 text-small text-muted underline underline-offset-4" onClick={onLeave}>
          Cancel
        </button>
      </div>
    </div>
  );
}
