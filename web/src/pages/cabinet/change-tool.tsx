import { TOOL_STATES, type ToolShown, type ToolState } from '@green-beam/contract';
import { instrumentById } from '@green-beam/core';
import { useState, type ReactNode } from 'react';
import { RefusedError } from '../../api/request.ts';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { STATE_WORDS } from './tool-words.ts';
import { useCabinetChange } from './use-cabinet.ts';

/** What is written about a tool, on its way to be changed. */
interface Written {
  readonly code: string;
  readonly keeper: string;
  readonly tolerance: string;
  readonly state: ToolState;
}

function writtenOf({ code, keeper, tolerance, state }: ToolShown): Written {
  return { code, keeper, tolerance: tolerance === null ? '' : String(tolerance), state };
}

/** Changes what is written about a tool. What somebody else has changed meanwhile is shown beside, and nothing of either is lost. */
export function ChangeTool({ classId, tool }: { readonly classId: string; readonly tool: ToolShown }): ReactNode {
  const change = useCabinetChange(classId);
  const [from, setFrom] = useState(tool);
  const [written, setWritten] = useState<Written>(() => writtenOf(tool));
  const [refused, setRefused] = useState<string | null>(null);
  const { unit } = instrumentById(tool.instrumentId);
  const set = (part: Partial<Written>): void => setWritten((before) => ({ ...before, ...part }));
  const overtaken = tool.version !== from.version;
  const takeTheirs = (): void => {
    setFrom(tool);
    setWritten(writtenOf(tool));
    change.reset();
  };
  const send = (after: number): void => {
    const tolerance = written.tolerance.trim() === '' ? null : Number(written.tolerance.replace(',', '.'));
    if (Number.isNaN(tolerance)) {
      setRefused('Write the tolerance as a number, or leave it empty for the maker’s tolerance.');
      return;
    }
    setRefused(null);
    change.mutate(
      {
        kind: 'change',
        id: tool.id,
        change: { code: written.code, keeper: written.keeper, state: written.state, tolerance, after },
      },
      {
        onSuccess: (tools) => {
          const now = tools.find(({ id }) => id === tool.id);
          if (now) setFrom(now);
        },
      },
    );
  };
  const errorOf = (field: string): string | undefined =>
    change.error instanceof RefusedError && change.error.field === field ? change.error.message : undefined;
  return (
    <form
      className="mt-3"
      onSubmit={(event) => {
        event.preventDefault();
        send(from.version);
      }}
    >
      <div className="flex flex-wrap items-start gap-4">
        <Field
          label="Code on it"
          value={written.code}
          error={errorOf('code')}
          onChange={(event) => set({ code: event.target.value })}
          className="w-32 font-mono"
        />
        <Field
          label="Where it is, or who has it"
          value={written.keeper}
          error={errorOf('keeper')}
          onChange={(event) => set({ keeper: event.target.value })}
          className="w-56"
        />
        <Field
          label={`Tolerance, ± ${unit}`}
          inputMode="decimal"
          placeholder={String(instrumentById(tool.instrumentId).tolerance.b)}
          value={written.tolerance}
          error={errorOf('tolerance') ?? refused ?? undefined}
          onChange={(event) => set({ tolerance: event.target.value })}
          className="w-36 font-mono"
        />
        <label className="flex flex-col gap-1 text-small font-semibold">
          State
          <select
            className="min-h-11 bg-surface px-2 text-base font-normal"
            value={written.state}
            onChange={(event) => set({ state: event.target.value as ToolState })}
          >
            {TOOL_STATES.map((state) => (
              <option key={state} value={state}>
                {STATE_WORDS[state]}
              </option>
            ))}
          </select>
        </label>
        <Button look="plain" type="submit" className="mt-6" disabled={change.isPending}>
          Change it
        </Button>
      </div>
      {errorOf('after') !== undefined && (
        <p role="alert" className="mt-3 text-slip">
          {errorOf('after')}
        </p>
      )}
      {overtaken && (
        <div className="mt-3 flex flex-wrap items-center gap-4 border-l-4 border-doubt pl-4">
          <p>
            As {tool.changedBy} left it: code {tool.code}, kept {tool.keeper === '' ? 'nowhere named' : tool.keeper},{' '}
            {STATE_WORDS[tool.state]}.
          </p>
          <Button look="quiet" onClick={takeTheirs}>
            Use this
          </Button>
          <Button look="quiet" onClick={() => send(tool.version)}>
            Replace it with mine
          </Button>
        </div>
      )}
      {change.isSuccess && !overtaken && (
        <p role="status" className="mt-3 text-beam">
          Changed.
        </p>
      )}
    </form>
  );
}
