import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { describe, expect, it } from 'vitest';
import { fetchAgain } from './fetch-again.ts';

const KEY = ['run', 'a class', 'a run'];

/** A server whose answers are taken when they are asked for, and arrive when they are let go. */
function slowServer() {
  const answers: (() => void)[] = [];
  let stands = 'before';
  return {
    happens: (what: string) => void (stands = what),
    asked: () => answers.length,
    answer: async (i: number) => {
      answers[i]!();
      // What waits for the answer, and what then follows, runs before this goes on.
      for (let turn = 0; turn < 20; turn += 1) await Promise.resolve();
      await new Promise((done) => setTimeout(done));
    },
    ask: (): Promise<string> => {
      const then = stands;
      return new Promise((resolve) => answers.push(() => resolve(then)));
    },
  };
}

function shownFrom(server: ReturnType<typeof slowServer>) {
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const observer = new QueryObserver<string>(queries, { queryKey: KEY, queryFn: server.ask });
  const stop = observer.subscribe(() => undefined);
  return { queries, shown: () => observer.getCurrentResult().data, stop };
}

describe('fetching again', () => {
  it('follows a first fetch that was answered before something happened', async () => {
    const server = slowServer();
    const { queries, shown, stop } = shownFrom(server);
    server.happens('after');
    void fetchAgain(queries, KEY);
    expect(server.asked()).toBe(1);
    await server.answer(0);
    expect(shown()).toBe('before');
    expect(server.asked()).toBe(2);
    await server.answer(1);
    expect(shown()).toBe('after');
    stop();
  });

  it('lets a fetch come to its end, however often something happens meanwhile, and follows it once', async () => {
    const server = slowServer();
    const { queries, shown, stop } = shownFrom(server);
    await server.answer(0);
    server.happens('first');
    void fetchAgain(queries, KEY);
    for (const what of ['second', 'third', 'fourth']) {
      server.happens(what);
      void fetchAgain(queries, ['run']);
    }
    expect(server.asked()).toBe(2);
    await server.answer(1);
    expect(shown()).toBe('first');
    expect(server.asked()).toBe(3);
    await server.answer(2);
    expect(shown()).toBe('fourth');
    stop();
  });

  it('follows a fetch that failed too', async () => {
    let asked = 0;
    const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
    const observer = new QueryObserver<string>(queries, {
      queryKey: KEY,
      queryFn: () => ((asked += 1), asked === 1 ? Promise.reject(new Error('gone')) : Promise.resolve('back')),
    });
    const stop = observer.subscribe(() => undefined);
    await fetchAgain(queries, KEY);
    expect(observer.getCurrentResult().data).toBe('back');
    stop();
  });

  it('marks what nobody looks at, and fetches it when it is looked at again', async () => {
    const server = slowServer();
    const { queries, stop } = shownFrom(server);
    await server.answer(0);
    stop();
    server.happens('after');
    await fetchAgain(queries, KEY);
    expect(server.asked()).toBe(1);
    expect(queries.getQueryState(KEY)?.isInvalidated).toBe(true);
  });

  it('leaves what it has nothing to do with alone', async () => {
    const server = slowServer();
    const { queries, stop } = shownFrom(server);
    await server.answer(0);
    await fetchAgain(queries, ['run', 'another class']);
    expect(server.asked()).toBe(1);
    stop();
  });
});
