import type { ToolState } from '@green-beam/contract';
import type { ReactNode } from 'react';
import { STATE_WORDS } from './tool-words.ts';

const SHAPES: Readonly<Record<ToolState, ReactNode>> = {
  fit: <path d="M2 8l4 4l8 -9" fill="none" stroke="var(--color-beam)" strokeWidth="2.6" />,
  watch: <circle cx="8" cy="8" r="5" fill="none" stroke="var(--color-doubt)" strokeWidth="2.6" />,
  'out-of-use': <path d="M3 3l10 10M13 3l-10 10" stroke="var(--color-slip)" strokeWidth="2.6" />,
};

/** Whether a tool may be used, by shape and word. */
export function StateMark({ state }: { readonly state: ToolState }): ReactNode {
  return (
    <span className="inline-flex items-center gap-2 whitespace-nowrap">
      <svg width="16" height="16" aria-hidden="true">
        {SHAPES[state]}
      </svg>
      {STATE_WORDS[state]}
    </span>
  );
}
