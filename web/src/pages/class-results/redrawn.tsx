import type { Bootstrapped } from '@green-beam/core';
import type { ReactNode } from 'react';
import { MeasuredNumber } from '../../numbers/measured-number.tsx';
import { Button } from '../../ui/button.tsx';
import { useWorker } from '../../ui/use-worker.ts';
import type { RedrawOrder } from './redraw.worker.ts';

const DRAWS = 20_000;
const SEED = 1;

const begin = (): Worker => new Worker(new URL('./redraw.worker.ts', import.meta.url), { type: 'module' });

interface RedrawnProps {
  readonly values: readonly number[];
  readonly unit: string;
  readonly textOf: (value: number) => string;
}

/** How far the mean of the groups could lie if other groups like these had measured: the same ones, drawn again. */
export function Redrawn({ values, unit, textOf }: RedrawnProps): ReactNode {
  const { state, start, cancel } = useWorker<RedrawOrder, Bootstrapped>(
    begin,
    'The groups could not be drawn again. Load the page again.',
  );
  const isOld = state.kind === 'done' && state.of.values.join() !== values.join();
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
      {state.kind === 'running' ? (
        <>
          <progress className="h-3 w-40 accent-beam" value={state.done} aria-label="Drawing again, how much is done" />
          <Button look="plain" onClick={cancel}>
            Cancel
          </Button>
        </>
      ) : (
        <Button look="quiet" className="-ml-2" onClick={() => start({ values, draws: DRAWS, seed: SEED })}>
          How far could this mean lie?
        </Button>
      )}
      <p role="status">
        {state.kind === 'cancelled' && <span className="text-muted">Cancelled.</span>}
        {state.kind === 'failed' && <span className="text-slip">{state.message}</span>}
        {state.kind === 'done' && !isOld && (
          <>
            Drawn again from these groups, 95 of 100 means lie from <MeasuredNumber text={textOf(state.outcome.low)} />{' '}
            to <MeasuredNumber text={textOf(state.outcome.high)} unit={unit} />.
          </>
        )}
        {isOld && <span className="text-muted">A result has come since. Ask again.</span>}
      </p>
    </div>
  );
}
