import { Slider } from 'radix-ui';
import { useId, type ReactNode } from 'react';

interface LabelledSliderProps {
  readonly label: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly step: number;
  /** The value as it is written and said. */
  readonly text: string;
  readonly onChange: (value: number) => void;
}

/** A number that is dragged, or moved with the arrow keys. */
export function LabelledSlider({ label, value, least, most, step, text, onChange }: LabelledSliderProps): ReactNode {
  const id = useId();
  return (
    <div>
      <p className="flex justify-between gap-4 text-small">
        <span id={id} className="font-semibold">
          {label}
        </span>
        <span className="font-mono">{text}</span>
      </p>
      <Slider.Root
        className="relative flex h-11 touch-none items-center select-none"
        value={[value]}
        min={least}
        max={most}
        step={step}
        onValueChange={([next = value]) => onChange(next)}
      >
        <Slider.Track className="relative h-0.5 grow bg-hairline">
          <Slider.Range className="absolute h-full bg-beam" />
        </Slider.Track>
        <Slider.Thumb
          aria-labelledby={id}
          aria-valuetext={text}
          className="block size-6 cursor-grab rounded-full border-2 border-beam bg-surface"
        />
      </Slider.Root>
    </div>
  );
}
