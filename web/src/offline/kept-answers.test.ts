import { QueryClient } from '@tanstack/react-query';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { KEPT_ANSWERS } from './kept-place.ts';

const INES = { csrfToken: 'token', demo: true, signedIn: { person: { id: 'ines', name: 'Ines V.' } } };
const NOBODY = { csrfToken: 'another', demo: true, signedIn: null };

let kept: Map<string, string>;
let queries: QueryClient;
let stopKeeping: () => void;
let hidePage: () => void;

beforeEach(async () => {
  vi.useFakeTimers();
  kept = new Map();
  vi.stubGlobal('document', { querySelector: () => null });
  vi.stubGlobal('sessionStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => kept.set(key, value),
    removeItem: (key: string) => kept.delete(key),
  });
  vi.stubGlobal('window', {
    addEventListener: (_: string, listener: () => void) => (hidePage = listener),
    removeEventListener: () => (hidePage = () => undefined),
  });
  const { keepAnswers } = await import('./kept-answers.ts');
  queries = new QueryClient();
  queries.setQueryData(['session'], INES);
  stopKeeping = keepAnswers(queries);
  queries.setQueryData(['run'], { name: 'Basalt pebbles' });
});
afterEach(() => {
  stopKeeping();
  queries.clear();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

test('what the server has answered is kept a moment later, while somebody is signed in', async () => {
  expect(kept.size).toBe(0);
  await vi.advanceTimersByTimeAsync(1000);
  expect(kept.get(KEPT_ANSWERS)).toContain('Basalt pebbles');
});

test('once nobody is signed in it is forgotten, even while the page that kept it is still there', async () => {
  await vi.advanceTimersByTimeAsync(1000);
  queries.setQueryData(['session'], NOBODY);
  await vi.advanceTimersByTimeAsync(1);
  expect(kept.size).toBe(0);
});

test('an answer that comes after the session has ended, or closing the page then, keeps nothing', async () => {
  queries.setQueryData(['session'], NOBODY);
  queries.setQueryData(['run'], { name: 'Basalt pebbles, corrected' });
  await vi.advanceTimersByTimeAsync(5000);
  hidePage();
  expect(kept.size).toBe(0);
});

test('closing the page keeps what is there at once', () => {
  hidePage();
  expect(kept.get(KEPT_ANSWERS)).toContain('Basalt pebbles');
});
