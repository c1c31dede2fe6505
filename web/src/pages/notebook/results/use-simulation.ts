import { useWorker, type WorkState } from '../../../ui/use-worker.ts';
import type { SimulationOrder, SimulationOutcome } from './simulation.worker.ts';

/** How a simulation stands. */
export type SimulationState = WorkState<SimulationOrder, SimulationOutcome>;

const begin = (): Worker => new Worker(new URL('./simulation.worker.ts', import.meta.url), { type: 'module' });

/** A simulation that is run on request. */
export function useSimulation(): ReturnType<typeof useWorker<SimulationOrder, SimulationOutcome>> {
  return useWorker(begin, 'The simulation could not be started. Load the page again.');
}
