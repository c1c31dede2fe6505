import { useCallback, type ReactNode } from 'react';
import { EyeSlider } from '../../sight/eye-slider.tsx';
import { useMarkAt, type Seen, type Sight } from '../../sight/sight.ts';
import { EYE_RANGE, eyeHeightAt, eyeY } from '../geometry.ts';
import type { Upright, View } from '../look.ts';

interface EyeRailProps {
  readonly picture: Upright;
  readonly view: View;
  readonly sight: Sight;
  readonly x: number;
  readonly disabled: boolean;
  readonly onRest: (eyeHeight: number) => void;
}

function heightInWords(eyeHeight: number): string {
  const distance = Math.round(Math.abs(eyeHeight));
  return distance === 0
    ? 'level with the mark'
    : `${distance} millimetres ${eyeHeight > 0 ? 'above' : 'below'} the mark`;
}

/** The eye beside an upright tool: higher or lower than the mark. */
export function EyeRail({ picture, view, sight, x, disabled, onRest }: EyeRailProps): ReactNode {
  const markAt = useMarkAt(sight);
  const [highest, lowest] = [EYE_RANGE, -EYE_RANGE].map((height) => eyeY(picture, view, { height, markAt })) as [
    number,
    number,
  ];
  const drawnAt = useCallback((seen: Seen) => [x, eyeY(picture, view, seen)] as const, [picture, view, x]);
  const place = useCallback(
    (_: number, y: number) => eyeHeightAt(picture, view, sight.seen().markAt, y),
    [picture, view, sight],
  );
  return (
    <EyeSlider
      label="Height of your eye"
      sight={sight}
      disabled={disabled}
      reach={EYE_RANGE}
      valueText={heightInWords}
      drawnAt={drawnAt}
      place={place}
      onRest={onRest}
    >
      <rect x={x - 34} y={highest - 30} width="68" height={lowest - highest + 60} fill="transparent" />
      <line x1={x} x2={x} y1={highest} y2={lowest} stroke="var(--color-rail)" strokeWidth="2" />
    </EyeSlider>
  );
}
