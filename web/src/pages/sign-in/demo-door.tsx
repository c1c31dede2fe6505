import type { DemoSignIn, Role } from '@green-beam/contract';
import type { ReactNode } from 'react';
import { useSessionChange } from '../../api/session.ts';
import { Button } from '../../ui/button.tsx';

const DEMO_ROLES: readonly [role: Role, text: string][] = [
  ['student', 'As Ines, a student'],
  ['teacher', 'As Maren, a teacher'],
  ['administrator', 'As Halima, the administrator'],
];

/** The sample school, entered with one tap as whoever it names. */
export function DemoDoor(): ReactNode {
  const enter = useSessionChange<DemoSignIn>('POST', () => '/session/demo');
  return (
    <section className="mt-10 border-t border-hairline pt-6">
      <h2 className="text-lg font-bold">Look around Saltmarsh School</h2>
      <p className="text-muted">Sample data, all of it invented. One tap, no password.</p>
      <div className="mt-3 flex flex-wrap gap-3">
        {DEMO_ROLES.map(([role, text]) => (
          <Button key={role} look="plain" disabled={enter.isPending} onClick={() => enter.mutate({ role })}>
            {text}
          </Button>
        ))}
      </div>
      {enter.error && (
        <p role="alert" className="mt-2 text-slip">
          {enter.error.message}
        </p>
      )}
    </section>
  );
}
