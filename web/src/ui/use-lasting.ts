import { useEffect, useState } from 'react';

/** Whether something has gone on for so long by now; what passes sooner is not shown, and takes no room. @param time in milliseconds. */
export function useLasting(goesOn: boolean, time: number): boolean {
  const [lasting, setLasting] = useState(false);
  useEffect(() => {
    if (!goesOn) return undefined;
    const timer = setTimeout(() => setLasting(true), time);
    return () => {
      clearTimeout(timer);
      setLasting(false);
    };
  }, [goesOn, time]);
  return goesOn && lasting;
}
