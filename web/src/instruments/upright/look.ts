import type { DrawnMark, LiquidColumnPicture } from '@green-beam/core';
import type { ReactNode } from 'react';
import type { Sight } from '../sight/sight.ts';
import type { Silhouette } from './shape.ts';

/** A window on the tool: what part of it is shown, and how large. */
export interface View {
  /** Pixels per millimetre. */
  readonly scale: number;
  /** Millimetres below the top of the tool at the window's top edge. */
  readonly topY: number;
  readonly width: number;
  readonly height: number;
}

/** A part of a tool as it is seen close. */
export interface BodyProps {
  readonly picture: Upright;
  readonly view: View;
  readonly weight?: number;
}

/** What one family of upright tools looks like, where it is not like a glass tube. */
export interface Look {
  /** Width in mm of what the lines are printed on. */
  readonly printedWidth: (picture: LiquidColumnPicture) => number;
  /** Pixels of a close view that the tool takes at most; all of it when nothing is said. */
  readonly widest?: number;
  /** How far a line reaches across what it is printed on, as a part of its width. */
  readonly markLength: (rank: DrawnMark['rank']) => number;
  /** Size of the numerals, in pixels: narrow stems have room for smaller ones only. */
  readonly labelSize: number;
  /** The scale has an ink of its own, whatever stands behind it. */
  readonly ownInk: boolean;
  /** The inside ends in the close view where the picture’s floor is; tools that run out below never come to their end. */
  readonly endsAtFloor: boolean;
  /** Height of the liquid at the glass above the mark, in mm, from the picture’s profile. */
  readonly atGlass: (picture: LiquidColumnPicture) => number;
  /** Where a lens is held over the tool, in parts of its printed width to the right of the axis. */
  readonly lensAt: (picture: LiquidColumnPicture) => number;
  /** How the whole tool is filled: what fills it and how densely, and what its body and inside are made of. */
  readonly whole: (picture: LiquidColumnPicture) => {
    readonly fill: string;
    readonly fillOpacity: number;
    readonly body: string;
    readonly inside: string;
    readonly insideOpacity: number;
  };
  /** The outline of the whole tool. */
  readonly silhouette: (picture: LiquidColumnPicture) => Silhouette;
  /** What stands behind the liquid, and moves with it as the eye does. */
  readonly still: (props: BodyProps) => ReactNode;
  /** What rises and falls in or around the tool. */
  readonly moving: (props: BodyProps & { readonly sight: Sight }) => ReactNode;
}

/** An upright tool with its look. */
export interface Upright extends LiquidColumnPicture {
  readonly look: Look;
}

/** A picture with the look of its family; the same for the same picture. */
export function withLook(picture: LiquidColumnPicture, look: Look): Upright {
  const known = UPRIGHT.get(picture);
  if (known) return known;
  const upright = { ...picture, look };
  UPRIGHT.set(picture, upright);
  return upright;
}

const UPRIGHT = new WeakMap<LiquidColumnPicture, Upright>();
