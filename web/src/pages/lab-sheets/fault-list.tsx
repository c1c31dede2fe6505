import type { LabSheetFault } from '@green-beam/contract';
import type { ReactNode } from 'react';

/** What is wrong in a file, each with its path. */
export function FaultList({
  faults,
  title,
}: {
  readonly faults: readonly LabSheetFault[];
  readonly title: string;
}): ReactNode {
  if (faults.length === 0) return null;
  return (
    <div role="alert" className="mt-3 border-l-[3px] border-slip pl-4">
      <p className="font-bold text-slip">{title}</p>
      <ul>
        {faults.map(({ path, reason }) => (
          <li key={path}>
            {path !== '' && <span className="font-mono text-small">{path}: </span>}
            {reason}
          </li>
        ))}
      </ul>
    </div>
  );
}
