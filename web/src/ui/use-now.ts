import { useEffect, useState } from 'react';

/** The time now, in milliseconds since 1970, looked at again every so often. @param every in milliseconds. */
export function useNow(every: number): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), every);
    return () => clearInterval(timer);
  }, [every]);
  return now;
}
