import type { PicturedEye } from '@green-beam/core';
import type { Seen } from './sight.ts';

/** By how much what lies behind the scale seems to be further right, in mm, when the eye is to the right of it: h·gap ÷ distance. */
export function aside({ eye }: { readonly eye: PicturedEye }, { height }: Pick<Seen, 'height'>): number {
  return (height * eye.gap) / eye.distance;
}
