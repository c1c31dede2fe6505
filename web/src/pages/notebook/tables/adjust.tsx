import { addressKey } from '@green-beam/core';
import { useState, type ReactNode } from 'react';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { unitText } from '../../../numbers/unit-text.ts';
import { Button } from '../../../ui/button.tsx';
import { Dialog } from '../../../ui/dialog.tsx';
import { Field } from '../../../ui/field.tsx';
import type { CellPlace, OnPage } from '../on-page.ts';

interface AdjustProps extends Pick<OnPage, 'run' | 'onWrite'> {
  readonly place: CellPlace;
  /** What the reading is called: `Mass, after burning`. */
  readonly label: string;
  readonly unit: string;
  readonly onClose: () => void;
}

/** Adds something to a reading with a reason: what dripped away, what stuck to the vessel. The reading itself stays as it was read. */
export function Adjust({ run, onWrite, place, label, unit, onClose }: AdjustProps): ReactNode {
  const numerals = useNumerals();
  const address = { kind: 'adjustment', ...place } as const;
  const standing = run.setting.slots.get(addressKey(address))?.current;
  const [text, setText] = useState(standing?.text ?? '');
  const [reason, setReason] = useState(standing?.reason ?? '');
  const [missing, setMissing] = useState(false);
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title={`Add to “${label}”`}
      description="The reading stays as you read it. What you add is shown with a star and your reason under the table, and counts in everything that follows."
    >
      <form
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          const takenBack = text.trim() === '';
          setMissing(!takenBack && reason.trim() === '');
          if (!takenBack && reason.trim() === '') return;
          onWrite(address, text.trim(), takenBack ? null : reason.trim());
          onClose();
        }}
      >
        <Field
          label={`How much is added, in ${unitText(unit)}`}
          hint={numerals(
            'With what it may be off by: 0.12 ± 0.05. With a minus sign where something is taken off. Leave it empty to add nothing any more.',
          )}
          maxLength={40}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        <Field
          label="Why"
          placeholder="about ten drips fell beside the holder"
          maxLength={200}
          value={reason}
          onChange={(event) => setReason(event.target.value)}
          error={missing ? 'Say why. A number that is changed without a reason cannot be trusted.' : undefined}
        />
        <Button type="submit">Add it</Button>
      </form>
    </Dialog>
  );
}
