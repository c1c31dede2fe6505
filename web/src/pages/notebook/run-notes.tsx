import type { RunPage } from '@green-beam/contract';
import { MATERIALS, type EvaluatedRun } from '@green-beam/core';
import { useId, useState, type ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { currentIn } from './use-run.ts';

const COMPARE = 'Compare with';
const OWN_VALUE = 'or with your own value, g/mL';

interface NotesProps {
  readonly page: RunPage;
  readonly evaluated: EvaluatedRun;
  readonly onWrite: (slot: string, text: string) => void;
}

function Choice({
  label,
  value,
  options,
  onChoose,
}: {
  readonly label: string;
  readonly value: string;
  readonly options: readonly (readonly [id: string, name: string])[];
  readonly onChoose: (id: string) => void;
}): ReactNode {
  const id = useId();
  return (
    <div className="flex flex-col">
      <label htmlFor={id} className="text-small font-semibold">
        {label}
      </label>
      <select
        id={id}
        value={value}
        onChange={(event) => onChoose(event.target.value)}
        className="min-h-11 border-b-2 border-ink bg-surface px-2"
      >
        <option value="" disabled>
          choose
        </option>
        {options.map(([option, name]) => (
          <option key={option} value={option}>
            {name}
          </option>
        ))}
      </select>
    </div>
  );
}

/** What was written, on a page that is only read: as text, not as a field. */
function Written({ label, text }: { readonly label: string; readonly text: string }): ReactNode {
  return (
    <div>
      <dt className="text-small font-semibold">{label}</dt>
      <dd className={`py-2 ${text === '' ? 'text-muted' : ''}`}>{text === '' ? 'not written' : text}</dd>
    </div>
  );
}

/** What belongs to the whole run: the accepted value, what was seen, the temperature of the water. */
export function RunChoices({ page, evaluated, onWrite }: NotesProps): ReactNode {
  const numerals = useNumerals();
  const text = (slot: string): string => currentIn(evaluated, slot)?.text ?? '';
  const chosen = text('accepted');
  const observed = page.protocol.quantities.filter((quantity) => quantity.kind === 'observed');
  const materials = MATERIALS.filter((material) => material.phase === 'solid').map((material): [string, string] => [
    material.id,
    numerals(
      `${material.name}, ${material.density[0]}${material.density[1] === material.density[0] ? '' : ` to ${material.density[1]}`}`,
    ),
  ]);
  const isMaterial = materials.some(([id]) => id === chosen);
  if (!page.mayWrite)
    return (
      <dl className="mt-4 flex flex-wrap gap-x-10">
        <Written
          label={isMaterial ? COMPARE : OWN_VALUE}
          text={materials.find(([id]) => id === chosen)?.[1] ?? chosen}
        />
        {observed.map(({ id, name, choices }) => (
          <Written key={id} label={name} text={choices.find((choice) => choice.id === text(id))?.name ?? ''} />
        ))}
        <Written label="Water, °C" text={text('temperature')} />
      </dl>
    );
  return (
    <div className="mt-4 flex flex-wrap gap-6">
      <Choice
        label={COMPARE}
        value={isMaterial ? chosen : ''}
        options={materials}
        onChoose={(id) => onWrite('accepted', id)}
      />
      <OneLine
        label={OWN_VALUE}
        standing={isMaterial ? '' : chosen}
        placeholder={numerals('8.80')}
        onWrite={(value) => onWrite('accepted', value)}
      />
      {observed.map((quantity) => (
        <Choice
          key={quantity.id}
          label={quantity.name}
          value={text(quantity.id)}
          options={quantity.choices.map((choice): [string, string] => [choice.id, choice.name])}
          onChoose={(id) => onWrite(quantity.id, id)}
        />
      ))}
      <OneLine
        label="Water, °C"
        standing={text('temperature')}
        placeholder="20"
        onWrite={(value) => onWrite('temperature', value)}
      />
    </div>
  );
}

interface Draft {
  readonly value: string;
  readonly onChange: (event: { readonly target: { readonly value: string } }) => void;
  readonly onBlur: () => void;
}

/** What is being typed, until the field is left and it goes into the log. */
function useDraft(standing: string, onWrite: (text: string) => void): Draft {
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

interface OneLineProps {
  readonly label: string;
  readonly standing: string;
  readonly placeholder: string;
  readonly onWrite: (text: string) => void;
}

function OneLine({ label, standing, placeholder, onWrite }: OneLineProps): ReactNode {
  const id = useId();
  const draft = useDraft(standing, onWrite);
  return (
    <div className="flex flex-col">
      <label htmlFor={id} className="text-small font-semibold">
        {label}
      </label>
      <input
        id={id}
        placeholder={placeholder}
        className="min-h-11 w-28 border-b-2 border-ink bg-surface px-2 font-mono"
        {...draft}
      />
    </div>
  );
}

/** The questions of the laboratory with the group’s answers. */
export function Questions({ page, evaluated, onWrite }: NotesProps): ReactNode {
  return (
    <section className="mt-10">
      <h2 className="text-lg font-bold">Conclusion</h2>
      {page.protocol.questions.map((question) => (
        <Answer
          key={question.id}
          slot={`answer.${question.id}`}
          question={question.text}
          page={page}
          evaluated={evaluated}
          onWrite={onWrite}
        />
      ))}
    </section>
  );
}

function Answer({
  slot,
  question,
  page,
  evaluated,
  onWrite,
}: NotesProps & { readonly slot: string; readonly question: string }): ReactNode {
  const id = useId();
  const standing = currentIn(evaluated, slot)?.text ?? '';
  const draft = useDraft(standing, (text) => onWrite(slot, text));
  if (!page.mayWrite)
    return (
      <div className="mt-4 max-w-3xl">
        <p>{question}</p>
        <p
          className={`mt-1 border-l-2 border-hairline py-1 pl-3 whitespace-pre-line ${standing === '' ? 'text-muted' : ''}`}
        >
          {standing === '' ? 'not answered' : standing}
        </p>
      </div>
    );
  return (
    <div className="mt-4 flex flex-col gap-1">
      <label htmlFor={id}>{question}</label>
      <textarea id={id} rows={2} className="max-w-3xl border-b border-hairline bg-surface p-2" {...draft} />
    </div>
  );
}
