import type { ReactNode } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useSessionChange } from '../../api/session.ts';
import { Button } from '../../ui/button.tsx';

/** Where the link of a cover teacher leads: one press, and the class is there for the day. */
export default function CoverDoor(): ReactNode {
  const { token = '' } = useParams();
  const navigate = useNavigate();
  const { mutate, isPending, error } = useSessionChange<undefined>(
    'POST',
    () => `/session/cover/${encodeURIComponent(token)}`,
  );
  return (
    <main className="mx-auto w-full max-w-md px-4 py-10">
      <h1 className="text-2xl font-bold">You cover a class today</h1>
      <p className="mt-2">
        You see the class, let students in, set practice and read their work. You need no account, and the link ends by
        itself.
      </p>
      {error && (
        <p role="alert" className="mt-3 text-slip">
          {error.message}
        </p>
      )}
      <Button
        className="mt-4"
        disabled={isPending}
        onClick={() => mutate(undefined, { onSuccess: () => void navigate('/class/start') })}
      >
        Go to the class
      </Button>
    </main>
  );
}
