import { type MicrometerPicture, withArticle } from '@green-beam/core';
import { useCallback, useEffect, useMemo, useState, type ReactNode } from 'react';
import { useTyping } from '../../ui/typing.ts';
import { useNarrow } from '../../ui/use-narrow.ts';
import type { HeldState } from '../jaws/held-state.ts';
import { LookedAt } from '../looked-at.tsx';
import { Layer, SlidingLayer, Stage, type StageBox, type Window } from '../layers.tsx';
import type { Seen } from '../sight/sight.ts';
import { HandleArea, SlideHandle } from '../jaws/slide-handle.tsx';
import type { StageProps } from '../view.ts';
import { facesOf } from './faces-of.ts';
import {
  RightReading,
  sleeveArea,
  SleeveBody,
  SleeveLines,
  thimbleArea,
  ThimbleBody,
  ThimbleLines,
  turnedPast,
  type CloseView,
} from './sleeve-and-thimble.tsx';
import { WholeMicrometer } from './whole-micrometer.tsx';

const WIDE: StageBox = { x: 0, width: 840, height: 600 };
const NARROW: StageBox = { x: 210, width: 500, height: 600 };
/** Where the thimble’s edge and the datum line stand in the close view, and how large a millimetre and a division are there. */
const CLOSE: CloseView = { edge: 490, datum: 420, perMillimetre: 60, perDivision: 24 };
/** A vernier on the sleeve needs nine divisions above the datum line. */
const WITH_VERNIER: CloseView = { ...CLOSE, datum: 486, perDivision: 26 };
/** Where the whole tool stands. */
const AT = { wide: { x: 130, y: 100, scale: 2.5 }, narrow: { x: 300, y: 100, scale: 2 } } as const;
/** One division of the thimble, in mm. */
const DIVISION = 0.01;

/** What can be looked at without turning it, with how far it is open then. */
function viewsOf({ thing, openX, held, closedX }: MicrometerPicture): { readonly name: string; readonly at: number }[] {
  return [
    { name: `on the ${thing.name}`, at: openX },
    ...(held.turnedX === null ? [] : [{ name: 'on it turned by a right angle', at: held.turnedX }]),
    ...(closedX === null ? [] : [{ name: 'with the faces closed', at: closedX }]),
  ];
}

/** The part of an area that lies on the stage: on a phone less of the sleeve is seen. */
function within({ x, y, width, height }: Window, box: StageBox): Window {
  const left = Math.max(x, box.x);
  return { x: left, y, width: x + width - left, height };
}

/** A micrometer: the whole of it, and the sleeve with the thimble’s edge seen close. */
export default function MicrometerStage({
  picture,
  name,
  sight,
  state: hold,
  handling,
  closed = false,
  rightPath = [],
}: StageProps<MicrometerPicture, HeldState>): ReactNode {
  const box = useNarrow() ? NARROW : WIDE;
  const typing = useTyping();
  const [shown, setShown] = useState(0);
  const faces = useMemo(() => facesOf(picture), [picture]);
  const byHand = picture.handled === 'close' && handling !== undefined;
  const views = viewsOf(picture);
  useEffect(() => {
    if (!closed) return;
    setShown(0);
    sight.moveMark(picture.openX);
  }, [closed, picture, sight]);
  const look = (to: number): void => {
    setShown(to);
    sight.moveMark(views[to]?.at ?? picture.openX);
  };
  const view = picture.sleeveLines.length > 0 ? WITH_VERNIER : CLOSE;
  const between = byHand && !closed ? hold.between : views[shown]?.name !== 'with the faces closed';
  const turned = byHand && !closed ? hold.turned : views[shown]?.at === picture.held.turnedX;
  const along = useCallback(({ markAt }: Seen) => -markAt * view.perMillimetre, [view]);
  const round = useCallback(({ markAt }: Seen) => turnedPast(picture, markAt) * view.perDivision, [picture, view]);
  const thimble = thimbleArea(picture, view);
  return (
    <>
      <Stage
        box={box}
        part={typing ? { from: view.datum - 150, to: Math.min(box.height, view.datum + 150) } : undefined}
        label={`${name}${between ? ` with ${withArticle(picture.thing.name)} between its faces` : ' with nothing between its faces'}. Choose “In words” for a description.`}
      >
        <WholeMicrometer
          picture={picture}
          sight={sight}
          between={between}
          turned={turned}
          box={box}
          at={box === WIDE ? AT.wide : AT.narrow}
        />
        <Layer box={box}>
          <text x={box.x + 12} y="22" fontSize="15" fill="var(--color-muted)">
            {name}
          </text>
          <SleeveBody picture={picture} view={view} />
          <ThimbleBody picture={picture} view={view} />
        </Layer>
        <SlidingLayer box={box} window={within(sleeveArea(picture, view), box)} sight={sight} shift={along} way="right">
          <SleeveLines picture={picture} open={0} view={view} />
        </SlidingLayer>
        <SlidingLayer box={box} window={thimble} sight={sight} shift={round}>
          <ThimbleLines picture={picture} open={0} view={view} />
        </SlidingLayer>
        <Layer box={box} touched>
          {shown === 0 && <RightReading picture={picture} steps={rightPath} view={view} />}
          {byHand && !closed && (
            <SlideHandle
              label="The thimble"
              faces={faces}
              state={hold}
              handling={handling}
              sight={sight}
              step={DIVISION}
              page={50 * DIVISION}
              perUnit={DIVISION / view.perDivision}
              way="down"
            >
              <HandleArea {...thimble} />
            </SlideHandle>
          )}
        </Layer>
      </Stage>
      {!byHand && <LookedAt views={views.map((one) => one.name)} shown={shown} onChange={look} />}
    </>
  );
}
