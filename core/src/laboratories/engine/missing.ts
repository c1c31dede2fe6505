/** A number is not there. */
export class Missing {
  constructor(readonly reason: string | null) {}
}

/** Nothing is there yet, and nothing has to be said of it. */
export const NOT_THERE = new Missing(null);
