import { passwordChange, pinChange, type PasswordChange, type PinChange, type SignedIn } from '@green-beam/contract';
import { yupResolver } from '@hookform/resolvers/yup';
import type { ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { useSessionChange } from '../../api/session.ts';
import { SendFromFile } from '../../outbox/send-from-file.tsx';
import { Button, buttonClass } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { Refused, refusedIn } from '../../ui/refused.tsx';

const ELSEWHERE = 'You are signed out everywhere else.';

interface EndProps {
  readonly what: string;
  readonly error: Error | null;
  readonly busy: boolean;
  readonly done: boolean;
}

function End({ what, error, busy, done }: EndProps): ReactNode {
  return (
    <>
      <Refused error={error} />
      <div className="flex items-center gap-4">
        <Button type="submit" disabled={busy}>
          Change the {what}
        </Button>
        <span role="status">{done && `Your ${what} is changed. ${ELSEWHERE}`}</span>
      </div>
    </>
  );
}

function OwnPin(): ReactNode {
  const { mutate, error, isPending, isSuccess } = useSessionChange<PinChange>('POST', () => '/session/pin');
  const { register, handleSubmit, formState, reset } = useForm({
    resolver: yupResolver(pinChange),
    defaultValues: { pin: '', newPin: '' },
  });
  const digits = { type: 'password', inputMode: 'numeric', autoComplete: 'off' } as const;
  return (
    <form
      className="mt-6 flex flex-col gap-4"
      onSubmit={(event) => void handleSubmit((body) => mutate(body, { onSuccess: () => reset() }))(event)}
    >
      <Field
        label="Your present PIN"
        error={formState.errors.pin?.message ?? refusedIn(error, 'pin')}
        {...digits}
        {...register('pin')}
      />
      <Field
        label="New PIN"
        hint="Four to six digits that you will remember. Nobody can look them up."
        error={formState.errors.newPin?.message ?? refusedIn(error, 'newPin')}
        {...digits}
        {...register('newPin')}
      />
      <End what="PIN" error={error} busy={isPending} done={isSuccess} />
    </form>
  );
}

function OwnPassword(): ReactNode {
  const { mutate, error, isPending, isSuccess } = useSessionChange<PasswordChange>('POST', () => '/session/password');
  const { register, handleSubmit, formState, reset } = useForm({
    resolver: yupResolver(passwordChange),
    defaultValues: { password: '', newPassword: '' },
  });
  return (
    <form
      className="mt-6 flex flex-col gap-4"
      onSubmit={(event) => void handleSubmit((body) => mutate(body, { onSuccess: () => reset() }))(event)}
    >
      <Field
        label="Your present password"
        type="password"
        autoComplete="current-password"
        error={formState.errors.password?.message ?? refusedIn(error, 'password')}
        {...register('password')}
      />
      <Field
        label="New password"
        type="password"
        autoComplete="new-password"
        hint="At least ten characters."
        error={formState.errors.newPassword?.message ?? refusedIn(error, 'newPassword')}
        {...register('newPassword')}
      />
      <End what="password" error={error} busy={isPending} done={isSuccess} />
    </form>
  );
}

/** Where somebody changes the PIN or password they sign in with. */
export default function OwnAccount({ signedIn }: { readonly signedIn: SignedIn }): ReactNode {
  const student = signedIn.role === 'student';
  return (
    <main className="mx-auto w-full max-w-md px-4 py-10">
      <h1 className="text-2xl font-bold">{student ? 'Your PIN' : 'Your password'}</h1>
      <p className="mt-2 text-muted">
        {signedIn.person.name}, {signedIn.class?.name ?? signedIn.school.name}
      </p>
      {student ? <OwnPin /> : <OwnPassword />}
      {signedIn.class && (
        <section className="mt-10 border-t border-hairline pt-4">
          <h2 className="text-lg font-bold">Your data</h2>
          <p className="mt-1 text-muted">Every answer and every page of yours in {signedIn.class.name}, in one file.</p>
          <a className={`${buttonClass('plain')} mt-3`} href={`/api/classes/${signedIn.class.id}/own-data`} download>
            Download my data
          </a>
        </section>
      )}
      {student && <SendFromFile signedIn={signedIn} />}
    </main>
  );
}
