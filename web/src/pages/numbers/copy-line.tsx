import { quantityLatex, type Calculation } from '@green-beam/core';
import { useState, type ReactNode } from 'react';
import { Button } from '../../ui/button.tsx';
import { lineLatex } from './in-another-unit.tsx';

interface CopyLineProps {
  readonly line: string;
  readonly name: string | null;
  readonly calculation: Calculation;
}

/** Copies a line with its result as text, LaTeX or MathML. */
export function CopyLine({ line, name, calculation }: CopyLineProps): ReactNode {
  const [said, setSaid] = useState('');
  const { text, unit, uncertainty } = calculation;
  const latex = lineLatex(
    name,
    calculation,
    uncertainty === null
      ? quantityLatex(text, unit)
      : `(${quantityLatex(text, '')} \\pm ${quantityLatex(uncertainty, '')})${quantityLatex('', unit)}`,
  );
  const forms = {
    text: () =>
      Promise.resolve(
        `${line.trim()} = ${text}${uncertainty === null ? '' : ` ± ${uncertainty}`}${unit === '' ? '' : ` ${unit}`}`,
      ),
    LaTeX: () => Promise.resolve(latex),
    MathML: async () => (await import('../../numbers/mathml.ts')).mathmlOf(latex),
  } as const;
  const copy = async (form: keyof typeof forms): Promise<void> => {
    try {
      await navigator.clipboard.writeText(await forms[form]());
      setSaid(`Copied as ${form}.`);
    } catch {
      setSaid('This browser does not allow copying. Select the line and copy it yourself.');
    }
  };
  return (
    <section aria-labelledby="copy" className="mt-8">
      <h3 id="copy" className="font-bold">
        Copy the line
      </h3>
      <div className="mt-1 flex flex-wrap gap-2">
        {(Object.keys(forms) as (keyof typeof forms)[]).map((form) => (
          <Button key={form} look="plain" onClick={() => void copy(form)}>
            as {form}
          </Button>
        ))}
      </div>
      <p role="status" className="mt-1 min-h-5 text-small text-muted">
        {said}
      </p>
    </section>
  );
}
