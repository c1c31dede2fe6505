import type { DisplayPicture, Weighables } from '@green-beam/core';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { useNarrow } from '../../ui/use-narrow.ts';
import { facesOf } from '../held-state.ts';
import { LookedAt } from '../looked-at.tsx';
import { Sheet, Stage, type StageBox } from '../sheets.tsx';
import { useMarkAt } from '../sight.ts';
import { SlideHandle } from '../slide-handle.tsx';
import type { StageProps } from '../stage-props.ts';
import type { ToolState } from '../tool-state.ts';
import { DigitalBody } from './digital-body.tsx';
import { CALIPER_SCALE, DigitalCaliper } from './digital-caliper.tsx';
import { shownByJaws, shownOf, type PanState } from './pan-state.ts';
import { useShown, useShownByHand } from './use-shown.ts';

interface DisplayStageProps extends StageProps {
  readonly picture: DisplayPicture;
}

const WIDE: StageBox = { x: 0, width: 840, height: 560 };
const NARROW: StageBox = { x: 150, width: 540, height: 560 };
/** A picture as it is looked at: on its own, in one of its views. */
function Looked({
  picture,
  view,
  since,
}: {
  readonly picture: DisplayPicture;
  readonly view: number;
  readonly since: number;
}): ReactNode {
  const [at] = useState(() => (now: number) => shownOf(picture, now - since));
  const shown = useShown(at);
  const looked = picture.views[view] ?? picture.views[0];
  const now = view === 0 ? shown : { characters: looked.characters, stable: true };
  if (picture.measures === 'length')
    return (
      <DigitalCaliper
        picture={picture}
        shown={`${now.characters} ${picture.unitMark}`}
        open={Number((view > 0 ? '0' : picture.views[0].characters).replace('−', '-'))}
        between={view === 0}
      />
    );
  return (
    <DigitalBody
      picture={picture}
      shown={now}
      vessel={/ with | alone$/.test(looked.caption)}
      thing={view === 0}
      putRight
    />
  );
}

/** A balance that is weighed with by hand. */
function ByHand({
  picture,
  weighables,
  pan,
}: {
  readonly picture: DisplayPicture;
  readonly weighables: Weighables;
  readonly pan: PanState;
}): ReactNode {
  return (
    <DigitalBody
      picture={picture}
      shown={useShownByHand(weighables, pan)}
      vessel={pan.vessel}
      thing={pan.thing}
      putRight={pan.putRight}
    />
  );
}

/** A digital caliper whose slide is moved by hand. */
function JawsByHand({
  picture,
  sight,
  tool,
  onSlide,
}: Pick<DisplayStageProps, 'picture' | 'sight' | 'onSlide'> & { readonly tool: ToolState }): ReactNode {
  const faces = useMemo(() => facesOf(picture), [picture]);
  const position = useMarkAt(sight);
  const { held } = tool;
  return (
    <>
      <DigitalCaliper
        picture={picture}
        shown={shownByJaws(held, position)}
        open={position - (picture.jaws?.closedX ?? 0)}
        between={held.between}
      />
      {faces && onSlide && (
        <SlideHandle
          label="The slide"
          faces={faces}
          state={held}
          sight={sight}
          step={0.1}
          page={10}
          perUnit={1 / CALIPER_SCALE}
          way="right"
          onRest={onSlide}
        >
          <rect
            className="halo opacity-0"
            x="54"
            y="196"
            width="780"
            height="200"
            rx="8"
            fill="none"
            stroke="var(--color-beam)"
            strokeWidth="3"
          />
          <rect x="58" y="200" width="772" height="192" fill="transparent" />
        </SlideHandle>
      )}
    </>
  );
}

/** A tool with a display: a balance, or a caliper. */
export default function DisplayStage({
  picture,
  name,
  sight,
  tool,
  onSlide,
  closed = false,
}: DisplayStageProps): ReactNode {
  const box = useNarrow() ? NARROW : WIDE;
  const numerals = useNumerals();
  const [view, setView] = useState(0);
  const [since] = useState(() => performance.now());
  useEffect(() => {
    if (closed) setView(0);
  }, [closed]);
  return (
    <>
      <Stage box={box} label={`${name}. Turn on the description in words to have read what it shows.`}>
        <Sheet box={box} touched>
          <text x={box.x + 12} y="22" fontSize="15" fill="var(--color-muted)">
            {numerals(name)}
          </text>
          {picture.jaws && tool && !closed ? (
            <JawsByHand picture={picture} sight={sight} tool={tool} {...(onSlide ? { onSlide } : {})} />
          ) : picture.weighables && tool && !closed ? (
            <ByHand picture={picture} weighables={picture.weighables} pan={tool.pan} />
          ) : (
            <Looked picture={picture} view={view} since={since} />
          )}
        </Sheet>
      </Stage>
      <LookedAt
        views={picture.views.map(({ caption }) =>
          picture.measures === 'mass' ? `with ${caption} on the pan` : caption,
        )}
        shown={view}
        onChange={setView}
      />
    </>
  );
}
