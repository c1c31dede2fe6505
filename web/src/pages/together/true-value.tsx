import type { TogetherAtFront } from '@green-beam/contract';
import { useState, type ReactNode } from 'react';
import { RefusedError } from '../../api/request.ts';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { Button } from '../../ui/button.tsx';
import { toolsReadIn } from './tools-to-choose.ts';
import { WallPopover } from './wall-popover.tsx';
import type { useStep } from './use-together.ts';

interface TrueValueProps {
  readonly shown: TogetherAtFront;
  readonly step: ReturnType<typeof useStep>;
}

/** What a tool at the front shows: its value, and its type, without which no slip can be named. */
function OfTheFront({ shown, step }: TrueValueProps): ReactNode {
  const numerals = useNumerals();
  const { round, answer } = shown;
  const [value, setValue] = useState(answer?.text ?? '');
  const [instrumentId, setInstrumentId] = useState(round.instrumentId ?? '');
  const [isOpen, setOpen] = useState(false);
  const typed = Number(value.trim().replace(',', '.').replace('−', '-'));
  const refusedAt = step.error instanceof RefusedError ? step.error.message : null;
  const send = (): void =>
    step.mutate(
      {
        step: 'answer',
        truth: { value: value.trim() === '' ? null : typed, instrumentId: instrumentId === '' ? null : instrumentId },
      },
      { onSuccess: () => setOpen(false) },
    );
  return (
    <WallPopover
      trigger={answer ? 'Change the true value' : 'Show the true value'}
      title="The true value"
      isOpen={isOpen}
      onOpenChange={setOpen}
      onSend={send}
    >
      <label className="flex flex-col gap-1 font-semibold">
        It shows, in {round.unit}
        <input
          value={value}
          required
          inputMode="decimal"
          onChange={(event) => setValue(event.target.value)}
          className="min-h-11 border-b-2 border-ink bg-surface px-3 font-mono font-normal"
        />
      </label>
      <label className="flex flex-col gap-1 font-semibold">
        Type of tool
        <select
          value={instrumentId}
          onChange={(event) => setInstrumentId(event.target.value)}
          className="min-h-11 border-b-2 border-ink bg-surface px-2 font-normal"
        >
          <option value="">none of these</option>
          {toolsReadIn(round.unit).map(({ id, name }) => (
            <option key={id} value={id}>
              {numerals(name)}
            </option>
          ))}
        </select>
      </label>
      <p className="text-small text-muted">
        With the type, slips are named: a label, a mark, a digit. Where an eye was, nobody knows, so that is never
        named.
      </p>
      {Number.isNaN(typed) && (
        <p role="alert" className="text-slip">
          The value is not a number.
        </p>
      )}
      {refusedAt !== null && (
        <p role="alert" className="text-slip">
          {refusedAt}
        </p>
      )}
      <Button type="submit" look="plain" disabled={step.isPending || Number.isNaN(typed)}>
        Show it
      </Button>
    </WallPopover>
  );
}

/** Shows what the readings are measured against: of a picture at one tap, of a tool at the front once it is written down. */
export function TrueValue({ shown, step }: TrueValueProps): ReactNode {
  if (shown.round.kind === 'front') return <OfTheFront shown={shown} step={step} />;
  if (shown.answer) return null;
  return (
    <Button look="quiet" disabled={step.isPending} onClick={() => step.mutate({ step: 'answer', truth: null })}>
      Show the true value
    </Button>
  );
}
