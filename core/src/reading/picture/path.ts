/**
 * Where a slip went wrong on the picture, in drawing units: a level that was read, a stretch that was counted, or the slanted line
 * of sight.
 */
export type PathPiece =
  | { readonly kind: 'level'; readonly y: number; readonly side: 'wall' | 'scale'; readonly text: string }
  | { readonly kind: 'span'; readonly fromY: number; readonly toY: number; readonly text: string }
  | { readonly kind: 'sight'; readonly text: string };
