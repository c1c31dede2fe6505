import type { MicrometerPicture } from '@green-beam/core';
import { useEffect, useState, type ReactNode } from 'react';
import { useNarrow } from '../../ui/use-narrow.ts';
import { LookedAt } from '../looked-at.tsx';
import { Sheet, Stage, type StageBox } from '../sheets.tsx';
import type { StageProps } from '../stage-props.ts';
import { RightReading, Sleeve, Thimble, type CloseView } from './sleeve-and-thimble.tsx';
import { WholeMicrometer } from './whole-micrometer.tsx';

interface MicrometerStageProps extends StageProps {
  readonly picture: MicrometerPicture;
}

const WIDE: StageBox = { x: 0, width: 840, height: 600 };
const NARROW: StageBox = { x: 210, width: 500, height: 600 };
/** Where the thimble’s edge and the datum line stand in the close view, and how large a millimetre and a division are there. */
const CLOSE: CloseView = { edge: 490, datum: 420, perMillimetre: 60, perDivision: 24 };
/** A vernier on the sleeve needs nine divisions above the datum line. */
const WITH_VERNIER: CloseView = { ...CLOSE, datum: 486, perDivision: 26 };

/** A micrometer: the whole of it, and the sleeve with the thimble’s edge seen close. */
export default function MicrometerStage({ picture, name, closed: answered = false, rightPath = [] }: MicrometerStageProps): ReactNode {
  const box = useNarrow() ? NARROW : WIDE;
  const [closed, setClosed] = useState(false);
  useEffect(() => {
    if (answered) setClosed(false);
  }, [answered]);
  const open = closed && picture.closedX !== null ? picture.closedX : picture.openX;
  const view = picture.sleeveLines.length > 0 ? WITH_VERNIER : CLOSE;
  return (
    <>
      <Stage box={box} label={`${name}${closed ? ' with its faces closed' : ` on a ${picture.thing.name}`}. Turn on the description in words to read it without seeing it.`}>
        <Sheet box={box}>
          <g transform={`translate(${box === WIDE ? 130 : 300} 100) scale(${box === WIDE ? 2.5 : 2})`}>
            <WholeMicrometer open={open} thing={picture.thing.name} closed={closed} />
          </g>
          <text x={box.x + 12} y="22" fontSize="15" fill="var(--color-muted)">{name}</text>
          <Sleeve picture={picture} open={open} view={view} />
          <Thimble picture={picture} open={open} view={view} />
          {!closed && <RightReading picture={picture} steps={rightPath} view={view} />}
        </Sheet>
      </Stage>
      {picture.closedX !== null && <LookedAt views={[`on the ${picture.thing.name}`, 'with the faces closed']} shown={closed ? 1 : 0} onChange={(view) => setClosed(view === 1)} />}
    </>
  );
}
