import type { ReactNode } from 'react';

interface NoticeProps {
  readonly tone?: 'plain' | 'doubt' | 'slip' | 'sound';
  readonly title?: string;
  readonly children?: ReactNode;
}

const TONES = { plain: 'border-hairline', doubt: 'border-doubt', slip: 'border-slip', sound: 'border-beam' } as const;
const TITLES = { plain: 'text-ink', doubt: 'text-doubt', slip: 'text-slip', sound: 'text-beam' } as const;

/** Something to be read beside the work: a rule at the left says how grave it is, and the title says it in words. */
export function Notice({ tone = 'plain', title, children }: NoticeProps): ReactNode {
  return (
    <div className={`border-l-[3px] py-0.5 pl-4 ${TONES[tone]}`}>
      {title !== undefined && <p className={`text-lg font-bold ${TITLES[tone]}`}>{title}</p>}
      {children}
    </div>
  );
}

/** The page could not get what it shows. */
export function Failed({ error, again }: { readonly error: Error; readonly again?: () => void }): ReactNode {
  return (
    <div role="alert" className="max-w-prose py-6">
      <Notice tone="slip" title="This could not be loaded">
        <p>{error.message}</p>
        {again && (
          <button type="button" className="mt-2 min-h-11 font-semibold underline underline-offset-4" onClick={again}>
            Try again
          </button>
        )}
      </Notice>
    </div>
  );
}

/** Something is on its way; said only to screen readers at once, to the eye after a moment. */
export function Loading({ what }: { readonly what: string }): ReactNode {
  return (
    <p role="status" className="animate-[appear_0.2s_0.4s_both] py-6 text-muted">
      Loading {what} …
    </p>
  );
}
