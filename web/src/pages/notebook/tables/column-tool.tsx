import type { ToolChoice } from '@green-beam/contract';
import {
  instrumentById,
  toolAt,
  toolMembers,
  toolsAllowed,
  type Members,
  type ReadQuantity,
  type ToolInRun,
} from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { mayEnter, type OnPage } from '../on-page.ts';

function signed(value: number): string {
  return `${value > 0 ? '+' : '−'}${Math.abs(value)}`;
}

const valueOf = (instrumentId: string, code: string | null): string => `${instrumentId};${code ?? ''}`;

interface ColumnToolProps extends Pick<OnPage, 'page' | 'run' | 'onWrite'> {
  readonly quantity: ReadQuantity;
  readonly members: Members;
  /** What the tool is for: `dry mass`, `length, coarse`. */
  readonly label: string;
  readonly cabinet: readonly ToolChoice[];
}

/** The tool that something is read on, which can be chosen unless another quantity or the case decides it. */
export function ColumnTool({ page, run, quantity, members, label, cabinet, onWrite }: ColumnToolProps): ReactNode {
  const numerals = useNumerals();
  const tool = toolAt(run.setting, quantity, members);
  if (!tool) return null;
  const kinds = toolsAllowed(quantity, members);
  const fitting = cabinet.filter(({ instrumentId }) => kinds.includes(instrumentId));
  const choose = (value: string): void => {
    const [id = '', code = ''] = value.split(';');
    const named = fitting.find((one) => one.code === code && one.instrumentId === id);
    onWrite(
      { kind: 'tool', quantity: quantity.id, members: toolMembers(quantity.tools, members) },
      code === '' ? id : `${id}; ${code}; ${named?.zeroError ?? ''}`,
    );
  };
  return (
    <>
      {mayEnter(page) && kinds.length > 1 ? (
        <ToolSelect label={label} tool={tool} kinds={kinds} fitting={fitting} onChoose={choose} />
      ) : (
        <span className="block content-center font-normal text-muted">
          {tool.code === null ? '' : `${tool.code}, `}
          {numerals(tool.instrument.name)}
        </span>
      )}
      {tool.zeroError !== null && tool.zeroError !== 0 && (
        <span className="block font-normal text-doubt">
          {numerals(`${signed(tool.zeroError)} ${tool.instrument.unit} taken off`)}
        </span>
      )}
    </>
  );
}

interface ToolSelectProps {
  readonly label: string;
  readonly tool: ToolInRun;
  readonly kinds: readonly string[];
  readonly fitting: readonly ToolChoice[];
  readonly onChoose: (value: string) => void;
}

function ToolSelect({ label, tool, kinds, fitting, onChoose }: ToolSelectProps): ReactNode {
  const numerals = useNumerals();
  return (
    <select
      aria-label={`Tool for ${label}`}
      value={valueOf(tool.instrument.id, tool.code)}
      onChange={(event) => onChoose(event.target.value)}
      className="-mr-1 min-h-9 w-30 max-w-full max-sm:block max-sm:w-44 bg-transparent text-right font-normal text-muted"
    >
      {kinds.map((id) => (
        <option key={id} value={valueOf(id, null)}>
          {numerals(instrumentById(id).name)}
        </option>
      ))}
      {fitting.map(({ id, code, instrumentId }) => (
        <option
          key={id}
          value={valueOf(instrumentId, code)}
        >{`${code}, ${numerals(instrumentById(instrumentId).name)}`}</option>
      ))}
      {tool.code !== null && !fitting.some(({ code }) => code === tool.code) && (
        <option value={valueOf(tool.instrument.id, tool.code)}>{tool.code}</option>
      )}
    </select>
  );
}
