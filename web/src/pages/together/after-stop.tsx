import type { TogetherNow, TogetherReader } from '@green-beam/contract';
import { instrumentById, type Picture } from '@green-beam/core';
import { useMemo, type ReactNode } from 'react';
import { createSight } from '../../instruments/sight/sight.ts';
import { ToolStage } from '../../instruments/tool-stage.tsx';
import { viewOf } from '../../instruments/views.ts';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { MeasuredNumber } from '../../numbers/measured-number.tsx';
import { unitText } from '../../numbers/unit-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { roomOf } from './room-in-words.ts';
import { RoomStrip } from './room-strip.tsx';

const STRIP_HEIGHT = 200;

interface HowItWasSeenProps {
  readonly picture: Picture;
  readonly eyeHeight: number;
  readonly slips: TogetherReader['slips'];
}

/** The tool as it was seen when the reading was sent, with the wrong path drawn on it. */
function HowItWasSeen({ picture, eyeHeight, slips }: HowItWasSeenProps): ReactNode {
  const numerals = useNumerals();
  const sight = useMemo(() => {
    const view = viewOf(picture);
    return createSight({ height: eyeHeight, markAt: view.readAt(picture, view.seenFirst(picture).markAt) });
  }, [picture, eyeHeight]);
  return (
    <div className="my-3 max-w-xl">
      <ToolStage
        picture={picture}
        name={numerals(instrumentById(picture.instrumentId).name)}
        sight={sight}
        onRestEye={() => undefined}
        wrongPath={slips.flatMap(({ path }) => path)}
      />
    </div>
  );
}

/** What became of somebody’s reading: the slip behind it, without the answer. */
function Own({ reader }: { readonly reader: TogetherReader }): ReactNode {
  const numerals = useNumerals();
  const { name, entry, late, verdict, slips, picture, eyeHeight } = reader;
  return (
    <li className="border-t border-hairline py-3">
      <p>
        <strong>{name}</strong>
        {entry === null ? ' did not read in time.' : `: ${numerals(entry)}`}
      </p>
      {late !== null && (
        <p className="text-doubt">
          {numerals(late)} came after your teacher had stopped. It is kept, and does not stand on the line.
        </p>
      )}
      {verdict === 'sound' && <Notice tone="sound" title="Correct reading" />}
      {slips.map(({ id, name: slip, why, lookAt }) => (
        <Notice key={id} tone="slip" title={slip}>
          <p>{numerals(why)}</p>
          <p className="text-muted">
            Look at: {numerals(lookAt)}
            {/[.?!]$/.test(lookAt) ? '' : '.'}
          </p>
        </Notice>
      ))}
      {picture && eyeHeight !== null && slips.length > 0 && (
        <HowItWasSeen picture={picture} eyeHeight={eyeHeight} slips={slips} />
      )}
      {verdict === 'unexplained' && (
        <Notice tone="slip" title="Too far off">
          <p>No slip that is known here leads to it.</p>
        </Notice>
      )}
    </li>
  );
}

/** The room’s readings on one line with one’s own ringed, and what is behind that one. */
export function AfterStop({ now }: { readonly now: TogetherNow }): ReactNode {
  const numerals = useNumerals();
  const { round, readers, dots, answer } = now;
  const room = useMemo(() => roomOf(dots, round.division, round.unit), [dots, round.division, round.unit]);
  const [first] = readers;
  const own = first?.dot
    ? (dots.find((dot) => dot.value === first.dot?.value && dot.place === first.dot.place) ?? null)
    : null;
  return (
    <div className="mx-auto w-full max-w-5xl px-4 py-6">
      <h1 className="text-2xl font-bold">{numerals(round.question)}</h1>
      {answer ? (
        <p className="mt-2 flex items-baseline gap-3 text-reading">
          <MeasuredNumber text={answer.text} unit={unitText(round.unit)} />
          <span className="text-small text-muted">the true value</span>
        </p>
      ) : (
        <p className="mt-2 text-muted">Stopped. Every dot is one reading; yours has a ring.</p>
      )}
      {room ? (
        <div className="mt-4">
          <RoomStrip
            room={room}
            before={[]}
            toolName={round.question}
            height={STRIP_HEIGHT}
            truth={answer?.value ?? null}
            own={own}
          />
        </div>
      ) : (
        <p className="mt-4">Nobody has read it.</p>
      )}
      <ul className="mt-4">
        {readers.map((reader) => (
          <Own key={reader.personId} reader={reader} />
        ))}
      </ul>
      <p className="mt-4 text-muted">Only you see this. It is not marked.</p>
    </div>
  );
}
