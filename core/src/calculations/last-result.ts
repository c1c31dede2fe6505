/** The name of the result of the line before, on a tape. */
export const LAST = 'last';
