import type { LaboratoryShown } from '@green-beam/contract';
import { sampleRun, workOut, type HouseRules, type Protocol } from '@green-beam/core';
import { useMemo, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { inTheWay } from '../../api/in-the-way.ts';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { unitText } from '../../numbers/unit-text.ts';
import { useHouseRules } from '../../rules/house-rules.ts';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { Failed, Loading } from '../../ui/notice.tsx';
import { useWorker } from '../../ui/use-worker.ts';
import { useLaboratories, useLaboratory } from '../notebook/use-laboratories.ts';
import { useCabinet } from '../cabinet/use-cabinet.ts';
import { neededInWords, sizeText } from './in-words.ts';
import { PlansTable } from './plans-table.tsx';
import type { WhichToolFound, WhichToolOrder } from './which-tool.worker.ts';

const SELECT = 'min-h-11 min-w-0 border-b-2 border-ink bg-surface px-2 text-base font-normal';
const begin = (): Worker => new Worker(new URL('./which-tool.worker.ts', import.meta.url), { type: 'module' });

interface LookedForProps {
  readonly protocol: Protocol;
  readonly rules: HouseRules;
  /** The cabinet’s usable tools, as a log names them. */
  readonly tools: readonly string[];
}

/** One laboratory: how well what is to be known, and the tools that do it. */
function LookedFor({ protocol, rules, tools }: LookedForProps): ReactNode {
  const numerals = useNumerals();
  const [resultAt, setResultAt] = useState(0);
  const [typed, setTyped] = useState('');
  const [isPercent, setPercent] = useState(true);
  const [isAsked, setAsked] = useState(false);
  const { state, start, cancel } = useWorker<WhichToolOrder, WhichToolFound>(
    begin,
    'The tools could not be compared. Load the page again.',
  );
  const results = useMemo(() => workOut(protocol, sampleRun(protocol), rules).results, [protocol, rules]);
  const result = results[resultAt] ?? results[0];
  if (!result)
    return <p className="mt-6 text-muted">This laboratory has no result whose uncertainty can be worked out.</p>;
  const unit = unitText(result.unit);
  const number = Number(typed.trim().replace(',', '.'));
  const isBad = typed.trim() === '' || !Number.isFinite(number) || number <= 0;
  const wanted = isPercent ? (Math.abs(result.value) * number) / 100 : number;
  const send = (): void => {
    setAsked(true);
    if (!isBad)
      start({ protocol, sample: 0, result: results.indexOf(result), tools, rules, wanted, isRelative: isPercent });
  };
  const found = state.kind === 'done' ? state : null;
  const isDone = found !== null && found.of.protocol === protocol && found.of.result === results.indexOf(result);
  return (
    <>
      <form
        className="mt-4 flex flex-wrap items-start gap-x-6 gap-y-4"
        onSubmit={(event) => {
          event.preventDefault();
          send();
        }}
      >
        {results.length > 1 && (
          <label className="flex flex-col gap-1 text-small font-semibold">
            Result
            <select value={resultAt} onChange={(event) => setResultAt(Number(event.target.value))} className={SELECT}>
              {results.map(({ name, members }, i) => (
                <option key={`${name} ${JSON.stringify(members)}`} value={i}>
                  {name}
                </option>
              ))}
            </select>
          </label>
        )}
        <Field
          label="It should be known to ±"
          inputMode="decimal"
          value={typed}
          error={isAsked && isBad ? 'Write a number above zero.' : undefined}
          onChange={(event) => setTyped(event.target.value)}
          className="w-32 font-mono"
        />
        <label className="flex flex-col gap-1 text-small font-semibold">
          In
          <select
            value={isPercent ? 'percent' : 'unit'}
            onChange={(event) => setPercent(event.target.value === 'percent')}
            className={SELECT}
          >
            <option value="percent">% of the result</option>
            <option value="unit">{unit}</option>
          </select>
        </label>
        <div className="mt-6 flex items-center gap-3">
          {state.kind === 'running' ? (
            <>
              <progress
                className="h-3 w-40 accent-beam"
                value={state.done}
                aria-label="Comparing tools, how much is done"
              />
              <Button look="plain" onClick={cancel}>
                Cancel
              </Button>
            </>
          ) : (
            <Button type="submit">Find tools</Button>
          )}
        </div>
      </form>
      <p className="mt-2 text-small text-muted">
        By the example of this laboratory: {result.name.toLowerCase()} {numerals(result.quoted ?? result.text)} {unit}.
      </p>
      <div role="status" className="mt-4">
        {state.kind === 'failed' && <p className="text-slip">{state.message}</p>}
        {state.kind === 'cancelled' && <p className="text-muted">Cancelled.</p>}
        {isDone && (
          <>
            {found.outcome.best > found.of.wanted && (
              <p className="max-w-prose text-lg">
                <strong>None of these tools will do.</strong>{' '}
                {found.outcome.needed
                  ? numerals(neededInWords(found.outcome.needed))
                  : numerals(
                      `The best of them comes to ± ${sizeText(found.outcome.best)} ${unit}. More repeats, or a finer tool, may help.`,
                    )}
              </p>
            )}
            <PlansTable plans={found.outcome.plans} wanted={found.of.wanted} value={result.value} unit={unit} />
            <p className="mt-2 text-small text-muted">
              Wanted: ± {numerals(sizeText(found.of.wanted))} {unit}. Times are rough, and only order the list. Tools
              out of use are left out.
            </p>
          </>
        )}
      </div>
    </>
  );
}

interface ChosenProps {
  readonly classId: string;
  readonly laboratories: readonly LaboratoryShown[];
}

function Chosen({ classId, laboratories }: ChosenProps): ReactNode {
  const [asked, setAsked] = useState('solid-by-displacement');
  const id = laboratories.find((one) => one.id === asked)?.id ?? laboratories[0]?.id ?? '';
  const { data: protocol, error } = useLaboratory(classId, id);
  const { rules, error: noRules } = useHouseRules(classId);
  const { tools, error: noTools } = useCabinet(classId);
  const failed = inTheWay(error, protocol) ?? inTheWay(noRules, rules) ?? inTheWay(noTools, tools);
  const usable = useMemo(
    () =>
      (tools ?? [])
        .filter(({ state }) => state !== 'out-of-use')
        .map(({ instrumentId, code, tolerance }) => `${instrumentId}; ${code}; ; ${tolerance ?? ''}`),
    [tools],
  );
  return (
    <>
      <label className="mt-4 flex w-fit max-w-full flex-col gap-1 text-small font-semibold">
        Laboratory
        <select value={id} onChange={(event) => setAsked(event.target.value)} className={SELECT}>
          {laboratories.map((one) => (
            <option key={one.id} value={one.id}>
              {one.title}
            </option>
          ))}
        </select>
      </label>
      {failed && <Failed error={failed} />}
      {!failed && (!protocol || !rules || !tools) && <Loading what="the laboratory" />}
      {!failed && protocol && rules && tools && (
        <LookedFor key={protocol.id} protocol={protocol} rules={rules.rules} tools={usable} />
      )}
    </>
  );
}

function ForClass({ classId }: { readonly classId: string }): ReactNode {
  const { data: laboratories, error } = useLaboratories(classId);
  const failed = inTheWay(error, laboratories);
  if (failed) return <Failed error={failed} />;
  if (!laboratories) return <Loading what="the laboratories" />;
  return <Chosen classId={classId} laboratories={laboratories} />;
}

/** Which tools of the cabinet will do for what is to be known, how long they take, and what would do where none does. */
export default function WhichTool({ classId }: { readonly classId: string | null }): ReactNode {
  return (
    <main className="mx-auto w-full max-w-7xl px-4 py-6 wide:px-7">
      <p className="text-small">
        <Link to="/cabinet" className="inline-block py-1 underline decoration-hairline underline-offset-4">
          Equipment
        </Link>
      </p>
      <h1 className="text-2xl font-bold">Which tool for the job?</h1>
      <p className="mt-1 max-w-prose text-muted">
        Say how well a result should be known. The tools of your cabinet are tried on the example of the laboratory.
      </p>
      {classId === null ? (
        <p className="mt-6">You have no class yet. Make one under “Students”.</p>
      ) : (
        <ForClass classId={classId} />
      )}
    </main>
  );
}
