import { array, object, string, type InferType } from './yup.ts';

const id = string().uuid('That is not an id.').required();

/** Pairs of groups, each by the pages of both. */
export const newPairs = object({
  pairs: array()
    .of(
      object({
        /** Made by the browser, so that what is sent twice is opened once. */
        id,
        runs: array().of(id).length(2, 'A pair is two groups.').required('Choose two groups.'),
      }),
    )
    .min(1, 'Choose two groups.')
    .max(60, 'At most 60 pairs at once.')
    .required('Choose two groups.'),
});
export type NewPairs = InferType<typeof newPairs>;

export const pairNote = object({
  id,
  /** Who writes, of those at this screen. */
  personId: id,
  text: string()
    .trim()
    .max(1000, 'Your explanation has more than 1000 characters.')
    .required('Write what explains the difference.'),
});
export type NewPairNote = InferType<typeof pairNote>;

/** One group of a pair. */
export interface PairSide {
  /** As among the results of the class. */
  readonly letter: string;
  /** Both groups know each other’s names: they are to talk. */
  readonly names: readonly string[];
  readonly isOwn: boolean;
  /** What it has written last; null where it has written nothing. */
  readonly note: { readonly text: string; readonly by: string; readonly at: string } | null;
}

/** Two groups that look at each other’s results. */
export interface ResultPairShown {
  readonly id: string;
  /** One’s own group first. */
  readonly sides: readonly [PairSide, PairSide];
  /** Whether it can still be written on. */
  readonly isOpen: boolean;
}
