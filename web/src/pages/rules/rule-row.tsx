import { RULE_CHOICES } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { RULE_WORDS, type ChoiceRule } from '../../rules/rule-words.ts';

interface RuleRowProps {
  readonly label: string;
  readonly value: string;
  readonly options: readonly (readonly [value: string, words: string])[];
  readonly changed: boolean;
  readonly error?: string | undefined;
  readonly onChange: (value: string) => void;
}

/** A rule as a row of the form: what it is about, and its choices. */
export function RuleRow({ label, value, options, changed, error, onChange }: RuleRowProps): ReactNode {
  const numerals = useNumerals();
  return (
    <label className="grid items-center gap-x-4 border-t border-hairline py-1 sm:grid-cols-[17rem_minmax(0,1fr)]">
      <span className={changed ? 'font-semibold' : 'text-muted'}>{label}</span>
      <span>
        <select
          value={value}
          onChange={(event) => onChange(event.target.value)}
          aria-invalid={error !== undefined}
          className="min-h-11 w-full bg-transparent"
        >
          {options.map(([code, words]) => (
            <option key={code} value={code}>
              {numerals(words)}
            </option>
          ))}
        </select>
        {error !== undefined && (
          <span role="alert" className="block pb-2 text-small text-slip">
            {error}
          </span>
        )}
      </span>
    </label>
  );
}

/** The choices of a rule in the words of a class. */
export function optionsOf(rule: ChoiceRule): [string, string][] {
  const words: Readonly<Record<string, string>> = RULE_WORDS[rule].choices;
  return RULE_CHOICES[rule].map((choice) => [String(choice), words[choice] ?? String(choice)]);
}
