import { AlertDialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { buttonClass } from './button.tsx';

interface ConfirmProps {
  readonly trigger: ReactNode;
  readonly title: string;
  readonly text: string;
  readonly action: string;
  /** What the way back is called. */
  readonly keep?: string;
  readonly onConfirm: () => void;
  /** What else is to be chosen. */
  readonly children?: ReactNode;
}

/** Asks before something that cannot be undone. */
export function Confirm({
  trigger,
  title,
  text,
  action,
  keep = 'Keep it',
  onConfirm,
  children,
}: ConfirmProps): ReactNode {
  return (
    <AlertDialog.Root>
      <AlertDialog.Trigger asChild>{trigger}</AlertDialog.Trigger>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <AlertDialog.Content className="fixed top-1/2 left-1/2 z-50 flex w-[min(28rem,92vw)] -translate-x-1/2 -translate-y-1/2 flex-col gap-4 bg-paper p-6">
          <AlertDialog.Title className="text-xl font-bold">{title}</AlertDialog.Title>
          <AlertDialog.Description>{text}</AlertDialog.Description>
          {children}
          <div className="flex justify-end gap-3">
            <AlertDialog.Cancel className={buttonClass('plain')}>{keep}</AlertDialog.Cancel>
            <AlertDialog.Action className={buttonClass('danger')} onClick={onConfirm}>
              {action}
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
