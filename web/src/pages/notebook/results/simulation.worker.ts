import {
  UncertaintyInputError,
  workOut,
  type HouseRules,
  type Members,
  type Protocol,
  type RunEvent,
} from '@green-beam/core';
import type { Bins } from '../../../charts/histogram.tsx';
import type { News } from '../../../ui/use-worker.ts';

/** What is to be simulated: a number of a run, by so many draws. */
export interface SimulationOrder {
  readonly protocol: Protocol;
  readonly events: readonly RunEvent[];
  readonly rules: HouseRules;
  readonly quantity: string;
  readonly members: Members;
  readonly draws: number;
  readonly seed: number;
}

export interface SimulationOutcome {
  readonly mean: number;
  /** Null where an error has so few repeats that its distribution has no standard deviation. */
  readonly standard: number | null;
  readonly symmetric: readonly [number, number];
  readonly shortest: readonly [number, number];
  readonly bins: Bins;
}

const BINS = 40;
/** Of the draws so many lie beyond the ends of the histogram, on either side. */
const BEYOND = 0.001;
/** Time between two pieces of news, in ms. */
const NEWS_EVERY = 50;

function binsOf(sorted: Float64Array): Bins {
  const at = (share: number): number => sorted[Math.round(share * (sorted.length - 1))] ?? 0;
  const [from, to] = [at(BEYOND), at(1 - BEYOND)];
  const step = (to - from) / BINS || 1;
  const counts = Array.from({ length: BINS }, () => 0);
  for (const value of sorted) {
    const bin = Math.floor((value - from) / step);
    if (bin >= 0 && bin < BINS) counts[bin] = (counts[bin] ?? 0) + 1;
  }
  return { from, step, shares: counts.map((count) => count / sorted.length) };
}

function tell(news: News<SimulationOutcome>): void {
  self.postMessage(news);
}

function simulated({ protocol, events, rules, quantity, members, draws, seed }: SimulationOrder): void {
  const ready = workOut(protocol, { events }, rules).simulation(quantity, members, { draws, seed });
  if (!ready) {
    tell({ kind: 'failed', message: 'There is no result to simulate yet.' });
    return;
  }
  let told = performance.now();
  for (let done = 0; done < 1;) {
    done = ready.simulation.step();
    if (performance.now() - told < NEWS_EVERY) continue;
    told = performance.now();
    tell({ kind: 'progress', done });
  }
  const { mean, standard, symmetric, shortest, sorted } = ready.simulation.finish();
  tell({
    kind: 'done',
    outcome: { mean, standard: ready.hasStandard ? standard : null, symmetric, shortest, bins: binsOf(sorted) },
  });
}

self.addEventListener('message', ({ data }: MessageEvent<SimulationOrder>) => {
  try {
    simulated(data);
  } catch (error) {
    const message =
      error instanceof UncertaintyInputError
        ? 'The simulation has no result: the uncertainties are so large that the formula has no value for some draws.'
        : 'The simulation stopped unexpectedly. Load the page again.';
    tell({ kind: 'failed', message });
  }
});
