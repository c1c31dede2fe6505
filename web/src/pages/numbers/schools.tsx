import { PRESETS, type Calculation, type HouseRules } from '@green-beam/core';
import { useState, type ReactNode } from 'react';
import { CalculatedNumber } from '../../numbers/calculated-number.tsx';
import { useTape } from '../../numbers/use-tape.ts';

/** Schools a calculation can be looked at by: the presets, and the class’s own rules with one of them changed. */
function schoolsBeside(
  rules: HouseRules,
): readonly { readonly id: string; readonly name: string; readonly rules: HouseRules }[] {
  const changed: readonly (readonly [string, string, Partial<HouseRules>])[] = [
    ['even', 'Halves to the even digit', { rounding: 'half-even' }],
    ['away', 'Halves away from zero', { rounding: 'half-up' }],
    ['mean-readings', 'Means to the place of the readings', { meanPlace: 'by-readings' }],
    ['mean-error', 'Means to the place of their standard error', { meanPlace: 'by-uncertainty' }],
    ['one', 'Uncertainties to one figure', { uncertaintyFigures: 'one' }],
    ['two', 'Uncertainties to two figures', { uncertaintyFigures: 'two' }],
  ];
  const variations = changed.map(([id, name, change]) => ({ id, name, rules: { ...rules, ...change } }));
  return [
    ...variations.filter((school) =>
      Object.keys(rules).some((rule) => school.rules[rule as keyof HouseRules] !== rules[rule as keyof HouseRules]),
    ),
    ...PRESETS.map(({ id, name, rules: preset }) => ({
      id,
      name,
      rules: { ...preset, decimalMark: rules.decimalMark },
    })),
  ];
}

interface SchoolsProps {
  readonly lines: readonly string[];
  /** The line that is compared. */
  readonly index: number;
  readonly rules: HouseRules;
  /** What the class’s rules are called. */
  readonly ruleName: string;
  readonly shown: Calculation;
}

/** The same calculation by another school, side by side. */
export function Schools({ lines, index, rules, ruleName, shown }: SchoolsProps): ReactNode {
  const [chosen, setChosen] = useState('even');
  const schools = schoolsBeside(rules);
  const school = schools.find(({ id }) => id === chosen) ?? schools[0];
  const { results } = useTape(lines, school?.rules ?? rules);
  const other = results[index]?.calculation;
  const same = other?.text === shown.text && other.uncertainty === shown.uncertainty;
  return (
    <section aria-labelledby="other-school" className="mt-8">
      <h3 id="other-school" className="font-bold">
        By another method
      </h3>
      <table className="mt-2 w-full">
        <tbody>
          <tr className="border-t border-hairline">
            <th scope="row" className="py-2 pr-4 text-left font-normal text-muted">
              {ruleName}, as here
            </th>
            <td className="py-2 text-right text-xl">
              <CalculatedNumber calculation={shown} />
            </td>
          </tr>
          <tr className="border-y border-hairline">
            <th scope="row" className="py-2 pr-4 text-left font-normal">
              <select
                aria-labelledby="other-school"
                value={school?.id}
                onChange={(event) => setChosen(event.target.value)}
                className="min-h-11 w-full max-w-72 border-b-2 border-ink bg-surface px-2"
              >
                {schools.map(({ id, name }) => (
                  <option key={id} value={id}>
                    {name}
                  </option>
                ))}
              </select>
            </th>
            <td className="py-2 text-right text-xl">{other && <CalculatedNumber calculation={other} />}</td>
          </tr>
        </tbody>
      </table>
      {other && (
        <p className="mt-1 text-small text-muted">
          {same ? 'Both methods agree on this line.' : 'Both carry the same digits. They write them differently.'}
        </p>
      )}
    </section>
  );
}
