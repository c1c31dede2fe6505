import type { ByTolerance, HouseRules } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { MeasuredNumber } from '../../numbers/measured-number.tsx';
import { ordinal, percentText, placeOf, signed, toleranceInWords } from './in-words.ts';

/** A tool’s line. */
export interface ToolLine {
  readonly key: string;
  readonly name: string;
  readonly error: number;
  readonly percentError: number | null;
  readonly averageDeviation: number | null;
  readonly spread: number | null;
  readonly standardError: number | null;
  readonly accuracy: number;
  readonly precision: number | null;
  readonly byTolerance: ByTolerance | null;
}

interface ToolsTableProps {
  readonly lines: readonly ToolLine[];
  readonly unit: string;
  readonly rules: HouseRules;
  readonly chosen: string;
  readonly onChoose: (key: string) => void;
}

const NUMBER = 'py-1.5 pl-4 text-right whitespace-nowrap';

function Figure({ value, place }: { readonly value: number | null; readonly place: number }): ReactNode {
  return value === null ? (
    <span className="text-muted">–</span>
  ) : (
    <MeasuredNumber text={signed(value, place).replace('+', '')} />
  );
}

/** Every tool with what its readings come to; pressed, its readings are shown. */
export function ToolsTable({ lines, unit, rules, chosen, onChoose }: ToolsTableProps): ReactNode {
  const numerals = useNumerals();
  const deviates = lines.some(({ averageDeviation }) => averageDeviation !== null);
  const isShared = lines.some(({ standardError }) => standardError !== null);
  return (
    <div className="relative overflow-x-auto">
      <table className="w-full">
        <thead>
          <tr className="border-b-[1.5px] border-ink align-bottom text-small">
            <th scope="col" className="py-1.5 text-left">
              Tool
            </th>
            <th scope="col" className={NUMBER}>
              Error, {unit}
            </th>
            <th scope="col" className={NUMBER}>
              Percent
            </th>
            {deviates && (
              <th scope="col" className={NUMBER}>
                Average
                <br />
                deviation
              </th>
            )}
            <th scope="col" className={NUMBER}>
              Standard
              <br />
              deviation
            </th>
            {isShared && (
              <th scope="col" className={NUMBER}>
                Standard
                <br />
                error
              </th>
            )}
            <th scope="col" className="py-1.5 pl-4 text-left">
              Accurate,
              <br />
              precise
            </th>
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => {
            const place = placeOf(line.spread, line.error);
            const error = signed(line.error, place);
            return (
              <tr
                key={line.key}
                className={`border-b border-hairline ${line.key === chosen ? 'bg-surface' : ''}`}
                title={toleranceInWords(line.byTolerance)}
              >
                <th scope="row" className="py-1.5 text-left font-normal">
                  <button
                    type="button"
                    aria-pressed={line.key === chosen}
                    onClick={() => onChoose(line.key)}
                    className="min-h-9 text-left underline decoration-hairline underline-offset-4 aria-pressed:font-bold aria-pressed:decoration-beam"
                  >
                    {numerals(line.name)}
                  </button>
                </th>
                <td className={NUMBER}>
                  {error.startsWith('+') && <span className="font-mono">+</span>}
                  <MeasuredNumber text={error.replace('+', '')} />
                </td>
                <td className={`${NUMBER} font-mono`}>
                  {line.percentError === null
                    ? '–'
                    : numerals(percentText(line.percentError, rules.percentError).replace('-', '−'))}
                </td>
                {deviates && (
                  <td className={NUMBER}>
                    <Figure value={line.averageDeviation} place={place} />
                  </td>
                )}
                <td className={NUMBER}>
                  <Figure value={line.spread} place={place} />
                </td>
                {isShared && (
                  <td className={NUMBER}>
                    <Figure value={line.standardError} place={placeOf(line.standardError, 0)} />
                  </td>
                )}
                <td className="py-1.5 pl-4 whitespace-nowrap">
                  {ordinal(line.accuracy)}, {line.precision === null ? '–' : ordinal(line.precision)}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
