import type { TogetherAnswered, TogetherAtFront } from '@green-beam/contract';
import type { ReactNode } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { inTheWay } from '../../api/in-the-way.ts';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { unitText } from '../../numbers/unit-text.ts';
import { Button, buttonClass } from '../../ui/button.tsx';
import { Confirm } from '../../ui/confirm.tsx';
import { Failed, Loading } from '../../ui/notice.tsx';
import { FiguresBeside } from './figures-beside.tsx';
import { figuresOf } from './room-in-words.ts';
import { RoomStrip } from './room-strip.tsx';
import { useRoom } from './use-room.ts';
import { useForget, useStep, useTogether } from './use-together.ts';

const STRIP_HEIGHT = 180;

function found({ verdict, slips, late, entry }: TogetherAnswered): string {
  const tooLate = late === null ? '' : `After Stop: ${late}.`;
  if (entry === '') return `${tooLate} Not counted.`;
  const said =
    verdict === null
      ? ''
      : slips.length > 0
        ? slips.map(({ name }) => name).join(' and ')
        : verdict === 'sound'
          ? 'Correct'
          : 'No slip explains it';
  return [said, tooLate].filter((text) => text !== '').join('. ');
}

function Answers({ answers }: { readonly answers: readonly TogetherAnswered[] }): ReactNode {
  const numerals = useNumerals();
  const sorted = [...answers].sort((a, b) => (a.dot?.value ?? Infinity) - (b.dot?.value ?? Infinity));
  return (
    <div className="relative overflow-x-auto">
      <table className="mt-4 w-full max-w-4xl">
        <thead>
          <tr className="border-b-[1.5px] border-ink text-left text-small">
            <th scope="col" className="py-2 pr-6">
              Student
            </th>
            <th scope="col" className="pr-6 text-right">
              First
            </th>
            <th scope="col" className="pr-6 text-right">
              Counts
            </th>
            <th scope="col">What is behind it</th>
          </tr>
        </thead>
        <tbody>
          {sorted.map((answer) => (
            <tr key={answer.personId} className="border-b border-hairline">
              <td className="py-2 pr-6 whitespace-nowrap">
                <Link
                  to={`/class/student/${answer.personId}`}
                  className="inline-block py-1 font-semibold underline decoration-hairline underline-offset-4"
                >
                  {answer.label}
                </Link>
              </td>
              <td className="pr-6 text-right font-mono whitespace-nowrap text-muted">
                {answer.first === answer.entry ? '' : numerals(answer.first)}
              </td>
              <td className="pr-6 text-right font-mono whitespace-nowrap">{numerals(answer.entry)}</td>
              <td>{numerals(found(answer))}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

interface ReadingProps {
  readonly classId: string;
  readonly shown: TogetherAtFront;
}

function Reading({ classId, shown }: ReadingProps): ReactNode {
  const numerals = useNumerals();
  const navigate = useNavigate();
  const forget = useForget(classId);
  const step = useStep(classId, shown.round.id);
  const { round, toolName, answered, of, answers, answer, before, over } = shown;
  const room = useRoom(shown);
  return (
    <>
      <h1 className="mt-2 text-2xl font-bold">
        {numerals(toolName)}
        {round.number > 1 ? `, reading ${round.number}` : ''}
      </h1>
      <p className="text-muted">
        {answered} of {of} have read.
        {answer && ` True value ${numerals(answer.text)} ${unitText(round.unit)}.`}
        {round.state === 'reading' && ' Names and readings appear here after Stop.'}
        {shown.onMark && round.state === 'reading' && ' It stands so near a mark that many will read the mark itself.'}
      </p>
      {room && (
        <>
          <div className="mt-4">
            <RoomStrip
              room={room}
              before={before}
              toolName={toolName}
              height={STRIP_HEIGHT}
              truth={answer?.value ?? null}
            />
          </div>
          <FiguresBeside room={room} figures={figuresOf(room, answer?.value ?? null)} />
          <Answers answers={answers} />
        </>
      )}
      {round.state !== 'reading' && !room && <p className="mt-4">Nobody has read it.</p>}
      <div className="mt-6 flex flex-wrap items-center gap-3">
        {!over && (
          <>
            <Link to={`/read-together/${round.id}/wall`} className={buttonClass('main')}>
              Show on the wall
            </Link>
            <Button look="plain" disabled={step.isPending} onClick={() => step.mutate({ step: 'end' })}>
              Finish
            </Button>
          </>
        )}
        <Confirm
          trigger={<Button look="quiet">Delete this reading</Button>}
          title="Delete this reading?"
          text="What everybody has written is deleted with it. Nothing else changes."
          action="Delete it"
          onConfirm={() => forget.mutate(round.id, { onSuccess: () => void navigate('/read-together') })}
        />
        {[forget.error, step.error].map(
          (error, i) =>
            error && (
              <p key={i} role="alert" className="text-slip">
                {error.message}
              </p>
            ),
        )}
      </div>
    </>
  );
}

/** One reading on the teacher’s own screen: with names and slips. */
export default function TogetherNames({ classId }: { readonly classId: string | null }): ReactNode {
  const { roundId = '' } = useParams();
  const { data: shown, error } = useTogether(classId ?? '', roundId);
  const failed = inTheWay(error, shown);
  return (
    <main className="mx-auto w-full max-w-7xl px-4 py-6 wide:px-7">
      <p className="text-small">
        <Link to="/read-together" className="inline-block py-2 underline decoration-hairline underline-offset-4">
          All readings
        </Link>
      </p>
      {failed && <Failed error={failed} />}
      {!failed && !shown && <Loading what="the reading" />}
      {!failed && shown && classId !== null && <Reading classId={classId} shown={shown} />}
    </main>
  );
}
