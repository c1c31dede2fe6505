import { Activity, useEffect, useMemo, useState, type ReactNode } from 'react';
import { BenchRoundView } from '../bench-round.tsx';
import { MIX, toolsAt } from '../shelf/tools-at.ts';
import { useVisitorBench } from './visitor-bench.ts';
import { visitorReadings } from './visitor-tools.ts';
import { Welcome } from './welcome.tsx';

function VisitorRound({ name }: { readonly name: string }): ReactNode {
  const items = useMemo(() => visitorReadings(toolsAt(name) ?? []), [name]);
  return <BenchRoundView source={useVisitorBench(items)} visitor />;
}

/** A visitor’s rounds, one for each tool that was taken: those put aside wait unseen, as they were left. */
export function VisitorRounds({
  name,
  onBegun,
}: {
  /** The tool in the address; null to go on with what was worked last. */
  readonly name: string | null;
  readonly onBegun: (names: readonly string[]) => void;
}): ReactNode {
  const [{ begun, now }, setRounds] = useState({ begun: [name ?? MIX], now: name ?? MIX });
  if (name !== null && name !== now) setRounds({ begun: begun.includes(name) ? begun : [...begun, name], now: name });
  useEffect(() => onBegun(begun), [begun, onBegun]);
  return (
    <>
      <Welcome />
      {begun.map((one) => (
        <Activity key={one} mode={one === now ? 'visible' : 'hidden'}>
          <VisitorRound name={one} />
        </Activity>
      ))}
    </>
  );
}
