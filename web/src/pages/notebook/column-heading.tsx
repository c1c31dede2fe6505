import type { ToolChoice } from '@green-beam/contract';
import { instrumentById, type NamedTool, type ComputedQuantity, type ReadQuantity } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';

function signed(value: number): string {
  return `${value > 0 ? '+' : '−'}${Math.abs(value)}`;
}

interface ColumnHeadingProps {
  readonly quantity: ReadQuantity | ComputedQuantity;
  /** The tool the column is read on; null for what is worked out. */
  readonly instrumentId: string | null;
  readonly mayWrite: boolean;
  readonly onChoose: (instrumentId: string, tool: ToolChoice | null) => void;
  /** The very tool, where one of the cabinet is named, and those of the cabinet there are to choose from. */
  readonly tool: NamedTool | null;
  readonly cabinet: readonly ToolChoice[];
}

/** A kind of tool, or one of the cabinet, as a choice of a list. */
const valueOf = (instrumentId: string, code: string): string => `${instrumentId};${code}`;

/** A column's name, its unit, and the tool that says how many decimals belong in it. */
export function ColumnHeading({
  quantity,
  instrumentId,
  mayWrite,
  onChoose,
  tool,
  cabinet,
}: ColumnHeadingProps): ReactNode {
  const numerals = useNumerals();
  const kinds: readonly string[] = quantity.kind === 'read' ? quantity.instruments : [];
  const fitting = cabinet.filter((one) => kinds.includes(one.instrumentId));
  const choose = (value: string): void => {
    const [id = '', code = ''] = value.split(';');
    onChoose(id, fitting.find((one) => one.code === code) ?? null);
  };
  return (
    <th
      scope="col"
      className={`px-3 py-2 text-right font-semibold ${quantity.kind === 'computed' ? 'bg-ink/[0.035]' : ''}`}
    >
      {quantity.name}
      <span className="block">{quantity.unit}</span>
      {instrumentId !== null &&
        (mayWrite && kinds.length + fitting.length > 1 ? (
          <select
            aria-label={`Tool for ${quantity.name.toLowerCase()}`}
            value={valueOf(instrumentId, tool?.code ?? '')}
            onChange={(event) => choose(event.target.value)}
            className="-mr-1 min-h-9 max-w-full bg-transparent text-right font-normal text-muted"
          >
            {kinds.map((id) => (
              <option key={id} value={valueOf(id, '')}>
                {numerals(instrumentById(id).name)}
              </option>
            ))}
            {fitting.map(({ id, code, instrumentId: kind }) => (
              <option key={id} value={valueOf(kind, code)}>{`${code}, ${numerals(instrumentById(kind).name)}`}</option>
            ))}
            {tool && !fitting.some(({ code }) => code === tool.code) && (
              <option value={valueOf(instrumentId, tool.code)}>{tool.code}</option>
            )}
          </select>
        ) : (
          <span className="block min-h-9 content-center font-normal text-muted">
            {tool ? `${tool.code}, ` : ''}
            {numerals(instrumentById(instrumentId).name)}
          </span>
        ))}
      {tool && tool.zeroError !== 0 && (
        <span className="block font-normal text-doubt">
          {numerals(`${signed(tool.zeroError)} ${quantity.unit} taken off`)}
        </span>
      )}
    </th>
  );
}
