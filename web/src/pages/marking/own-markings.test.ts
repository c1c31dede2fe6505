import { NOT_MARKED, USUAL_RUBRIC, type Marking, type ReportInQueue, type ReportQueue } from '@green-beam/contract';
import { MutationObserver, QueryClient } from '@tanstack/react-query';
import { describe, expect, it } from 'vitest';
import { markingKey, withMarkings, withOwnMarkings, type OwnMarking } from './own-markings.ts';

const DONE: Marking = { points: { digits: 3 }, comments: [], isDone: true };
const BETTER: Marking = { ...DONE, points: { digits: 4 } };

const inQueue = (runId: string, number = 1): ReportInQueue => ({
  runId,
  author: 'ines',
  number,
  label: 'Ines V.',
  partners: [],
  protocolId: 'solid-by-displacement',
  title: 'Density by displacement',
  specimen: 'Cork bung',
  handedInAt: '2026-11-02T10:00:00.000Z',
  isLate: false,
  proposal: null,
  marking: NOT_MARKED,
  returnedAt: null,
  isInForce: true,
});
const QUEUE: ReportQueue = {
  rubric: USUAL_RUBRIC,
  reports: [inQueue('cork'), inQueue('tin'), inQueue('tin', 2)],
  comments: [],
};
const of = (runId: string, marking: Marking, number = 1): OwnMarking => ({ runId, author: 'ines', number, marking });
const doneIn = ({ reports }: ReportQueue): string[] =>
  reports.flatMap(({ runId, number, marking }) => (marking.isDone ? [`${runId} ${number}`] : []));

/** A page that marks: each change is at the server when the test says so. */
function marks(
  queries: QueryClient,
): (change: OwnMarking) => { stored: () => Promise<void>; lost: () => Promise<void> } {
  return (change) => {
    let settle: { resolve: () => void; reject: (error: Error) => void };
    const answer = new Promise<void>((resolve, reject) => (settle = { resolve, reject }));
    const mutated = new MutationObserver<unknown, Error, OwnMarking>(queries, {
      mutationKey: markingKey('heron'),
      mutationFn: () => answer,
    })
      .mutate(change)
      .catch(() => undefined);
    return {
      stored: async () => {
        settle.resolve();
        await mutated;
      },
      lost: async () => {
        settle.reject(new Error('refused'));
        await mutated;
      },
    };
  };
}

describe('a list of reports that is fetched while some are marked', () => {
  it('takes a marking to its report and its hand-in, and the later of two', () => {
    expect(doneIn(withMarkings(QUEUE, [of('tin', DONE, 2)]))).toEqual(['tin 2']);
    const twice = withMarkings(QUEUE, [of('cork', DONE), of('cork', BETTER), of('gone', DONE)]);
    expect(twice.reports.map(({ marking }) => marking)).toEqual([BETTER, NOT_MARKED, NOT_MARKED]);
  });

  it('keeps what was on its way when it was asked for, though it has been stored since', async () => {
    const queries = new QueryClient();
    const { stored } = marks(queries)(of('cork', DONE));
    const fetched = await withOwnMarkings(queries, 'heron', async () => {
      await stored();
      return QUEUE;
    });
    expect(doneIn(fetched)).toEqual(['cork 1']);
  });

  it('keeps what was marked while the answer was coming', async () => {
    const queries = new QueryClient();
    const mark = marks(queries);
    const fetched = await withOwnMarkings(queries, 'heron', () => {
      mark(of('tin', DONE));
      mark(of('tin', BETTER, 2));
      return Promise.resolve(QUEUE);
    });
    expect(doneIn(fetched)).toEqual(['tin 1', 'tin 2']);
  });

  it('believes the server about what it had stored before, and what it refused', async () => {
    const queries = new QueryClient();
    const mark = marks(queries);
    await mark(of('cork', DONE)).stored();
    const refusedLater = mark(of('tin', DONE));
    const fetched = await withOwnMarkings(queries, 'heron', async () => {
      await refusedLater.lost();
      return QUEUE;
    });
    expect(doneIn(fetched)).toEqual([]);
  });

  it('asks nobody about the markings of another class', async () => {
    const queries = new QueryClient();
    marks(queries)(of('cork', DONE));
    expect(doneIn(await withOwnMarkings(queries, 'plover', () => Promise.resolve(QUEUE)))).toEqual([]);
  });
});
