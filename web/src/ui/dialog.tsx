import { X } from 'lucide-react';
import { Dialog as Primitive } from 'radix-ui';
import type { ReactNode } from 'react';

interface DialogProps {
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly title: string;
  readonly description?: string;
  /** It has a table. */
  readonly isWide?: boolean;
  readonly children: ReactNode;
}

/** A sheet laid over the page; Escape or the cross puts it away. */
export function Dialog({ open, onOpenChange, title, description, isWide = false, children }: DialogProps): ReactNode {
  return (
    <Primitive.Root open={open} onOpenChange={onOpenChange}>
      <Primitive.Portal>
        <Primitive.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Primitive.Content
          className={`fixed inset-y-0 right-0 z-50 flex w-full flex-col gap-4 overflow-y-auto border-l border-hairline bg-paper p-6 ${isWide ? 'max-w-5xl' : 'max-w-lg'}`}
          {...(description === undefined ? { 'aria-describedby': undefined } : {})}
        >
          <div className="flex items-start justify-between gap-4">
            <Primitive.Title className="text-xl font-bold">{title}</Primitive.Title>
            <Primitive.Close className="-m-2 flex size-11 items-center justify-center" aria-label="Close">
              <X aria-hidden="true" size={20} />
            </Primitive.Close>
          </div>
          {description !== undefined && (
            <Primitive.Description className="text-muted">{description}</Primitive.Description>
          )}
          {children}
        </Primitive.Content>
      </Primitive.Portal>
    </Primitive.Root>
  );
}
