import type { ReactNode } from 'react';
import { Button } from '../../ui/button.tsx';

const SIZES = [
  { id: 'a4', name: 'A4' },
  { id: 'letter', name: 'Letter' },
] as const;
export type PaperSize = (typeof SIZES)[number]['id'];

interface ChoiceProps<Id extends string> {
  readonly legend: string;
  readonly options: readonly { readonly id: Id; readonly name: string }[];
  readonly chosen: Id;
  readonly onChange: (id: Id) => void;
}

/** One of a few, in a line. */
export function Choice<Id extends string>({ legend, options, chosen, onChange }: ChoiceProps<Id>): ReactNode {
  return (
    <fieldset className="flex items-center gap-x-4">
      <legend className="sr-only">{legend}</legend>
      {options.map(({ id, name }) => (
        <label key={id} className="flex min-h-11 items-center gap-2">
          <input
            type="radio"
            name={legend}
            className="size-5 accent-beam"
            checked={chosen === id}
            onChange={() => onChange(id)}
          />
          {name}
        </label>
      ))}
    </fieldset>
  );
}

interface PrintBarProps {
  readonly title: ReactNode;
  readonly size: PaperSize;
  readonly onSize: (size: PaperSize) => void;
  /** What else is to be chosen. */
  readonly children?: ReactNode;
}

/** The bar above pages that are printed; it is not printed itself. */
export function PrintBar({ title, size, onSize, children }: PrintBarProps): ReactNode {
  return (
    <div className="sticky top-0 z-10 flex flex-wrap items-center gap-x-10 gap-y-1 border-b border-hairline bg-paper px-4 py-2 wide:px-7 print:hidden">
      <p>{title}</p>
      <Choice legend="Paper" options={SIZES} chosen={size} onChange={onSize} />
      {children}
      <Button className="ml-auto" onClick={() => window.print()}>
        Print
      </Button>
    </div>
  );
}
