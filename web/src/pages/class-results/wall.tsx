import { poolTools, type HouseRules } from '@green-beam/core';
import { useState, type ReactNode } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { MeasuredNumber } from '../../numbers/measured-number.tsx';
import { unitText } from '../../numbers/unit-text.ts';
import { Button } from '../../ui/button.tsx';
import { Failed, Loading } from '../../ui/notice.tsx';
import { classInWords } from '../tools-compared/class-in-words.ts';
import { ToolsOnAxes } from '../tools-compared/tools-on-axes.tsx';
import { GroupStrip } from './group-strip.tsx';
import { agreementInWords } from './in-words.ts';
import { acceptedByAll, comparedResults, type ComparedResult } from './result-rows.ts';
import { useClassResults } from './use-class-results.ts';
import { usePooled } from './use-pooled.ts';

/** Charts are drawn so many times larger than on a desk. */
const LARGER = 1.6;
const AXES_LARGER = 1.25;
/** The tools on two axes, instead of one result of all groups. */
const TOOLS = 'tools';

interface OneResultProps {
  readonly compared: ComparedResult;
  readonly rules: HouseRules;
  readonly showsAccepted: boolean;
}

/** One result of all groups, by letters. */
function OneResult({ compared, rules, showsAccepted }: OneResultProps): ReactNode {
  const numerals = useNumerals();
  const pooled = usePooled(compared, rules);
  const { summary, together, textOf } = pooled;
  const unit = unitText(compared.unit);
  const accepted = acceptedByAll(compared);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-x-12 gap-y-6 wide:grid-cols-[minmax(0,1.7fr)_minmax(0,1fr)]">
      <GroupStrip
        compared={compared}
        together={together}
        textOf={textOf}
        scale={LARGER}
        accepted={showsAccepted ? accepted : null}
      />
      <div className="flex flex-col gap-5 text-xl">
        <p className="text-4xl">
          <span className="mb-1 block text-xl text-muted">{together ? 'Together' : 'Mean'}</span>
          <MeasuredNumber
            text={textOf(together?.value ?? summary.mean)}
            unit={compared.unit}
            {...(together && together.standard > 0 ? { uncertainty: textOf(together.standard) } : {})}
          />
        </p>
        {agreementInWords(pooled, together, unit).map((sentence) => (
          <p key={sentence}>{numerals(sentence)}</p>
        ))}
        {showsAccepted && accepted && (
          <p className="text-beam">
            Accepted: {numerals(String(accepted.least))}
            {accepted.most !== accepted.least && ` to ${numerals(String(accepted.most))}`} {unit}
          </p>
        )}
      </div>
    </div>
  );
}

interface ShownProps {
  readonly classId: string;
  readonly runId: string;
}

function Shown({ classId, runId }: ShownProps): ReactNode {
  const numerals = useNumerals();
  const { shown, failed } = useClassResults(classId, runId);
  const [search, setSearch] = useSearchParams();
  const [showsAccepted, setShowsAccepted] = useState(false);
  if (failed) return <Failed error={failed} />;
  if (!shown) return <Loading what="the results" />;
  const { found, rules } = shown;
  const results = comparedResults(found);
  const tools = poolTools(found.groups.map(({ letter, compared }) => ({ group: letter, tools: compared })));
  const asked = search.get('result') ?? '';
  const compared = results.find(({ key }) => key === asked) ?? results[0];
  const onAxes = tools.length > 1 && (asked === TOOLS || !results.some(({ key }) => key === asked));
  return (
    <>
      <header>
        <h1 className="text-4xl font-bold">{numerals(found.specimen)}</h1>
        <p className="mt-1 text-xl text-muted">{numerals(onAxes ? classInWords(tools) : (compared?.name ?? ''))}</p>
      </header>
      <main className="flex-1 py-6">
        {onAxes ? (
          <ToolsOnAxes tools={tools} chosen="" scale={AXES_LARGER} />
        ) : compared ? (
          <OneResult compared={compared} rules={rules} showsAccepted={showsAccepted} />
        ) : (
          <p className="text-xl">No group has a result yet. It appears as soon as one can be worked out.</p>
        )}
      </main>
      <footer className="flex flex-wrap items-center gap-x-5 gap-y-1 border-t border-hairline py-2">
        <label className="flex items-center gap-3 font-semibold">
          Show
          <select
            value={onAxes ? TOOLS : (compared?.key ?? '')}
            onChange={(event) => setSearch({ result: event.target.value }, { replace: true })}
            className="min-h-11 min-w-0 border-b-2 border-ink bg-surface px-2 font-normal"
          >
            {tools.length > 1 && <option value={TOOLS}>the tools on two axes</option>}
            {results.map(({ key, name }) => (
              <option key={key} value={key}>
                {name}
              </option>
            ))}
          </select>
        </label>
        {!onAxes && compared && acceptedByAll(compared) && (
          <Button look="plain" onClick={() => setShowsAccepted(!showsAccepted)}>
            {showsAccepted ? 'Hide the accepted value' : 'Show the accepted value'}
          </Button>
        )}
        <span className="ml-auto text-muted">Letters stand for the groups.</span>
        <Link
          to={`/class-results?of=${runId}`}
          className="min-h-11 content-center text-muted underline underline-offset-4"
        >
          Names and tools, on your own screen
        </Link>
      </footer>
    </>
  );
}

/** Class results at the front of the room: large, by letters, and the accepted value only when it is asked for. */
export default function ClassResultsWall({ classId }: { readonly classId: string | null }): ReactNode {
  const { runId = '' } = useParams();
  return (
    <div className="projector flex min-h-screen flex-col px-10 pt-5">
      {classId === null ? <Loading what="the class" /> : <Shown classId={classId} runId={runId} />}
    </div>
  );
}
