import type { SetRoundProgress, SetRoundShown } from '@green-beam/contract';
import { practiceSlipById, SKILLS, subjectById, type Subject } from '@green-beam/core';
import { format } from 'date-fns';
import { useState, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { Button, buttonClass } from '../../ui/button.tsx';
import { Confirm } from '../../ui/confirm.tsx';
import { Field } from '../../ui/field.tsx';
import { Failed, Loading } from '../../ui/notice.tsx';
import { NewSetForm } from './new-set/new-set-form.tsx';
import { useSetRoundChange, useSetRounds } from '../use-set-rounds.ts';

/** A tool is called as it is, a kind of exercise as a topic. */
function inASentence({ name, domain }: Subject): string {
  return domain === 'calculating' ? name.toLowerCase() : name;
}

/** What a round is made of, in words: skills where there are many. */
function subjectsInWords(ids: readonly string[]): string {
  if (ids.length === 0) return 'every tool';
  const skills = new Set(ids.map((id) => subjectById(id).skill));
  return ids.length > 2
    ? SKILLS.filter(({ id }) => skills.has(id))
        .map(({ name }) => name.toLowerCase())
        .join(', ')
    : ids.map((id) => inASentence(subjectById(id))).join(' and ');
}

function madeOf(subjectIds: readonly string[], toolCodes: readonly string[]): string {
  if (toolCodes.length === 0) return subjectsInWords(subjectIds);
  // Beside the very tools of the cabinet there may be exercises.
  const exercises = subjectIds.filter((id) => subjectById(id).domain === 'calculating');
  return [toolCodes.join(', '), ...(exercises.length > 0 ? [subjectsInWords(exercises)] : [])].join(', ');
}

function conditions({ subjectIds, toolCodes, length, aims, tries, hints, rulesName, onPaper }: SetRoundShown): string {
  const aim = aims.length === 0 ? 'finding out' : aims.map((id) => practiceSlipById(id).name.toLowerCase()).join(', ');
  return [
    `${length} items, ${madeOf(subjectIds, toolCodes)}`,
    aim,
    ...(onPaper ? ['on paper'] : [tries === 1 ? 'one try' : `${tries} tries`, hints ? 'with hints' : 'without hints']),
    ...(rulesName === null ? [] : [`rules: ${rulesName}`]),
  ].join('; ');
}

function Student({
  progress,
  round,
}: {
  readonly progress: SetRoundProgress;
  readonly round: SetRoundShown;
}): ReactNode {
  const late = round.dueAt !== null && progress.finishedAt !== null && progress.finishedAt > round.dueAt;
  return (
    <tr className="border-t border-hairline">
      <th scope="row" className="py-2 pr-4 text-left font-normal">
        {progress.label}
      </th>
      <td className="pr-4">
        <span className="inline-block h-2.5 w-24 bg-hairline/60" aria-hidden="true">
          <span className="block h-full bg-ink" style={{ width: `${(100 * progress.done) / round.length}%` }} />
        </span>
      </td>
      <td className="pr-4 font-mono">
        {progress.done}/{round.length}
      </td>
      {round.onPaper && (
        <td className="pr-4">
          {progress.sheetCode !== null && (
            <Link
              to={`/sheets/${progress.sheetCode}`}
              className="inline-flex min-h-11 items-center font-mono underline underline-offset-4"
            >
              {progress.sheetCode}
            </Link>
          )}
        </td>
      )}
      <td className="pr-4">
        {progress.done > 0
          ? `${progress.rightAtFirst} right at the first try`
          : round.onPaper
            ? 'no answers entered'
            : 'not begun'}
      </td>
      <td className={late ? 'text-slip' : 'text-muted'}>
        {progress.finishedAt === null
          ? ''
          : `finished ${format(new Date(progress.finishedAt), 'd MMM, HH:mm')}${late ? ', late' : ''}`}
      </td>
    </tr>
  );
}

function SetRound({
  round,
  onWithdraw,
}: {
  readonly round: SetRoundShown;
  readonly onWithdraw: () => void;
}): ReactNode {
  const numerals = useNumerals();
  const [open, setOpen] = useState(false);
  const finished = round.progress.filter((one) => one.finishedAt !== null).length;
  const begun = round.progress.filter((one) => one.done > 0).length - finished;
  return (
    <li className="border-t border-hairline py-4">
      <div className="flex flex-wrap items-baseline gap-x-6 gap-y-1">
        <h2 className={`text-lg font-semibold ${round.withdrawn ? 'text-muted line-through' : ''}`}>{round.title}</h2>
        <span className="text-muted">
          {round.withdrawn
            ? 'withdrawn'
            : round.dueAt === null
              ? 'no date'
              : `due ${format(new Date(round.dueAt), 'EEE d MMM, HH:mm')}`}
        </span>
        <span className="ml-auto">
          {finished} of {round.progress.length} finished{begun > 0 ? `, ${begun} under way` : ''}
        </span>
      </div>
      <p className="text-muted">{numerals(conditions(round))}</p>
      <div className="-ml-2 flex flex-wrap">
        {round.onPaper && !round.withdrawn && (
          <Link to={`/rounds/${round.id}/print`} className={buttonClass('quiet')}>
            Print the sheets
          </Link>
        )}
        <Button look="quiet" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? 'Hide the students' : 'Show the students'}
        </Button>
        {!round.withdrawn && (
          <Confirm
            trigger={<Button look="quiet">Withdraw</Button>}
            title={`Withdraw “${round.title}”?`}
            text="Nobody can begin it any more. Students who have begun can finish. No reading is lost."
            action="Withdraw it"
            onConfirm={onWithdraw}
          />
        )}
      </div>
      {open && (
        <table className="mt-2 w-full max-w-3xl">
          <caption className="sr-only">Progress in {round.title}</caption>
          <tbody>
            {round.progress.map((progress) => (
              <Student key={progress.studentId} progress={progress} round={round} />
            ))}
          </tbody>
        </table>
      )}
    </li>
  );
}

/** Leads from the code on a sheet of paper to where its answers are typed in. */
function SheetCode(): ReactNode {
  const goTo = useNavigate();
  const [code, setCode] = useState('');
  return (
    <form
      className="flex items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (code.trim() !== '') void goTo(`/sheets/${encodeURIComponent(code.trim())}`);
      }}
    >
      <Field
        label="Sheet code"
        placeholder="KTR-4827"
        value={code}
        onChange={(event) => setCode(event.target.value)}
        className="w-36 font-mono uppercase placeholder:normal-case"
      />
      <Button look="plain" type="submit">
        Enter answers
      </Button>
    </form>
  );
}

function RoundList({
  classId,
  rounds,
}: {
  readonly classId: string;
  readonly rounds: readonly SetRoundShown[];
}): ReactNode {
  const change = useSetRoundChange(classId);
  const [making, setMaking] = useState(rounds.length === 0);
  return (
    <>
      {!making && (
        <div className="mt-4 flex flex-wrap items-end justify-between gap-4">
          <Button onClick={() => setMaking(true)}>New practice set</Button>
          {rounds.some((round) => round.onPaper) && <SheetCode />}
        </div>
      )}
      {making && <NewSetForm classId={classId} change={change} onDone={() => setMaking(false)} />}
      {rounds.length === 0 && (
        <p className="mt-8 text-muted">
          Nothing is set yet. Students practise on their own. A practice set gives all of them the same kind of readings
          by a date.
        </p>
      )}
      <ul className="mt-8">
        {rounds.map((round) => (
          <SetRound key={round.id} round={round} onWithdraw={() => change.mutate(round.id)} />
        ))}
      </ul>
    </>
  );
}

/** What is set for a class, and how far everybody has come. */
export default function Rounds({ classId }: { readonly classId: string | null }): ReactNode {
  const { rounds, error } = useSetRounds(classId);
  return (
    <main className="mx-auto w-full max-w-7xl px-4 py-8 wide:px-7">
      <h1 className="text-2xl font-bold">Practice sets</h1>
      {error && <Failed error={error} />}
      {!rounds && !error && <Loading what="the rounds" />}
      {rounds && classId !== null && <RoundList classId={classId} rounds={rounds} />}
    </main>
  );
}
