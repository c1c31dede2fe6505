import { useCallback, useState } from 'react';

/** Something being written that is not sent yet; it outlives a reload of the page, in this browser tab only. */
export function useDraft<Value>(key: string, empty: Value): readonly [Value, (value: Value) => void] {
  const place = `draft ${key}`;
  const [value, setValue] = useState<Value>(() => {
    try {
      return (JSON.parse(sessionStorage.getItem(place) ?? 'null') as Value | null) ?? empty;
    } catch {
      return empty;
    }
  });
  const write = useCallback(
    (next: Value): void => {
      setValue(next);
      try {
        sessionStorage.setItem(place, JSON.stringify(next));
      } catch {
        // A browser without storage keeps it on the page only.
      }
    },
    [place],
  );
  return [value, write];
}
