import { unambiguousAtPlace, uncertaintyPlace, writtenAtPlace, type ResultFound } from '@green-beam/core';
import { useState, type ReactNode } from 'react';
import { Histogram } from '../../../charts/histogram.tsx';
import { MeasuredNumber } from '../../../numbers/measured-number.tsx';
import { Button } from '../../../ui/button.tsx';
import { Notice } from '../../../ui/notice.tsx';
import type { OnPage } from '../on-page.ts';
import type { SimulationOrder } from './simulation.worker.ts';
import { useSimulation, type SimulationState } from './use-simulation.ts';
import { unitText } from '../../../numbers/unit-text.ts';

const DRAWS = [10_000, 100_000, 1_000_000] as const;

const grouped = (draws: number): string => String(draws).replace(/\B(?=(\d{3})+$)/g, '\u202f');

interface RangeProps {
  readonly range: readonly [number, number];
  readonly place: number;
  readonly unit: string;
}

/** An interval by its two ends. */
function Range({ range: [from, to], place, unit }: RangeProps): ReactNode {
  return (
    <>
      <MeasuredNumber text={unambiguousAtPlace(from, place, 'half-up')} /> to{' '}
      <MeasuredNumber text={unambiguousAtPlace(to, place, 'half-up')} unit={unit} />
    </>
  );
}

function Outcome({
  state,
  result,
}: {
  readonly state: Extract<SimulationState, { kind: 'done' }>;
  readonly result: ResultFound;
}): ReactNode {
  const { outcome, of } = state;
  const { mean, standard, symmetric, shortest, bins } = outcome;
  const { unit } = result;
  const place = uncertaintyPlace(standard ?? (symmetric[1] - symmetric[0]) / 4, 'two');
  const plain = (value: number): string => writtenAtPlace(value, place, 'half-up').replace('-', '−');
  const rows: [string, ReactNode][] = [
    ['Mean', <MeasuredNumber key="mean" text={unambiguousAtPlace(mean, place, 'half-up')} unit={unit} />],
    [
      'Standard uncertainty',
      standard === null ? (
        'does not exist for so few repeats'
      ) : (
        <MeasuredNumber key="standard" text={unambiguousAtPlace(standard, place, 'half-up')} unit={unit} />
      ),
    ],
    ['95 %, equal tails', <Range key="symmetric" range={symmetric} place={place} unit={unit} />],
    ['95 %, shortest', <Range key="shortest" range={shortest} place={place} unit={unit} />],
  ];
  const linear = result.methods.find(({ method }) => method === 'quadrature');
  return (
    <div className="mt-4 grid gap-6 lg:grid-cols-[20rem_minmax(0,1fr)]">
      <dl>
        {rows.map(([name, text]) => (
          <div key={name} className="border-t border-hairline py-1.5">
            <dt className="text-small text-muted">{name}</dt>
            <dd className="font-mono">{text}</dd>
          </div>
        ))}
        <p className="mt-2 text-small text-muted">
          {grouped(of.draws)} draws, seed {of.seed}.
        </p>
      </dl>
      <Histogram
        title="Simulated results"
        summary={`The bars are the simulated results, the curve is what quadrature says. 95 % of the draws lie from ${plain(symmetric[0])} to ${plain(symmetric[1])} ${unitText(unit)}, between the short lines.`}
        bins={bins}
        linear={{ value: result.value, standard: linear?.uncertainty ?? 0 }}
        interval={symmetric}
        unit={unitText(unit)}
      />
    </div>
  );
}

/** The simulation of a result: how many draws, how far it is, and what came of it. */
export function SimulationPart({ page, result }: Pick<OnPage, 'page'> & { readonly result: ResultFound }): ReactNode {
  const { state, start, cancel } = useSimulation();
  const [draws, setDraws] = useState<number>(DRAWS[1]);
  const [seed, setSeed] = useState(1);
  const order: SimulationOrder = {
    protocol: page.protocol,
    events: page.events,
    rules: page.rules,
    quantity: result.quantity,
    members: result.members,
    draws,
    seed,
  };
  const isOld = state.kind === 'done' && state.of.events !== page.events;
  return (
    <section className="mt-8" aria-label="Simulation">
      <h3 className="font-bold">Simulation</h3>
      <p className="max-w-3xl text-muted">
        Every reading is moved at random within its uncertainty, again and again, and the result is worked out each
        time.
      </p>
      <div className="mt-2 flex flex-wrap items-center gap-4">
        {state.kind === 'running' ? (
          <>
            <progress className="h-3 w-56 accent-beam" value={state.done} aria-label="Simulation, how much is done" />
            <Button look="plain" onClick={cancel}>
              Cancel
            </Button>
          </>
        ) : (
          <>
            <label className="flex items-center gap-2">
              <span className="text-small font-semibold">Draws</span>
              <select
                value={draws}
                onChange={(event) => setDraws(Number(event.target.value))}
                className="min-h-11 border-b-2 border-ink bg-surface px-2"
              >
                {DRAWS.map((count) => (
                  <option key={count} value={count}>
                    {grouped(count)}
                  </option>
                ))}
              </select>
            </label>
            <Button
              look="plain"
              onClick={() => {
                start(order);
                setSeed(seed + 1);
              }}
            >
              {state.kind === 'done' ? 'Run it again' : 'Run the simulation'}
            </Button>
          </>
        )}
        <span role="status" className="text-muted">
          {state.kind === 'cancelled' && 'Cancelled. Nothing has changed.'}
          {isOld && 'Something was written since. Run it again.'}
        </span>
      </div>
      {state.kind === 'failed' && (
        <Notice tone="slip">
          <p>{state.message}</p>
        </Notice>
      )}
      {state.kind === 'done' && <Outcome state={state} result={result} />}
    </section>
  );
}
