import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { RefusedError, UnreachableError } from '../api/request.ts';
import { DraftSaver, type Saving } from './draft-saver.ts';

beforeEach(() => vi.useFakeTimers());
afterEach(() => vi.useRealTimers());

/** A server that keeps what it is sent, or does as it is told once. */
function server(): {
  kept: { draft: object; from: number }[];
  next: (() => Promise<{ revision: number }>) | null;
  states: Saving['kind'][];
  saver: DraftSaver<object>;
} {
  const here: ReturnType<typeof server> = { kept: [], next: null, states: [], saver: undefined as never };
  here.saver = new DraftSaver<object>({
    revision: 4,
    saved: { title: 'a', purpose: 'p' },
    pause: 800,
    again: 5000,
    onState: ({ kind }) => here.states.push(kind),
    send: async (draft, from) => {
      const { next } = here;
      here.next = null;
      if (next) return next();
      here.kept.push({ draft, from });
      return Promise.resolve({ revision: from + 1 });
    },
  });
  return here;
}

describe('what is being written', () => {
  it('is saved once it pauses, each time from the revision before', async () => {
    const { saver, kept, states } = server();
    saver.write({ title: 'ab', purpose: 'p' });
    await vi.advanceTimersByTimeAsync(700);
    saver.write({ title: 'abc', purpose: 'p' });
    await vi.advanceTimersByTimeAsync(700);
    expect(kept).toEqual([]);
    await vi.advanceTimersByTimeAsync(100);
    saver.write({ title: 'abcd', purpose: 'p' });
    await vi.advanceTimersByTimeAsync(800);
    expect(kept).toEqual([
      { draft: { title: 'abc', purpose: 'p' }, from: 4 },
      { draft: { title: 'abcd', purpose: 'p' }, from: 5 },
    ]);
    expect(states.at(-1)).toBe('saved');
  });

  it('is not sent where nothing changed, in whatever order its fields are', async () => {
    const { saver, kept } = server();
    saver.write({ purpose: 'p', title: 'a' });
    await vi.advanceTimersByTimeAsync(2000);
    expect(kept).toEqual([]);
  });

  it('is sent again until the server can be reached', async () => {
    const here = server();
    here.next = () => Promise.reject(new UnreachableError('away'));
    here.saver.write({ title: 'b' });
    await vi.advanceTimersByTimeAsync(800);
    expect(here.states.at(-1)).toBe('stuck');
    await vi.advanceTimersByTimeAsync(5000);
    expect(here.kept).toEqual([{ draft: { title: 'b' }, from: 4 }]);
    expect(here.states.at(-1)).toBe('saved');
  });

  it('is never sent over what was written in another window', async () => {
    const here = server();
    here.next = () => Promise.reject(new RefusedError(409, 'changed', 'revision', null));
    here.saver.write({ title: 'b' });
    await vi.advanceTimersByTimeAsync(800);
    here.saver.write({ title: 'bc' });
    await vi.advanceTimersByTimeAsync(20_000);
    expect(here.kept).toEqual([]);
    expect(here.states.at(-1)).toBe('elsewhere');
    expect(await here.saver.flush()).toBeNull();
  });

  it('is saved at once when that is asked for, one request after the other', async () => {
    const here = server();
    let answer: (to: { revision: number }) => void = () => undefined;
    here.next = () => new Promise((resolve) => (answer = resolve));
    here.saver.write({ title: 'b' });
    await vi.advanceTimersByTimeAsync(800);
    here.saver.write({ title: 'bc' });
    const flushed = here.saver.flush();
    await vi.advanceTimersByTimeAsync(0);
    expect(here.kept).toEqual([]);
    answer({ revision: 5 });
    expect(await flushed).toBe(6);
    expect(here.kept).toEqual([{ draft: { title: 'bc' }, from: 5 }]);
  });
});
