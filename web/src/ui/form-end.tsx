import type { ReactNode } from 'react';
import { Button } from './button.tsx';

interface FormEndProps {
  /** What the form does when it is sent. */
  readonly action: string;
  readonly isSending: boolean;
  /** Why it was refused; null where nothing was, or where a field says it. */
  readonly error: Error | null;
  readonly onCancel: () => void;
}

/** The end of a form that can be left: why it was refused, and its two buttons. */
export function FormEnd({ action, isSending, error, onCancel }: FormEndProps): ReactNode {
  return (
    <div>
      {error && (
        <p role="alert" className="mb-3 text-slip">
          {error.message}
        </p>
      )}
      <div className="flex items-center gap-3">
        <Button type="submit" disabled={isSending}>
          {action}
        </Button>
        <Button look="quiet" onClick={onCancel}>
          Cancel
        </Button>
      </div>
    </div>
  );
}
