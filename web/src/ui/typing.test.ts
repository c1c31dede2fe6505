import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

let narrow = true;
const toggleAttribute = vi.fn<(name: string, on: boolean) => void>();

beforeEach(() => {
  narrow = true;
  toggleAttribute.mockClear();
  vi.useFakeTimers();
  vi.stubGlobal('window', { matchMedia: () => ({ matches: narrow }) });
  vi.stubGlobal('document', { documentElement: { toggleAttribute } });
  vi.resetModules();
});

afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

/** Whether the page has been told that somebody types, as it was told last; null when it was told nothing. */
function told(): boolean | null {
  return toggleAttribute.mock.lastCall?.[1] ?? null;
}

describe('the keyboard of a phone', () => {
  it('is open from the moment the line has the focus', async () => {
    const { beginTyping } = await import('./typing.ts');
    beginTyping();
    expect(toggleAttribute).toHaveBeenCalledExactlyOnceWith('data-typing', true);
  });

  it('is taken for open until a tap on a button is over', async () => {
    const { beginTyping, endTyping } = await import('./typing.ts');
    beginTyping();
    endTyping();
    vi.advanceTimersByTime(200);
    expect(told()).toBe(true);
    vi.advanceTimersByTime(200);
    expect(told()).toBe(false);
  });

  it('stays open when the focus comes back to the line at once', async () => {
    const { beginTyping, endTyping } = await import('./typing.ts');
    beginTyping();
    endTyping();
    vi.advanceTimersByTime(100);
    beginTyping();
    vi.advanceTimersByTime(2000);
    expect(toggleAttribute).toHaveBeenCalledExactlyOnceWith('data-typing', true);
  });

  it('covers nothing where the window is wide', async () => {
    narrow = false;
    const { beginTyping, endTyping } = await import('./typing.ts');
    beginTyping();
    endTyping();
    vi.advanceTimersByTime(2000);
    expect(told()).toBeNull();
  });
});
