import type { DisplayPicture } from '@green-beam/core';
import { useEffect, useState, type ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { useTyping } from '../../ui/typing.ts';
import { useNarrow } from '../../ui/use-narrow.ts';
import { LookedAt } from '../looked-at.tsx';
import { Layer, Stage, type StageBox, type StagePart } from '../layers.tsx';
import { shownOf, type Shown } from './shown.ts';
import { useShown } from './use-shown.ts';

const WIDE: StageBox = { x: 0, width: 840, height: 560 };
const NARROW: StageBox = { x: 150, width: 540, height: 560 };

/** The tool around its display, in one of the views it is looked at in. */
type Looked = (view: number, shown: Shown) => ReactNode;

interface LookedProps {
  readonly picture: DisplayPicture;
  readonly view: number;
  readonly since: number;
  readonly looked: Looked;
}

/** A picture as it is looked at: on its own, in one of its views; the first may still be settling. */
function AsLooked({ picture, view, since, looked }: LookedProps): ReactNode {
  const [at] = useState(() => (now: number) => shownOf(picture, now - since));
  const shown = useShown(at);
  const { characters } = picture.views[view] ?? picture.views[0];
  return looked(view, view === 0 ? shown : { characters, stable: true });
}

interface DisplayStageProps {
  readonly picture: DisplayPicture;
  readonly name: string;
  readonly closed: boolean;
  /** What is left of the stage while a reading is typed on a phone: the display. */
  readonly typed: StagePart;
  /** What a view is called. */
  readonly viewNamed: (caption: string) => string;
  readonly looked: Looked;
  /** The tool under somebody’s hands, where it is; else it is looked at. */
  readonly children: ReactNode;
}

/** A tool with a display: looked at in its views, or under somebody’s hands. */
export function DisplayStage({
  picture,
  name,
  closed,
  typed,
  viewNamed,
  looked,
  children,
}: DisplayStageProps): ReactNode {
  const box = useNarrow() ? NARROW : WIDE;
  const typing = useTyping();
  const numerals = useNumerals();
  const [view, setView] = useState(0);
  const [since] = useState(() => performance.now());
  useEffect(() => {
    if (closed) setView(0);
  }, [closed]);
  return (
    <>
      <Stage box={box} part={typing ? typed : undefined} label={`${name}. Choose “In words” for a description.`}>
        <Layer box={box} touched>
          <text x={box.x + 12} y="22" fontSize="15" fill="var(--color-muted)">
            {numerals(name)}
          </text>
          {children || <AsLooked picture={picture} view={view} since={since} looked={looked} />}
        </Layer>
      </Stage>
      <LookedAt views={picture.views.map(({ caption }) => viewNamed(caption))} shown={view} onChange={setView} />
    </>
  );
}
