import type { TogetherAtFront } from '@green-beam/contract';
import type { Picture } from '@green-beam/core';
import { QRCodeSVG } from 'qrcode.react';
import { useMemo, useState, type ReactNode } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { inTheWay } from '../../api/in-the-way.ts';
import { createSight } from '../../instruments/sight/sight.ts';
import { ToolStage } from '../../instruments/tool-stage.tsx';
import { viewOf } from '../../instruments/views.ts';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { newId } from '../../outbox/new-id.ts';
import { Button } from '../../ui/button.tsx';
import { Failed, Loading } from '../../ui/notice.tsx';
import { DigitsAgree } from './digits-agree.tsx';
import { FiguresBeside } from './figures-beside.tsx';
import { OtherTool } from './other-tool.tsx';
import { digitsShown, figuresOf, type Room } from './room-in-words.ts';
import { RoomStrip } from './room-strip.tsx';
import { TrueValue } from './true-value.tsx';
import { useRoom } from './use-room.ts';
import { useBegin, useStep, useTogether } from './use-together.ts';

const STRIP_HEIGHT = 210;

interface OnWallProps {
  readonly picture: Picture;
  readonly name: string;
  /** The beam runs across the tool. */
  readonly closed: boolean;
}

/** The tool as the wall shows it: from the level, at rest. */
function OnWall({ picture, name, closed }: OnWallProps): ReactNode {
  const numerals = useNumerals();
  const sight = useMemo(() => {
    const view = viewOf(picture);
    return createSight({ height: 0, markAt: view.readAt(picture, view.seenFirst(picture).markAt) });
  }, [picture]);
  return <ToolStage picture={picture} name={numerals(name)} sight={sight} closed={closed} />;
}

/** How to take part, and how many have: the count alone, so that nobody copies. */
function Gathering({ shown }: { readonly shown: TogetherAtFront }): ReactNode {
  const { answered, of, code } = shown;
  const { origin, host } = window.location;
  const address = code === null ? `${origin}/read-together` : `${origin}/join/${code}`;
  return (
    <div>
      <p role="status" className="text-5xl font-bold text-beam">
        {answered} of {of}
      </p>
      <p className="text-xl">have read</p>
      <QRCodeSVG className="mt-8" value={address} size={184} marginSize={2} level="M" title={`Camera: ${address}`} />
      <p className="mt-3 text-lg">
        {code === null ? (
          'Whoever is signed in is asked to read.'
        ) : (
          <>
            Open <span className="font-mono">{host}</span> and type{' '}
            <strong className="font-mono whitespace-nowrap">{code}</strong>
          </>
        )}
      </p>
    </div>
  );
}

interface TalkProps {
  readonly shown: TogetherAtFront;
  readonly room: Room | null;
}

/** What is to be talked about once the dots have fallen. */
function Talk({ shown, room }: TalkProps): ReactNode {
  const [asked, setAsked] = useState(false);
  const { answer, answered } = shown;
  if (!room)
    return <p className="text-xl">Nobody has read it. Read again, and wait until somebody has sent a reading.</p>;
  return (
    <div className="flex flex-col gap-6">
      {asked ? (
        <DigitsAgree room={room} shown={digitsShown(room)} of={answered} />
      ) : (
        <Button look="plain" className="self-start text-lg" onClick={() => setAsked(true)}>
          Which digits agree?
        </Button>
      )}
      <FiguresBeside room={room} figures={figuresOf(room, answer?.value ?? null)} />
    </div>
  );
}

function standing({ round, answered, of, before, answers }: TogetherAtFront): string {
  const which = round.number > 1 ? `Reading ${round.number}. ` : '';
  if (round.state === 'reading') return `${which}Look for yourself, write the number with its unit, and send it.`;
  const earlier = before.at(-1);
  const dotted = earlier ? ` Dotted: ${before.length === 1 ? 'the reading before' : 'the readings before'}.` : '';
  const rings = answers.some(({ dot }) => dot?.sound === false) ? ' A ring: a slip is behind it.' : '';
  return `${which}${answered} of ${of} have read.${dotted}${rings}`;
}

interface ReadingProps {
  readonly classId: string;
  readonly shown: TogetherAtFront;
}

function Reading({ classId, shown }: ReadingProps): ReactNode {
  const numerals = useNumerals();
  const navigate = useNavigate();
  const { round, picture, toolName, answer, before } = shown;
  const step = useStep(classId, round.id);
  const begin = useBegin(classId);
  const room = useRoom(shown);
  const isReading = round.state === 'reading';
  const goTo = (next: TogetherAtFront): void => void navigate(`/read-together/${next.round.id}/wall`);
  const again = (): void =>
    begin.mutate(
      { id: newId(), kind: 'again', over: round.id, instrumentId: null, value: null, title: '', unit: null },
      { onSuccess: goTo },
    );
  const refused = step.error ?? begin.error;
  return (
    <div className="projector flex min-h-screen flex-col">
      <header className="px-10 pt-5">
        <h1 className="text-4xl font-bold">{numerals(round.question)}</h1>
        <p className="mt-1 text-xl text-muted">{standing(shown)}</p>
      </header>
      <main className="grid flex-1 grid-cols-1 content-start items-start gap-x-10 gap-y-4 px-10 pt-4 wide:grid-cols-[minmax(0,1fr)_20rem]">
        <div
          className={`mx-auto w-full min-w-0 ${isReading ? 'max-w-[calc((100vh-12rem)*1.38)]' : 'max-w-[calc((100vh-24.5rem)*1.38)]'}`}
        >
          {picture ? (
            <OnWall picture={picture} name={toolName} closed={answer !== null} />
          ) : (
            <p className="py-10 text-center text-3xl font-bold text-balance">{toolName}</p>
          )}
        </div>
        <div className="min-w-0">{isReading ? <Gathering shown={shown} /> : <Talk shown={shown} room={room} />}</div>
      </main>
      {!isReading && room && (
        <div className="px-10">
          <RoomStrip
            room={room}
            before={before}
            toolName={toolName}
            height={STRIP_HEIGHT}
            truth={answer?.value ?? null}
          />
        </div>
      )}
      <footer className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-hairline px-10 py-2">
        {isReading ? (
          <Button look="plain" disabled={step.isPending} onClick={() => step.mutate({ step: 'stop' })}>
            Stop
          </Button>
        ) : (
          <>
            <Button look="plain" disabled={begin.isPending} onClick={again}>
              Read again
            </Button>
            <OtherTool classId={classId} round={round} onBegun={goTo} />
            <TrueValue shown={shown} step={step} />
          </>
        )}
        {refused && (
          <p role="alert" className="text-slip">
            {refused.message}
          </p>
        )}
        <span className="ml-auto text-muted">Names and slips are on your own screen only.</span>
        <Link
          to={`/read-together/${round.id}`}
          onClick={() => step.mutate({ step: 'end' })}
          className="min-h-11 content-center text-muted underline underline-offset-4"
        >
          Finish
        </Link>
      </footer>
    </div>
  );
}

/** The wall while a class reads one tool together, and while it talks about what it has read. */
export default function TogetherWall({ classId }: { readonly classId: string | null }): ReactNode {
  const { roundId = '' } = useParams();
  const { data: shown, error } = useTogether(classId ?? '', roundId);
  const failed = inTheWay(error, shown);
  if (shown && classId !== null && !failed) return <Reading key={shown.round.id} classId={classId} shown={shown} />;
  return (
    <div className="projector min-h-screen px-10">
      {failed ? <Failed error={failed} /> : <Loading what="the reading" />}
    </div>
  );
}
