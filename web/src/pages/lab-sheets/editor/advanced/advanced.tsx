import type { ReactNode } from 'react';
import { AsJson } from './as-json.tsx';
import { Dimensions } from './dimensions.tsx';
import { Quantities } from './quantities.tsx';

/** What is measured over what, and what is worked out from it. */
export function Advanced({ isSound }: { readonly isSound: boolean }): ReactNode {
  return (
    <>
      <Dimensions />
      <Quantities isSound={isSound} />
      <AsJson />
    </>
  );
}
