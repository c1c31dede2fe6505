import { useEffect, type ReactNode, type Ref } from 'react';
import { beginTyping, endTyping } from '../../../ui/typing.ts';
import { MeasuredNumber } from '../../../numbers/measured-number.tsx';
import { shortened } from '../../shortened.ts';
import type { ItemWork } from './use-entry.ts';

/** Units that readings are written in. */
const READ_IN = ['mL', 'cm³', 'mm', 'cm', 'in', '°C', 'g', 'g/mL', 'g/cm³'];

/** What is to be written for a time, and the units to pick from. */
const TIME = { placeholder: 'h:min:s', units: ['h:min:s', 'min', 's'] };

/** What is said where a reading is to be written, by the unit its tool is marked in. */
export function writingOf(unitMark: string): Pick<AnswerLineProps, 'placeholder' | 'units'> {
  return unitMark === TIME.placeholder ? TIME : {};
}

/** The entry with another unit at its end. */
function withUnit(entry: string, unit: string): string {
  return `${entry.replace(/\s*[^\d.,eE+\-−\s][^\d]*$/u, '').trim()} ${unit}`.trim();
}

function EntryShown({ text, sound }: { readonly text: string; readonly sound: boolean }): ReactNode {
  const [, digits = text, unit = ''] = /^\s*([\d.,:eE−-]+)\s*(.*)$/u.exec(text) ?? [];
  const plain = /^[−-]?\d[\d.,:]*(?:[eE][−-]?\d+)?$/.test(digits);
  return plain ? (
    <MeasuredNumber text={digits} unit={unit} struck={!sound} />
  ) : (
    <span className={sound ? '' : 'text-slip line-through'}>{shortened(text)}</span>
  );
}

const ORDINALS = ['first', 'second', 'third'];

interface AnswerLineProps {
  readonly entry: Pick<ItemWork, 'made' | 'entry' | 'last' | 'notChecked' | 'write'>;
  /** What is to be written, for who cannot see the line. */
  readonly label: string;
  readonly placeholder?: string;
  /** Units to pick from; none where the answer has none. */
  readonly units?: readonly string[];
  readonly inputRef: Ref<HTMLInputElement>;
  readonly onEnter: () => void;
}

/** What was written before, struck through where it was wrong, and the line to write on. */
export function AnswerLine({
  entry: work,
  label,
  placeholder = 'number and unit',
  units = READ_IN,
  inputRef,
  onEnter,
}: AnswerLineProps): ReactNode {
  const { made, entry, last, notChecked } = work;
  const closed = last?.closed ?? false;
  useEffect(() => endTyping, []);
  const readable = made.filter(({ result }) => result.verdict !== 'unreadable' && result.verdict !== 'shown');
  return (
    <div className="typing:mt-2 mt-6">
      <ul>
        {readable.map(({ text, result }) => (
          <li key={result.attemptId} className="flex items-baseline justify-between text-reading">
            <EntryShown text={text} sound={result.verdict === 'sound'} />
            <span className="text-small text-muted">{`${ORDINALS[result.tryNumber - 1] ?? 'last'} try`}</span>
          </li>
        ))}
      </ul>
      {!closed && !notChecked && (
        <form
          className="flex items-stretch border-b-2 border-ink bg-surface focus-within:border-beam"
          onSubmit={(event) => {
            event.preventDefault();
            onEnter();
          }}
        >
          <input
            ref={inputRef}
            value={entry}
            onChange={(event) => work.write(event.target.value)}
            aria-label={label}
            placeholder={placeholder}
            autoComplete="off"
            spellCheck={false}
            enterKeyHint="go"
            onFocus={beginTyping}
            onBlur={endTyping}
            className="min-h-14 min-w-0 flex-1 bg-transparent px-3 font-mono text-reading placeholder:font-sans placeholder:text-base placeholder:text-muted"
          />
          {units.length > 0 && (
            <select
              aria-label="Unit"
              value=""
              onChange={(event) => work.write(withUnit(entry, event.target.value))}
              className="w-20 border-l border-hairline bg-transparent px-2 text-muted"
            >
              <option value="" disabled>
                unit
              </option>
              {units.map((unit) => (
                <option key={unit}>{unit}</option>
              ))}
            </select>
          )}
        </form>
      )}
    </div>
  );
}
