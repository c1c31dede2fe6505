import type { LiquidColumnPicture } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { Button } from '../../ui/button.tsx';
import type { ControlsProps } from '../view.ts';
import { RACK, rightFloat, type Float } from './rack.ts';

/** A rack of hydrometers: the one that floats with its scale at the surface has to be found. */
export default function Floats({
  picture,
  state: inLiquid,
  change,
  note,
}: ControlsProps<LiquidColumnPicture, Float>): ReactNode {
  const numerals = useNumerals();
  const right = rightFloat(picture);
  const put = (float: number): void => {
    note('try', float);
    change(() => float);
  };
  return (
    <>
      <p className="text-small text-muted">Lower one into the {picture.liquid}:</p>
      <div className="mt-1 flex flex-wrap gap-2">
        {RACK.map(([from, to], float) => (
          <Button
            key={from}
            look="plain"
            className="px-3 font-mono"
            aria-pressed={inLiquid === float}
            onClick={() => put(float)}
          >
            {numerals(`${from.toFixed(2)}–${to.toFixed(2)}`)}
          </Button>
        ))}
      </div>
      <p role="status" className="mt-2">
        {inLiquid === null || inLiquid === right
          ? ''
          : inLiquid < right
            ? 'All of its scale is above the liquid. The liquid is denser than its range.'
            : 'It has sunk. The liquid is less dense than its range.'}
      </p>
    </>
  );
}
