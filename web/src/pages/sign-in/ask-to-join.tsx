import { admission, type Admission, type AdmissionState } from '@green-beam/contract';
import { yupResolver } from '@hookform/resolvers/yup';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useState, type ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { ask } from '../../api/request.ts';
import { newId } from '../../outbox/new-id.ts';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { Refused, refusedIn } from '../../ui/refused.tsx';

/** How often it is looked whether the teacher has answered, in ms. */
const LOOK_EVERY = 3000;

interface AskToJoinProps {
  readonly code: string;
  readonly className: string;
  readonly onAdmitted: (asked: Admission) => void;
  readonly onBack: () => void;
}

function Waiting({
  asked,
  onAdmitted,
  onBack,
}: Omit<AskToJoinProps, 'code' | 'className'> & { readonly asked: Admission }): ReactNode {
  const { data } = useQuery({
    queryKey: ['admission', asked.id],
    queryFn: () => ask<AdmissionState>('GET', `/session/admission/${encodeURIComponent(asked.code)}/${asked.id}`),
    refetchInterval: LOOK_EVERY,
    retry: true,
  });
  const state = data?.state ?? 'waiting';
  useEffect(() => {
    if (state === 'admitted') onAdmitted(asked);
  }, [state, asked, onAdmitted]);
  return (
    <div className="flex flex-col gap-4">
      <p role="status">
        {state === 'refused'
          ? 'Your teacher has not let you in. Ask them what to do.'
          : `${asked.firstName}, your teacher sees that you ask. Leave this page open: you come in by yourself.`}
      </p>
      <Button look="quiet" className="-ml-2 self-start" onClick={onBack}>
        Back to the names
      </Button>
    </div>
  );
}

/** For a student who is not on the list: the teacher is asked to let them in. */
export function AskToJoin({ code, className, onAdmitted, onBack }: AskToJoinProps): ReactNode {
  const [asked, setAsked] = useState<Admission | null>(null);
  const { mutate, isPending, error } = useMutation({
    mutationFn: (body: Admission) => ask<AdmissionState>('POST', '/session/admission', body),
    onSuccess: (_, body) => setAsked(body),
  });
  const { register, handleSubmit, formState } = useForm({
    resolver: yupResolver(admission),
    defaultValues: { code, id: newId(), firstName: '', lastName: '', pin: '' },
  });
  if (asked) return <Waiting asked={asked} onAdmitted={onAdmitted} onBack={onBack} />;
  const { errors } = formState;
  return (
    <form className="flex flex-col gap-4" onSubmit={(event) => void handleSubmit((body) => mutate(body))(event)}>
      <p className="text-lg font-bold">{className}</p>
      <Field
        label="First name"
        autoComplete="off"
        error={errors.firstName?.message ?? refusedIn(error, 'firstName')}
        {...register('firstName')}
      />
      <Field label="Last name" autoComplete="off" error={errors.lastName?.message} {...register('lastName')} />
      <Field
        label="A PIN of your own"
        hint="Four to six digits that you will remember."
        type="password"
        inputMode="numeric"
        autoComplete="off"
        error={errors.pin?.message ?? refusedIn(error, 'pin')}
        {...register('pin')}
      />
      <Refused error={error} />
      <div className="flex gap-3">
        <Button type="submit" disabled={isPending}>
          Ask to be let in
        </Button>
        <Button look="quiet" onClick={onBack}>
          Back to the names
        </Button>
      </div>
    </form>
  );
}
