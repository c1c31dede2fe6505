import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

const INES = 'ines';
const entry = (id: string): object => ({ id, personId: INES, path: '/attempts', body: { value: id } });

/** As a browser’s store, in that its keys are its own properties. */
class Store {
  setItem(key: string, value: string): void {
    Object.assign(this, { [key]: value });
  }
  getItem(key: string): string | null {
    return (this as unknown as Record<string, string>)[key] ?? null;
  }
  removeItem(key: string): void {
    Reflect.deleteProperty(this, key);
  }
}

let store: Store;
let sent: string[];

beforeEach(() => {
  store = new Store();
  sent = [];
  vi.stubGlobal('localStorage', store);
  vi.stubGlobal('fetch', (_address: string, { body }: { body: string }) => {
    sent.push((JSON.parse(body) as { value: string }).value);
    return Promise.resolve(new Response('{}', { status: 200, headers: { 'content-type': 'application/json' } }));
  });
  vi.resetModules();
});

afterEach(() => {
  vi.unstubAllGlobals();
});

describe('what a browser keeps between visits', () => {
  it('is sent when its owner is here again, and then forgotten', async () => {
    store.setItem('green-beam letter 1', JSON.stringify({ entry: entry('later'), at: 2, refusal: null }));
    store.setItem('green-beam letter 2', JSON.stringify({ entry: entry('earlier'), at: 1, refusal: null }));
    store.setItem('something else', 'not ours');
    const { outbox } = await import('./outbox.ts');
    outbox.open(INES);
    await vi.waitFor(() => expect(sent).toEqual(['earlier', 'later']));
    expect(store.getItem('something else')).toBe('not ours');
  });

  it('is sent too when an earlier version of the page has kept it under another name', async () => {
    store.setItem('green-beam letter 1', JSON.stringify({ letter: entry('old'), at: 1, refusal: null }));
    const { outbox } = await import('./outbox.ts');
    outbox.open(INES);
    await vi.waitFor(() => expect(sent).toEqual(['old']));
  });

  it('is passed over when it is spoilt, and the rest is sent', async () => {
    store.setItem('green-beam letter 1', '{"entry":');
    store.setItem('green-beam letter 2', JSON.stringify({ entry: entry('whole'), at: 1, refusal: null }));
    const { outbox } = await import('./outbox.ts');
    outbox.open(INES);
    await vi.waitFor(() => expect(sent).toEqual(['whole']));
  });

  it('is not sent for anybody else', async () => {
    store.setItem('green-beam letter 1', JSON.stringify({ entry: entry('hers'), at: 1, refusal: null }));
    const { outbox } = await import('./outbox.ts');
    outbox.open('somebody else');
    await outbox.post({
      id: 'own',
      personId: 'somebody else',
      path: '/attempts',
      body: { value: 'own' },
      written: 'own',
    });
    expect(sent).toEqual(['own']);
    expect(Object.keys(store)).toEqual(['green-beam letter 1']);
  });
});
