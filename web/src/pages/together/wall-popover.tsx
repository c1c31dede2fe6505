import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { Button } from '../../ui/button.tsx';

interface WallPopoverProps {
  /** On the button that opens it. */
  readonly trigger: string;
  readonly title: string;
  readonly isOpen: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly onSend: () => void;
  readonly children: ReactNode;
}

/** A short form that opens above the foot of the wall. */
export function WallPopover({ trigger, title, isOpen, onOpenChange, onSend, children }: WallPopoverProps): ReactNode {
  return (
    <Popover.Root open={isOpen} onOpenChange={onOpenChange}>
      <Popover.Trigger asChild>
        <Button look="quiet">{trigger}</Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          align="start"
          sideOffset={8}
          className="projector z-40 w-80 border border-hairline bg-surface p-4"
          aria-label={title}
        >
          <form
            className="flex flex-col gap-3"
            onSubmit={(event) => {
              event.preventDefault();
              onSend();
            }}
          >
            {children}
          </form>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
