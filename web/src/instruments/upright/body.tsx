import type { LiquidColumnPicture } from '@green-beam/core';
import type { ReactNode } from 'react';
import type { Sight } from '../sight.ts';
import type { View } from './geometry.ts';
import { FloatStem, LiquidAround } from './hydrometer.tsx';
import { Stem, Thread } from './thermometer.tsx';
import { Glass, Liquid } from './tube.tsx';

interface BodyProps {
  readonly picture: LiquidColumnPicture;
  readonly view: View;
  readonly weight?: number;
}

/** What of the tool stands still behind the liquid. */
export function Still(props: BodyProps): ReactNode {
  if (props.picture.vessel === 'thermometer') return <Stem {...props} />;
  return props.picture.vessel === 'hydrometer' ? <FloatStem {...props} /> : <Glass {...props} />;
}

/** What rises and falls in or around the tool. */
export function Moving(props: BodyProps & { readonly sight: Sight }): ReactNode {
  if (props.picture.vessel === 'thermometer') return <Thread {...props} />;
  return props.picture.vessel === 'hydrometer' ? <LiquidAround {...props} /> : <Liquid {...props} />;
}
