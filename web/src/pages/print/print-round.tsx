import type { PrintedRound } from '@green-beam/contract';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { ask } from '../../api/request.ts';
import { Failed, Loading } from '../../ui/notice.tsx';
import { Choice, PrintBar, type PaperSize } from './print-bar.tsx';
import { PrintedKey } from './printed-key.tsx';
import { PrintedSheet } from './printed-sheet.tsx';

const PARTS = [
  { id: 'both', name: 'sheets and key' },
  { id: 'sheets', name: 'sheets only' },
  { id: 'key', name: 'key only' },
] as const;

/** The pages as they come out of the printer, under a bar that does not. */
function Pages({ round }: { readonly round: PrintedRound }): ReactNode {
  const [size, setSize] = useState<PaperSize>('a4');
  const [parts, setParts] = useState<(typeof PARTS)[number]['id']>('both');
  return (
    <>
      <PrintBar
        size={size}
        onSize={setSize}
        title={
          <>
            <strong>{round.title}</strong>: {round.sheets.length === 1 ? 'one sheet' : `${round.sheets.length} sheets`},
            each with readings of its own
          </>
        }
      >
        <Choice legend="What is printed" options={PARTS} chosen={parts} onChange={setParts} />
      </PrintBar>
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
