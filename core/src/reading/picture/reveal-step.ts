/** One step of reading aloud, with what lights up on the picture in drawing units. */
export interface RevealStep {
  readonly kind: 'division' | 'label' | 'marks' | 'estimate' | 'correction' | 'unit';
  readonly text: string;
  readonly fromY: number | null;
  readonly toY: number | null;
  /** The digits that are certain by now. */
  readonly soFar: string;
}

/** A step; without places it lights up nothing. */
export function revealStep(
  kind: RevealStep['kind'],
  text: string,
  soFar = '',
  fromY: number | null = null,
  toY: number | null = fromY,
): RevealStep {
  return { kind, text, fromY, toY, soFar };
}

/** A number as it is printed: with a minus sign, not a hyphen. */
export function withMinusSign(text: string): string {
  return text.replace('-', '−');
}
