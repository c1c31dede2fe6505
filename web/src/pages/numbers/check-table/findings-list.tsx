import { tableFaultName, type TableFinding } from '@green-beam/core';
import { useEffect, useRef, type ReactNode } from 'react';
import { Button } from '../../../ui/button.tsx';
import { cellName, findingKey } from './worked-on.ts';

interface FindingsListProps {
  readonly findings: readonly TableFinding[];
  readonly chosen: TableFinding | null;
  readonly onChoose: (finding: TableFinding) => void;
  readonly onRepair: (finding: TableFinding) => void;
  readonly onLeave: (finding: TableFinding) => void;
}

function Finding({
  finding,
  isChosen,
  onChoose,
  onRepair,
  onLeave,
}: Omit<FindingsListProps, 'findings' | 'chosen'> & {
  readonly finding: TableFinding;
  readonly isChosen: boolean;
}): ReactNode {
  const here = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (isChosen) here.current?.scrollIntoView({ block: 'nearest' });
  }, [isChosen]);
  const cell = cellName(finding);
  return (
    <li ref={here} className={`border-t border-hairline py-3 ${isChosen ? 'border-l-[3px] border-l-slip pl-3' : ''}`}>
      <button
        type="button"
        className="flex min-h-6 items-baseline gap-3 text-left font-semibold"
        aria-pressed={isChosen}
        onClick={() => onChoose(finding)}
      >
        <span className="font-mono text-muted">{cell}</span>
        {tableFaultName(finding.kind)}
      </button>
      <p className="mt-1">{finding.message}</p>
      <div className="mt-1 flex flex-wrap items-center gap-x-4">
        {finding.repair !== null && (
          <Button look="plain" onClick={() => onRepair(finding)}>
            Write {finding.repair}
          </Button>
        )}
        <Button look="quiet" onClick={() => onLeave(finding)} aria-label={`Leave it as it is: ${cell}`}>
          Leave it as it is
        </Button>
      </div>
    </li>
  );
}

/** What was found, cell by cell: why, and what would mend it. */
export function FindingsList({ findings, chosen, ...rest }: FindingsListProps): ReactNode {
  if (findings.length === 0) return null;
  return (
    <ul aria-label="What was found" className="border-b border-hairline">
      {findings.map((finding) => (
        <Finding key={findingKey(finding)} finding={finding} isChosen={finding === chosen} {...rest} />
      ))}
    </ul>
  );
}
