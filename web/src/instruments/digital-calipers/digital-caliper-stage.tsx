import type { DisplayPicture } from '@green-beam/core';
import { useMemo, type ReactNode } from 'react';
import { DisplayStage } from '../display/display-stage.tsx';
import type { Faces } from '../jaws/held-state.ts';
import { HandleArea, SlideHandle } from '../jaws/slide-handle.tsx';
import { useMarkAt } from '../sight/sight.ts';
import type { Handling, StageProps } from '../view.ts';
import { CALIPER_SCALE, DigitalCaliper } from './digital-caliper.tsx';
import { facesOf, shownByJaws, type DigitalHold } from './digital-hold.ts';

type Props = StageProps<DisplayPicture, DigitalHold>;

interface ByHandProps extends Pick<Props, 'picture' | 'sight' | 'state'> {
  readonly faces: Faces;
  readonly handling: Handling<DigitalHold>;
}

/** A digital caliper whose slide is moved by hand. */
function ByHand({ picture, sight, state, faces, handling }: ByHandProps): ReactNode {
  const position = useMarkAt(sight);
  return (
    <>
      <DigitalCaliper
        picture={picture}
        shown={shownByJaws(state, position)}
        open={position - faces.closedX}
        between={state.between}
      />
      <SlideHandle
        label="The slide"
        faces={faces}
        state={state}
        handling={handling}
        sight={sight}
        step={0.1}
        page={10}
        perUnit={1 / CALIPER_SCALE}
        way="right"
      >
        <HandleArea x={58} y={200} width={772} height={192} />
      </SlideHandle>
    </>
  );
}

const TYPED = { from: 190, to: 340 };

/** A caliper with a display: moved by hand, or looked at on the thing and closed. */
export default function DigitalCaliperStage({
  picture,
  name,
  sight,
  state,
  handling,
  closed = false,
}: Props): ReactNode {
  const faces = useMemo(() => facesOf(picture), [picture]);
  const byHand = faces && handling && !closed;
  return (
    <DisplayStage
      picture={picture}
      name={name}
      closed={closed}
      typed={TYPED}
      viewNamed={(caption) => caption}
      looked={(view, { characters }) => (
        <DigitalCaliper
          picture={picture}
          shown={`${characters} ${picture.unitMark}`}
          open={Number((view > 0 ? '0' : picture.views[0].characters).replace('−', '-'))}
          between={view === 0}
        />
      )}
    >
      {byHand && <ByHand picture={picture} sight={sight} state={state} faces={faces} handling={handling} />}
    </DisplayStage>
  );
}
