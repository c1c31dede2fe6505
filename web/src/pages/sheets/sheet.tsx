import type { NewSheetAnswers, SheetReading, SheetShown, SignedIn } from '@green-beam/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { ask } from '../../api/request.ts';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { MeasuredNumber } from '../../numbers/measured-number.tsx';
import { newId } from '../../outbox/new-id.ts';
import { Button } from '../../ui/button.tsx';
import { Failed, Loading } from '../../ui/notice.tsx';
import { useDraft } from '../../ui/use-draft.ts';
import { shortened } from '../shortened.ts';

function isTaken({ result }: SheetReading): boolean {
  return result?.closed ?? false;
}

const VERDICTS = {
  sound: 'correct',
  record: 'read correctly, written wrongly',
  slip: 'slip',
  unexplained: 'no known slip explains it',
  unreadable: '',
  shown: '',
} as const;

/** What came of an answer that was taken. */
function Outcome({ reading }: { readonly reading: SheetReading }): ReactNode {
  const numerals = useNumerals();
  const { result, entry } = reading;
  if (!result) return null;
  const sound = result.verdict === 'sound';
  return (
    <div className="flex flex-wrap items-baseline gap-x-6">
      <span className={`font-mono ${sound ? '' : 'text-slip line-through'}`}>{shortened(entry ?? '')}</span>
      <span className={sound ? 'text-beam' : 'text-slip'}>
        {result.slips.length > 0 ? result.slips.map(({ name }) => name).join(', and: ') : VERDICTS[result.verdict]}
      </span>
      {!sound &&
        result.answer &&
        (result.answer.unit === '' ? (
          <span className="font-mono">{result.answer.text}</span>
        ) : (
          <MeasuredNumber text={result.answer.text} unit={result.answer.unit} />
        ))}
      {!sound && result.slips[0] && <p className="basis-full text-small text-muted">{numerals(result.slips[0].why)}</p>}
    </div>
  );
}

interface LineProps {
  readonly reading: SheetReading;
  readonly number: number;
  readonly entry: string;
  readonly onWrite: (entry: string) => void;
}

function Line({ reading, number, entry, onWrite }: LineProps): ReactNode {
  const id = `reading-${number}`;
  const unreadable = reading.result?.verdict === 'unreadable';
  return (
    <li className="grid grid-cols-[2rem_minmax(0,1fr)_minmax(12rem,22rem)] items-center gap-x-3 border-t border-hairline py-2 max-sm:grid-cols-[2rem_1fr]">
      <span className="font-mono font-bold">{number}</span>
      <label htmlFor={id}>
        {reading.question} <span className="text-small text-muted">{reading.tool}</span>
      </label>
      <div className="max-sm:col-start-2">
        {isTaken(reading) ? (
          <Outcome reading={reading} />
        ) : (
          <>
            <input
              id={id}
              value={entry}
              onChange={(event) => onWrite(event.target.value)}
              autoComplete="off"
              spellCheck={false}
              aria-describedby={unreadable ? `${id}-note` : undefined}
              className="min-h-11 w-full border-b-2 border-ink bg-surface px-3 font-mono text-lg"
            />
            {unreadable && (
              <p id={`${id}-note`} role="alert" className="text-small text-slip">
                “{shortened(reading.entry ?? '')}”: {reading.result.message}
              </p>
            )}
          </>
        )}
      </div>
    </li>
  );
}

function TypedIn({
  classId,
  code,
  sheet,
}: {
  readonly classId: string;
  readonly code: string;
  readonly sheet: SheetShown;
}): ReactNode {
  const queries = useQueryClient();
  const [entries, setEntries] = useDraft<Readonly<Record<string, string>>>(`sheet ${sheet.code}`, {});
  const open = sheet.readings.filter((reading) => !isTaken(reading));
  const written = open.filter(({ taskId }) => (entries[taskId] ?? '').trim() !== '');
  const take = useMutation({
    mutationFn: (answers: NewSheetAnswers) =>
      ask<SheetShown>('POST', `/classes/${classId}/sheets/${sheet.code}/answers`, answers),
    onSuccess: async (taken) => {
      queries.setQueryData(['sheet', classId, code], taken);
      setEntries({});
      await queries.invalidateQueries({ queryKey: ['set-rounds', classId] });
    },
  });
  const right = sheet.readings.filter(({ result }) => result?.verdict === 'sound').length;
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (written.length > 0)
          take.mutate({
            answers: written.map(({ taskId }) => ({ id: newId(), taskId, entry: entries[taskId] ?? '' })),
          });
      }}
    >
      <ol className="mt-6 border-b border-hairline">
        {sheet.readings.map((reading, i) => (
          <Line
            key={reading.taskId}
            reading={reading}
            number={i + 1}
            entry={entries[reading.taskId] ?? ''}
            onWrite={(entry) => setEntries({ ...entries, [reading.taskId]: entry })}
          />
        ))}
      </ol>
      {take.error && (
        <p role="alert" className="mt-3 text-slip">
          {take.error.message}
        </p>
      )}
      {open.length > 0 ? (
        <div className="mt-6 flex flex-wrap items-center gap-4">
          <Button type="submit" disabled={written.length === 0 || take.isPending}>
            {written.length === 0
              ? 'Save the answers'
              : written.length === 1
                ? 'Save one answer'
                : `Save ${written.length} answers`}
          </Button>
          <p className="text-small text-muted">
            Type them exactly as they are on the paper, with their units. You can add blank ones later.
          </p>
        </div>
      ) : (
        <p className="mt-6 text-lg">
          {right} of {sheet.readings.length} right.
        </p>
      )}
    </form>
  );
}

/** Where the answers of a printed sheet are typed in, by its student or a teacher. */
export default function SheetPage({
  classId,
  signedIn,
}: {
  readonly classId: string | null;
  readonly signedIn: SignedIn;
}): ReactNode {
  const { code = '' } = useParams();
  const { data, error } = useQuery({
    queryKey: ['sheet', classId, code],
    queryFn: () => ask<SheetShown>('GET', `/classes/${classId ?? ''}/sheets/${encodeURIComponent(code)}`),
    enabled: classId !== null,
    retry: false,
  });
  const student = signedIn.role === 'student';
  return (
    <main className="mx-auto w-full max-w-4xl px-4 py-8 wide:px-7">
      <h1 className="text-2xl font-bold">{data ? data.title : 'A sheet'}</h1>
      {data && (
        <p className="text-muted">
          Sheet <span className="font-mono text-ink">{data.code}</span>
          {student ? '' : `, ${data.student}`}
        </p>
      )}
      {error && <Failed error={error} />}
      {!data && !error && <Loading what="the sheet" />}
      {data && classId !== null && <TypedIn key={data.code} classId={classId} code={code} sheet={data} />}
      <p className="mt-8">
        <Link to={student ? '/' : '/rounds'} className="font-semibold underline underline-offset-4">
          {student ? 'Back to the bench' : 'Back to the practice sets'}
        </Link>
      </p>
    </main>
  );
}
