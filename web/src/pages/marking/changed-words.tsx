import { diffWordsWithSpace } from 'diff';
import type { ReactNode } from 'react';

interface ChangedWordsProps {
  readonly before: string;
  readonly after: string;
}

/** What was changed since a report was handed in before, word by word: what is gone is struck through, what is new is underlined. */
export function ChangedWords({ before, after }: ChangedWordsProps): ReactNode {
  return (
    <details className="mt-2 border-t border-hairline">
      <summary className="min-h-11 cursor-pointer py-2 text-small font-semibold">What changed</summary>
      <p className="whitespace-pre-line">
        {diffWordsWithSpace(before, after).map(({ value, added, removed }, i) =>
          added ? (
            <ins key={i} className="decoration-beam decoration-2">
              {value}
            </ins>
          ) : removed ? (
            <del key={i} className="text-muted">
              {value}
            </del>
          ) : (
            <span key={i}>{value}</span>
          ),
        )}
      </p>
    </details>
  );
}
