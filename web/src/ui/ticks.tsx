import type { ReactNode } from 'react';

export interface TicksProps {
  readonly legend: string;
  readonly hidesLegend?: boolean;
  readonly options: readonly { readonly id: string; readonly name: string }[];
  readonly chosen: readonly string[];
  readonly onChange: (chosen: readonly string[]) => void;
  readonly error?: string | undefined;
}

/** Any number of things to choose. */
export function Ticks({ legend, hidesLegend = false, options, chosen, onChange, error }: TicksProps): ReactNode {
  return (
    <fieldset>
      <legend className={hidesLegend ? 'sr-only' : 'text-small font-semibold'}>{legend}</legend>
      <div className="flex flex-wrap gap-x-5">
        {options.map(({ id, name }) => (
          <label key={id} className="flex min-h-9 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-beam"
              checked={chosen.includes(id)}
              onChange={(event) =>
                onChange(event.target.checked ? [...chosen, id] : chosen.filter((one) => one !== id))
              }
            />
            {name}
          </label>
        ))}
      </div>
      {error !== undefined && (
        <p role="alert" className="text-small text-slip">
          {error}
        </p>
      )}
    </fieldset>
  );
}
