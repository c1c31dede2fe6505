import type { ActionKind, PathPiece, Picture, Remark, RevealStep } from '@green-beam/core';
import type { ReactNode } from 'react';
import type { Seen, Sight } from './sight/sight.ts';

/** What somebody who handles a tool does with it. */
export interface Handling<S> {
  /** Notes what was done, and where it led. */
  note(kind: ActionKind, to?: number): void;
  /** Changes the tool, as far as that shows. */
  change(changed: (state: S) => S): void;
}

/** A tool that is looked at. */
interface LookedAt<P, S> {
  readonly picture: P;
  readonly sight: Sight;
  /** What has been done with it, as far as it shows; what moves steadily is in the sight. */
  readonly state: S;
}

/** What every tool on the bench is drawn with. */
export interface StageProps<P, S> extends LookedAt<P, S> {
  readonly name: string;
  /** Who handles it; without anybody it cannot be moved. */
  readonly handling?: Handling<S>;
  /** Called when the eye has been moved; without it the eye stays where it is. */
  readonly onRestEye?: (height: number) => void;
  readonly loupe?: boolean;
  /** The answer is out: the beam runs across the tool. */
  readonly closed?: boolean;
  readonly wrongPath?: readonly PathPiece[];
  readonly rightPath?: readonly RevealStep[];
}

/** What every way of handling a tool needs. */
export interface ControlsProps<P, S> extends LookedAt<P, S>, Handling<S> {
  readonly closed: boolean;
}

export type WordsProps<P, S> = LookedAt<P, S>;

/** How tools of one family are seen and handled on the page. P is their picture, S what has been done with them. */
export interface ToolView<P extends Picture = Picture, S = unknown> {
  /** A reading glass can be held over its scale. */
  readonly hasLoupe: boolean;
  /** The tool before anything is done with it. */
  begin(picture: P): S;
  /** The tool as it is once the answer is out; without this it stays as it is. */
  readOff?(picture: P, state: S): S;
  /** The tool with what was not noticed still in it, by what was remarked on it; without this there is nothing to notice. */
  unnoticed?(state: S, remarks: readonly Remark[]): S;
  /** How it is seen at first: the eye off the level, the mark where it starts. */
  seenFirst(picture: P): Seen;
  /** Where its mark stands once the answer is out, by where it stood before. */
  readAt(picture: P, markAt: number): number;
  /** Where it is turned back to at a step of reading aloud, to come slowly to its reading; without this it stays where it is. */
  comesFrom?(picture: P, step: RevealStep['kind']): number | null;
  /** Where its mark may have stood when an entry was made. */
  markAtEnter(picture: P): number;
  /** The tool as it is drawn. */
  stage(props: StageProps<P, S>): ReactNode;
  /** What is to be done with it before it is read. */
  controls(props: ControlsProps<P, S>): ReactNode;
  /** A description in words a reading can be made from, as it now stands and is seen. */
  words(props: WordsProps<P, S>): ReactNode;
}
