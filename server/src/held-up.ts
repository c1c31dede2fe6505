import { monitorEventLoopDelay } from 'node:perf_hooks';

/** Looks so often, in ms. */
const RESOLUTION = 5;

const delay = monitorEventLoopDelay({ resolution: RESOLUTION });
delay.enable();

/** How long the thread that answers requests was held up since the last call, in ms: the 99.9th percentile of what it was late by. */
export function heldUp(): number {
  const milliseconds = delay.percentile(99.9) / 1e6 - RESOLUTION;
  delay.reset();
  return Math.max(0, milliseconds);
}
