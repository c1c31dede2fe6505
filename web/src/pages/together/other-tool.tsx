import type { TogetherAtFront, TogetherRound } from '@green-beam/contract';
import { useState, type ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { newId } from '../../outbox/new-id.ts';
import { Button } from '../../ui/button.tsx';
import { toolsReadIn } from './tools-to-choose.ts';
import { WallPopover } from './wall-popover.tsx';
import { useBegin } from './use-together.ts';

interface OtherToolProps {
  readonly classId: string;
  readonly round: TogetherRound;
  readonly onBegun: (begun: TogetherAtFront) => void;
}

/** Has the class read the same thing on another tool, and lays the second shape over the first. */
export function OtherTool({ classId, round, onBegun }: OtherToolProps): ReactNode {
  const numerals = useNumerals();
  const begin = useBegin(classId);
  const [instrumentId, setInstrumentId] = useState('');
  const [title, setTitle] = useState('');
  const [isOpen, setOpen] = useState(false);
  const isPicture = round.kind === 'picture';
  const send = (): void =>
    begin.mutate(
      {
        id: newId(),
        kind: 'other-tool',
        over: round.id,
        instrumentId: isPicture ? instrumentId : null,
        value: null,
        title,
        unit: null,
      },
      { onSuccess: onBegun },
    );
  return (
    <WallPopover
      trigger="Read on another tool"
      title="Read the same on another tool"
      isOpen={isOpen}
      onOpenChange={setOpen}
      onSend={send}
    >
      <label className="flex flex-col gap-1 font-semibold">
        {isPicture ? 'Tool' : 'What the tool is called'}
        {isPicture ? (
          <select
            value={instrumentId}
            required
            onChange={(event) => setInstrumentId(event.target.value)}
            className="min-h-11 border-b-2 border-ink bg-surface px-2 font-normal"
          >
            <option value="" disabled>
              Choose a tool
            </option>
            {toolsReadIn(round.unit)
              .filter(({ id }) => id !== round.instrumentId)
              .map(({ id, name }) => (
                <option key={id} value={id}>
                  {numerals(name)}
                </option>
              ))}
          </select>
        ) : (
          <input
            value={title}
            required
            maxLength={60}
            onChange={(event) => setTitle(event.target.value)}
            className="min-h-11 border-b-2 border-ink bg-surface px-3 font-normal"
          />
        )}
      </label>
      <p className="text-small text-muted">
        {isPicture
          ? 'The thing that is measured stays the same. The readings so far stay as a dotted outline.'
          : `It is read in ${round.unit} too. The readings so far stay as a dotted outline.`}
      </p>
      {begin.error && (
        <p role="alert" className="text-slip">
          {begin.error.message}
        </p>
      )}
      <Button type="submit" look="plain" disabled={begin.isPending}>
        Start
      </Button>
    </WallPopover>
  );
}
