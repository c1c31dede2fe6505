import type { PrintedRound } from '@green-beam/contract';
import type { ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { MeasuredNumber } from '../../numbers/measured-number.tsx';

/** The key to every sheet, apart from them: the right reading, and what is accepted. */
export function PrintedKey({ round }: { readonly round: PrintedRound }): ReactNode {
  const numerals = useNumerals();
  return (
    <article className="printed-page" aria-label="Key">
      <header className="border-b-2 border-ink pb-[2mm]">
        <h2 className="text-xl font-bold">Key: {round.title}</h2>
        <p>{round.className}. Other accepted answers are printed below it. For the teacher only.</p>
      </header>
      {round.sheets.map(({ code, student, readings }) => (
        <section
          key={code}
          className="flex break-inside-avoid gap-[4mm] border-b border-hairline py-[2mm]"
          aria-label={student}
        >
          <p className="w-[34mm] shrink-0">
            <span className="block font-semibold">{student}</span>
            <span className="font-mono text-small">{code}</span>
          </p>
          <ol className="grid flex-1 grid-cols-5 gap-x-[3mm] gap-y-[1.5mm] text-small">
            {readings.map(({ answer: { text, accepts }, unit }, i) => (
              <li key={i}>
                <span className="mr-2 font-bold text-muted">{i + 1}</span>
                {unit === '' ? <span className="font-mono">{text}</span> : <MeasuredNumber text={text} unit={unit} />}
                {accepts[0] !== accepts[1] && (
                  <span className="block font-mono text-muted">
                    {numerals(`${accepts[0]}…${accepts[1]}`.replaceAll('-', '−'))}
                  </span>
                )}
              </li>
            ))}
          </ol>
        </section>
      ))}
    </article>
  );
}
