/** What becomes of a half: away from zero, or to the even neighbour. */
export type RoundingRule = 'half-up' | 'half-even';
