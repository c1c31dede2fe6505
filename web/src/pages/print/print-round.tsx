import type { PrintedRound } from '@green-beam/contract';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { ask } from '../../api/request.ts';
import { Button } from '../../ui/button.tsx';
import { Failed, Loading } from '../../ui/notice.tsx';
import { PrintedKey } from './printed-key.tsx';
import { PrintedSheet } from './printed-sheet.tsx';

const SIZES = [
  { id: 'a4', name: 'A4' },
  { id: 'letter', name: 'Letter' },
] as const;
const PARTS = [
  { id: 'both', name: 'sheets and key' },
  { id: 'sheets', name: 'sheets only' },
  { id: 'key', name: 'key only' },
] as const;

interface ChoiceProps<Id extends string> {
  readonly legend: string;
  readonly options: readonly { readonly id: Id; readonly name: string }[];
  readonly chosen: Id;
  readonly onChange: (id: Id) => void;
}

function Choice<Id extends string>({ legend, options, chosen, onChange }: ChoiceProps<Id>): ReactNode {
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

/** The pages as they come out of the printer, under a bar that does not. */
function Pages({ round }: { readonly round: PrintedRound }): ReactNode {
  const [size, setSize] = useState<(typeof SIZES)[number]['id']>('a4');
  const [parts, setParts] = useState<(typeof PARTS)[number]['id']>('both');
  return (
    <>
      <div className="sticky top-0 z-10 flex flex-wrap items-center gap-x-10 gap-y-1 border-b border-hairline bg-paper px-4 py-2 wide:px-7 print:hidden">
        <p>
          <strong>{round.title}</strong>: {round.sheets.length === 1 ? 'one sheet' : `${round.sheets.length} sheets`},
          each with readings of its own
        </p>
        <Choice legend="Paper" options={SIZES} chosen={size} onChange={setSize} />
        <Choice legend="What is printed" options={PARTS} chosen={parts} onChange={setParts} />
        <Button className="ml-auto" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <main className={`printed printed-${size}`}>
        <h1 className="sr-only">{round.title}, to be printed</h1>
        {parts !== 'key' && round.sheets.map((sheet) => <PrintedSheet key={sheet.code} round={round} sheet={sheet} />)}
        {parts !== 'sheets' && <PrintedKey round={round} />}
      </main>
    </>
  );
}

/** A round on paper: a sheet for everybody, and the key. */
export default function PrintRound({ classId }: { readonly classId: string | null }): ReactNode {
  const { setRoundId = '' } = useParams();
  const { data, error, refetch } = useQuery({
    queryKey: ['printed', classId, setRoundId],
    queryFn: () => ask<PrintedRound>('POST', `/classes/${classId ?? ''}/set-rounds/${setRoundId}/sheets`),
    enabled: classId !== null,
    staleTime: Infinity,
    retry: false,
  });
  if (data) return <Pages round={data} />;
  return (
    <main className="mx-auto max-w-5xl px-4 py-8 wide:px-7">
      <h1 className="text-2xl font-bold">Sheets</h1>
      {error ? <Failed error={error} again={() => void refetch()} /> : <Loading what="a sheet for everybody" />}
      <Link to="/rounds" className="font-semibold underline underline-offset-4">
        Back to the practice sets
      </Link>
    </main>
  );
}
