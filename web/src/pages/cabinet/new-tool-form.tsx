import { newTool } from '@green-beam/contract';
import { toolFamilies } from '@green-beam/core';
import { yupResolver } from '@hookform/resolvers/yup';
import type { ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { RefusedError } from '../../api/request.ts';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { Field } from '../../ui/field.tsx';
import { FormEnd } from '../../ui/form-end.tsx';
import { useCabinetChange } from './use-cabinet.ts';

const FAMILIES = toolFamilies();

/** Puts one tool into the cabinet. */
export function NewToolForm({ classId, onDone }: { readonly classId: string; readonly onDone: () => void }): ReactNode {
  const change = useCabinetChange(classId);
  const numerals = useNumerals();
  const { register, handleSubmit, formState } = useForm({
    resolver: yupResolver(newTool),
    defaultValues: {
      code: '',
      instrumentId: 'caliper-twentieth',
      kind: 'real' as const,
      keeper: '',
      tolerance: null,
      state: 'fit' as const,
    },
  });
  const { errors } = formState;
  const send = handleSubmit((tool) => change.mutate({ kind: 'add', tool }, { onSuccess: onDone }));
  const refusedCode =
    change.error instanceof RefusedError && change.error.field === 'code' ? change.error.message : undefined;
  return (
    <form className="mt-4 border-y border-ink py-5" onSubmit={(event) => void send(event)}>
      <div className="grid gap-4 sm:grid-cols-[8rem_minmax(0,1fr)_minmax(0,1fr)_8rem]">
        <Field
          label="Code on it"
          placeholder="C-04"
          error={errors.code?.message ?? refusedCode}
          {...register('code')}
        />
        <label className="flex flex-col gap-1 text-small font-semibold">
          What it is
          <select className="min-h-11 bg-surface px-2 text-base font-normal" {...register('instrumentId')}>
            {FAMILIES.map(({ id, name, tools }) => (
              <optgroup key={id} label={name}>
                {tools.map((tool) => (
                  <option key={tool.id} value={tool.id}>
                    {numerals(tool.name)}
                  </option>
                ))}
              </optgroup>
            ))}
          </select>
        </label>
        <Field
          label="Where it is, or who has it"
          placeholder="bench 4"
          error={errors.keeper?.message}
          {...register('keeper')}
        />
        <label className="flex flex-col gap-1 text-small font-semibold">
          Kind
          <select className="min-h-11 bg-surface px-2 text-base font-normal" {...register('kind')}>
            <option value="real">real</option>
            <option value="simulated">simulated</option>
          </select>
        </label>
      </div>
      <div className="mt-4">
        <FormEnd
          action="Add the tool"
          isSending={change.isPending}
          error={refusedCode === undefined ? change.error : null}
          onCancel={onDone}
        />
      </div>
    </form>
  );
}
