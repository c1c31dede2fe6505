/** A time in its parts. */
export interface TimeParts {
  readonly hours: number;
  readonly minutes: number;
  readonly seconds: number;
}

/** Parts a time in whole seconds: 1893 → 0 h 31 min 33 s. */
export function partsOfTime(time: number): TimeParts {
  return { hours: Math.floor(time / 3600), minutes: Math.floor(time / 60) % 60, seconds: time % 60 };
}

/** A time in seconds from its parts, which may be sixty and more. */
export function timeOf({ hours, minutes, seconds }: TimeParts): number {
  return 3600 * hours + 60 * minutes + seconds;
}
