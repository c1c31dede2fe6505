import { invitation, type OneTimeLink } from '@green-beam/contract';
import { yupResolver } from '@hookform/resolvers/yup';
import type { ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { newId } from '../../outbox/new-id.ts';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { useSchoolChange } from './use-school-change.ts';

const nobody = (): { id: string; name: string; email: string } => ({ id: newId(), name: '', email: '' });

/** Makes an account for a teacher, and the link that opens it. */
export function InviteTeacher({ onLink }: { readonly onLink: (link: OneTimeLink) => void }): ReactNode {
  const { mutate, isPending, error } = useSchoolChange<OneTimeLink>();
  const { register, handleSubmit, formState, reset } = useForm({
    resolver: yupResolver(invitation),
    defaultValues: nobody(),
  });
  return (
    <section className="mt-8 border-t border-hairline pt-4">
      <h2 className="text-lg font-bold">Invite a teacher</h2>
      <form
        className="mt-3 flex max-w-lg flex-col gap-4"
        onSubmit={(event) =>
          void handleSubmit((body) =>
            mutate(['POST', '/invitations', body], {
              onSuccess: (link) => {
                reset(nobody());
                onLink(link);
              },
            }),
          )(event)
        }
      >
        <Field label="Name" error={formState.errors.name?.message} {...register('name')} />
        <Field
          label="E-mail"
          type="email"
          error={formState.errors.email?.message ?? error?.message}
          {...register('email')}
        />
        <Button type="submit" className="self-start" disabled={isPending}>
          Make the link
        </Button>
      </form>
    </section>
  );
}
