import type { Protocol, ProtocolStep } from '@green-beam/core';
import type { ReactNode } from 'react';

/** What the laboratory is for, what is needed, and what to take care of. */
export function Purpose({ protocol }: { readonly protocol: Protocol }): ReactNode {
  return (
    <div className="max-w-3xl">
      <p>{protocol.purpose}</p>
      <h3 className="mt-3 font-bold">Kit</h3>
      <p>{protocol.kit.join('; ')}.</p>
      <h3 className="mt-3 font-bold text-slip">Cautions</h3>
      <ul className="list-disc pl-5">
        {protocol.cautions.map((caution) => (
          <li key={caution}>{caution}</li>
        ))}
      </ul>
    </div>
  );
}

/** One step: what to do, how long it takes, and whether the hands are free meanwhile. */
export function StepText({ step, number }: { readonly step: ProtocolStep; readonly number: number }): ReactNode {
  return (
    <p className="max-w-3xl">
      <strong>
        {number}. {step.title}
        {step.title.endsWith('?') ? '' : '.'}
      </strong>{' '}
      {step.text}{' '}
      <span className="text-muted">
        ({step.minutes} min{step.attention === 'waiting' ? ', mostly waiting' : ''})
      </span>
    </p>
  );
}
