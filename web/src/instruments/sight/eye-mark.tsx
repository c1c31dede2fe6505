import type { ReactNode } from 'react';

/** The eye as it is drawn on its rail, with the ways it can be moved. */
export function EyeMark({
  disabled,
  across = false,
}: {
  readonly disabled: boolean;
  readonly across?: boolean;
}): ReactNode {
  return (
    <>
      {across ? (
        <rect x="-30" y="-3" width="60" height="6" fill="var(--color-paper)" />
      ) : (
        <rect x="-3" y="-22" width="6" height="44" fill="var(--color-paper)" />
      )}
      <circle className="halo opacity-0" r="31" fill="none" stroke="var(--color-beam)" strokeWidth="3" />
      <path
        d="M-25 0C-14 -16 14 -16 25 0C14 16 -14 16 -25 0Z"
        fill="#ffffff"
        stroke="var(--color-ink)"
        strokeWidth="1.8"
      />
      <circle r="9" fill="var(--color-beam)" />
      <circle r="4" fill="var(--color-ink)" />
      {!disabled && (
        <path
          d={across ? 'M-30 -5L-36 0L-30 5M30 -5L36 0L30 5' : 'M-5 -26L0 -32L5 -26M-5 26L0 32L5 26'}
          fill="none"
          stroke="var(--color-muted)"
          strokeWidth="1.6"
        />
      )}
    </>
  );
}
