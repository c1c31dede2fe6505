import type { LaboratoryShown } from '@green-beam/contract';
import { protocolIds } from '@green-beam/core';
import type { ReactNode } from 'react';

interface ChooseProps {
  readonly laboratories: readonly LaboratoryShown[];
  readonly chosen: readonly string[];
  readonly onChange: (chosen: readonly string[]) => void;
}

/** Which laboratories every group does: those of the teachers first. */
export function ChooseLaboratories({ laboratories, chosen, onChange }: ChooseProps): ReactNode {
  const shipped = protocolIds();
  const own = laboratories.filter(({ id }) => !shipped.includes(id));
  const all = [...own, ...laboratories.filter(({ id }) => shipped.includes(id))];
  return (
    <fieldset>
      <legend className="text-small font-semibold">Laboratories: every group does each of them</legend>
      <div className="mt-1 grid gap-x-6 sm:grid-cols-2 wide:grid-cols-3">
        {all.map(({ id, title }) => (
          <label key={id} className="flex min-h-11 items-center gap-3">
            <input
              type="checkbox"
              className="size-5 shrink-0 accent-beam"
              checked={chosen.includes(id)}
              onChange={(event) =>
                onChange(event.target.checked ? [...chosen, id] : chosen.filter((other) => other !== id))
              }
            />
            {title}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
