import type { ToolShown, ToolState } from '@green-beam/contract';
import { controlLimits, hasZeroError, instrumentById } from '@green-beam/core';
import { format } from 'date-fns';
import { useState, type ReactNode } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { ControlChart } from '../../charts/control-chart.tsx';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { Button } from '../../ui/button.tsx';
import { Confirm } from '../../ui/confirm.tsx';
import { Failed, Loading } from '../../ui/notice.tsx';
import { Section } from '../class/section.tsx';
import { ChangeTool } from './change-tool.tsx';
import { NoteForm } from './note-form.tsx';
import { StateMark } from './state-mark.tsx';
import { checksWith, decimalsOf, proposedState, nominalsOf, signed, toleranceOf } from './tool-words.ts';
import { useCabinet, useCabinetChange } from './use-cabinet.ts';

interface PartProps {
  readonly classId: string;
  readonly tool: ToolShown;
}

function Checks({ classId, tool }: PartProps): ReactNode {
  const numerals = useNumerals();
  const nominals = nominalsOf(tool);
  const [chosen, setChosen] = useState<number | null>(null);
  const nominal = chosen ?? nominals[0];
  const { division, unit } = instrumentById(tool.instrumentId);
  const checks = nominal === undefined ? [] : checksWith(tool, nominal);
  const limits = controlLimits(
    checks.slice(0, -1).map(({ error }) => error),
    toleranceOf(tool),
    division,
  );
  return (
    <Section title="Checks with standard masses">
      {nominals.length > 1 && (
        <label className="mt-2 flex min-h-11 items-center gap-3">
          Standard mass
          <select
            className="min-h-11 bg-surface px-2"
            value={nominal}
            onChange={(event) => setChosen(Number(event.target.value))}
          >
            {nominals.map((one) => (
              <option key={one} value={one}>
                {numerals(`${one} ${unit}`)}
              </option>
            ))}
          </select>
        </label>
      )}
      {checks.length > 0 && nominal !== undefined && (
        <>
          <p className="mt-2 text-muted">
            {numerals(`What it showed for ${nominal} ${unit}, less ${nominal} ${unit}. `)}
            {limits.from === 'checks'
              ? 'The limits are two and three standard deviations from the mean of the first eight checks.'
              : 'With fewer than eight checks the limits are two thirds of the tolerance, and the whole tolerance.'}
          </p>
          <div className="mt-3">
            <ControlChart points={checks} limits={limits} unit={unit} decimals={decimalsOf(tool.instrumentId)} />
          </div>
        </>
      )}
      <NoteForm classId={classId} tool={tool} kind="check" {...(nominal === undefined ? {} : { nominal })} />
    </Section>
  );
}

function ZeroNotes({ classId, tool }: PartProps): ReactNode {
  const numerals = useNumerals();
  const notes = tool.notes.filter(({ kind }) => kind === 'zero');
  const { unit } = instrumentById(tool.instrumentId);
  return (
    <Section title="Zero error">
      {notes.length === 0 && (
        <p className="mt-2 text-muted">
          Nobody has recorded it yet. It is what the tool shows, with its sign, when it should show zero.
        </p>
      )}
      <ul className="mt-2 max-w-xl">
        {notes.map(({ id, reading, remark, by, at }, i) => (
          <li
            key={id}
            className={`flex min-h-10 items-center gap-5 border-t border-hairline ${i === 0 ? 'font-bold' : 'text-muted'}`}
          >
            <span className="w-28">{format(new Date(at), 'd MMM yyyy')}</span>
            <span className="w-28 font-mono">
              {numerals(`${signed(reading, decimalsOf(tool.instrumentId))} ${unit}`)}
            </span>
            <span>
              {by}
              {remark === '' ? '' : `: ${remark}`}
            </span>
          </li>
        ))}
      </ul>
      <NoteForm classId={classId} tool={tool} kind="zero" />
    </Section>
  );
}

/** What a last check beyond its limits asks for. */
function Advice({
  tool,
  onState,
}: {
  readonly tool: ToolShown;
  readonly onState: (state: ToolState) => void;
}): ReactNode {
  const proposed = proposedState(tool);
  if (proposed === null) return null;
  return (
    <p role="status" className="mt-4 flex flex-wrap items-center gap-4 border-l-4 border-doubt pl-4">
      {proposed === 'out-of-use'
        ? 'The last check is beyond an action limit. Find the cause before you use the tool again.'
        : 'The last check is beyond a warning limit. Check the tool again soon.'}
      {proposed === 'out-of-use' && (
        <Button look="plain" onClick={() => onState('out-of-use')}>
          Take it out of use
        </Button>
      )}
      {tool.state === 'fit' && (
        <Button look={proposed === 'watch' ? 'plain' : 'quiet'} onClick={() => onState('watch')}>
          Set it to watch
        </Button>
      )}
    </p>
  );
}

function Shown({ classId, tool }: PartProps): ReactNode {
  const numerals = useNumerals();
  const navigate = useNavigate();
  const change = useCabinetChange(classId);
  const { name, range, division, unit, skill } = instrumentById(tool.instrumentId);
  const weighs = skill === 'digital-balances' || skill === 'beam-balances';
  const facts: readonly (readonly [string, string])[] = [
    ['Range', `${range[0]} to ${range[1]} ${unit}`.replace('-', '−')],
    ['Division', `${division} ${unit}`],
    ['Tolerance', `±${toleranceOf(tool)} ${unit}${tool.tolerance === null ? ', its maker’s' : ''}`],
    ['Kept', tool.keeper === '' ? '–' : tool.keeper],
    [
      'Changed',
      `${format(new Date(tool.changedAt), 'd MMM yyyy, HH:mm')}${tool.changedBy === '' ? '' : `, ${tool.changedBy}`}`,
    ],
  ];
  return (
    <>
      <h1 className="mt-2 flex flex-wrap items-baseline gap-x-5 text-2xl font-bold">
        <span className="font-mono">{tool.code}</span> {numerals(name)}
        <span className="text-base font-normal">
          <StateMark state={tool.state} />
        </span>
      </h1>
      <Advice
        tool={tool}
        onState={(state) => change.mutate({ kind: 'change', id: tool.id, change: { state, after: tool.version } })}
      />
      <dl className="mt-4 flex flex-wrap gap-x-10 gap-y-3">
        {facts.map(([term, fact]) => (
          <div key={term}>
            <dt className="text-small text-muted">{term}</dt>
            <dd>{numerals(fact)}</dd>
          </div>
        ))}
      </dl>
      {weighs && <Checks classId={classId} tool={tool} />}
      {hasZeroError(tool.instrumentId) && <ZeroNotes classId={classId} tool={tool} />}
      <Section title="Change it">
        <ChangeTool key={tool.id} classId={classId} tool={tool} />
        <div className="mt-6">
          <Confirm
            trigger={<Button look="danger">Remove the tool</Button>}
            title={`Remove ${tool.code}?`}
            text="Its notes and checks are removed too. If it is only broken, set it “out of use”: then its history stays."
            action="Remove"
            onConfirm={() =>
              change.mutate({ kind: 'remove', id: tool.id }, { onSuccess: () => void navigate('/cabinet') })
            }
          />
        </div>
      </Section>
    </>
  );
}

/** One tool of the cabinet with its history. */
export default function Tool({ classId }: { readonly classId: string | null }): ReactNode {
  const { toolId } = useParams();
  const { tools, error } = useCabinet(classId);
  const tool = tools?.find(({ id }) => id === toolId);
  return (
    <main className="mx-auto w-full max-w-5xl px-4 py-8 wide:px-7">
      <Link to="/cabinet" className="text-muted underline underline-offset-4">
        Equipment
      </Link>
      {error && <Failed error={error} />}
      {!tools && !error && <Loading what="the tool" />}
      {tools && !tool && <p className="mt-4">This class has no such tool. It may have been removed.</p>}
      {tool && classId !== null && <Shown classId={classId} tool={tool} />}
    </main>
  );
}
