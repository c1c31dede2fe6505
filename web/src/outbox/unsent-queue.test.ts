import { describe, expect, it, vi } from 'vitest';
import { RefusedError, ServerFaultError, UnreachableError } from '../api/request.ts';
import {
  FAULTS_BORNE,
  FIRST_WAIT,
  UnsentQueue,
  LONGEST_WAIT,
  type Carrier,
  type StoredEntry,
  type UnsentEntry,
} from './unsent-queue.ts';

const INES = 'ines';
const entry = (id: string, personId = INES): UnsentEntry => ({
  id,
  personId,
  path: '/attempts',
  body: { entry: id },
  written: id,
});
const refused = (status: number, message = 'no'): RefusedError => new RefusedError(status, message, null, null);

interface World extends Carrier {
  readonly storage: Map<string, StoredEntry>;
  readonly sent: string[];
  readonly pauses: number[];
  /** What each sending does, in turn; then it answers. */
  script: (Error | 'answer')[];
}

function world(storage = new Map<string, StoredEntry>()): World {
  let clock = 0;
  return {
    storage,
    sent: [],
    pauses: [],
    script: [],
    send(one) {
      this.sent.push(one.id);
      const next = this.script.shift() ?? 'answer';
      return next === 'answer' ? Promise.resolve(`answer to ${one.id}`) : Promise.reject(next);
    },
    kept: () => Promise.resolve([...storage.values()]),
    keep: (kept) => Promise.resolve(void storage.set(kept.entry.id, kept)),
    forget: (id) => Promise.resolve(void storage.delete(id)),
    pause(milliseconds) {
      this.pauses.push(milliseconds);
      return Promise.resolve();
    },
    now: () => (clock += 1),
  };
}

function opened(carrier: World, personId: string | null = INES): UnsentQueue {
  const queue = new UnsentQueue(carrier);
  queue.open(personId);
  return queue;
}

describe('an entry', () => {
  it('is kept before it is sent and forgotten once acknowledged', async () => {
    const carrier = world();
    const queue = opened(carrier);
    const answer = queue.post(entry('a'));
    expect(queue.snapshot().waiting).toHaveLength(1);
    await expect(answer).resolves.toBe('answer to a');
    await vi.waitFor(() => expect(queue.snapshot().waiting).toEqual([]));
    expect(carrier.storage.size).toBe(0);
  });

  it('is shown as waiting until whoever wrote it has its answer, so that it is at no moment nowhere', async () => {
    const queue = opened(world());
    const waiting = await queue.post(entry('a')).then(() => queue.snapshot().waiting);
    expect(waiting).toEqual([entry('a')]);
  });

  it('is sent again, with longer and longer pauses, until the server can be reached', async () => {
    const carrier = world();
    carrier.script = Array.from({ length: 6 }, () => new UnreachableError('gone'));
    const queue = opened(carrier);
    const states: boolean[] = [];
    queue.subscribe(() => states.push(queue.snapshot().stuck));
    await expect(queue.post(entry('a'))).resolves.toBe('answer to a');
    expect(carrier.sent).toHaveLength(7);
    expect(carrier.pauses).toEqual([FIRST_WAIT, 1400, 2800, 5600, LONGEST_WAIT, LONGEST_WAIT]);
    expect(states).toContain(true);
    expect(queue.snapshot().stuck).toBe(false);
  });

  it('starts from the short pause again after a success', async () => {
    const carrier = world();
    const queue = opened(carrier);
    carrier.script = [new UnreachableError('gone'), new UnreachableError('gone')];
    await queue.post(entry('a'));
    carrier.script = [new UnreachableError('gone')];
    await queue.post(entry('b'));
    expect(carrier.pauses.at(-1)).toBe(FIRST_WAIT);
  });

  it('that is refused comes back with the reason, stays in the browser and does not hold up the next', async () => {
    const carrier = world();
    carrier.script = [refused(409, 'already finished')];
    const queue = opened(carrier);
    const first = queue.post(entry('a'));
    const second = queue.post(entry('b'));
    await expect(first).rejects.toThrow('already finished');
    await expect(second).resolves.toBe('answer to b');
    expect(queue.snapshot().returned).toEqual([{ entry: entry('a'), message: 'already finished' }]);
    expect(carrier.storage.get('a')?.refusal).toBe('already finished');
  });

  it('on which the server fails is tried a few times, then handed back', async () => {
    const carrier = world();
    carrier.script = Array.from({ length: FAULTS_BORNE }, () => new ServerFaultError('went wrong'));
    const queue = opened(carrier);
    await expect(queue.post(entry('a'))).rejects.toThrow('went wrong');
    expect(carrier.sent).toHaveLength(FAULTS_BORNE);
    expect(carrier.storage.get('a')?.entry).toEqual(entry('a'));
  });

  it('handed back can be sent again, or put aside', async () => {
    const carrier = world();
    carrier.script = [refused(400), refused(400)];
    const queue = opened(carrier);
    await expect(queue.post(entry('a'))).rejects.toThrow();
    await expect(queue.post(entry('b'))).rejects.toThrow();
    queue.discard('b');
    expect(carrier.storage.has('b')).toBe(false);
    queue.sendAgain('a');
    await until(() => queue.snapshot().waiting.length === 0);
    expect(carrier.sent).toEqual(['a', 'b', 'a']);
    expect(queue.snapshot().returned).toEqual([]);
    expect(carrier.storage.size).toBe(0);
  });

  it('that is not there any more cannot be sent again', () => {
    const queue = opened(world());
    queue.sendAgain('nothing');
    expect(queue.snapshot()).toEqual({ waiting: [], returned: [], stuck: false });
  });
});

/** Lets promises go on until something holds. */
async function until(holds: () => boolean): Promise<void> {
  for (let turn = 0; turn < 200 && !holds(); turn += 1) await Promise.resolve();
  expect(holds()).toBe(true);
}

describe('the session', () => {
  it('that has ended stops the queue until its person signs in again', async () => {
    const carrier = world();
    carrier.script = [refused(401)];
    const queue = opened(carrier);
    const answer = queue.post(entry('a'));
    await until(() => queue.snapshot().stuck);
    expect(carrier.sent).toEqual(['a']);
    expect(carrier.storage.has('a')).toBe(true);
    queue.open(INES);
    await expect(answer).resolves.toBe('answer to a');
  });

  it('of somebody else never carries an entry', async () => {
    const carrier = world();
    carrier.script = [refused(401)];
    const queue = opened(carrier);
    void queue.post(entry('a'));
    await until(() => queue.snapshot().stuck);
    queue.open('somebody else');
    await expect(queue.post(entry('b', 'somebody else'))).resolves.toBe('answer to b');
    expect(carrier.sent).toEqual(['a', 'b']);
    expect(queue.snapshot().waiting).toEqual([]);
    expect(carrier.storage.has('a')).toBe(true);
  });

  it('of somebody else neither shows nor counts what was left here, and its owner finds it again', async () => {
    const carrier = world();
    carrier.script = [refused(400, 'no such place'), refused(401)];
    const queue = opened(carrier);
    await expect(queue.post(entry('back'))).rejects.toThrow();
    void queue.post(entry('a'));
    await until(() => queue.snapshot().stuck);
    queue.open('somebody else');
    expect(queue.snapshot()).toMatchObject({ waiting: [], returned: [] });
    queue.open(null);
    expect(queue.snapshot()).toMatchObject({ waiting: [], returned: [] });
    queue.open(INES);
    expect(queue.snapshot().returned.map((one) => one.entry.id)).toEqual(['back']);
    await until(() => carrier.sent.filter((id) => id === 'a').length === 2);
  });

  it('is told a plain 403 at once', async () => {
    const carrier = world();
    carrier.script = [refused(403, 'You are not in this class.')];
    await expect(opened(carrier).post(entry('a'))).rejects.toThrow('not in this class');
    expect(carrier.pauses).toEqual([]);
  });

  it('waits when it asks too often', async () => {
    const carrier = world();
    carrier.script = [refused(429)];
    await expect(opened(carrier).post(entry('a'))).resolves.toBe('answer to a');
    expect(carrier.pauses).toEqual([FIRST_WAIT]);
  });
});

describe('a reload', () => {
  it('sends what was left, in the order in which it was written, and shows what had been returned', async () => {
    const storage = new Map<string, StoredEntry>([
      ['later', { entry: entry('later'), at: 20, refusal: null }],
      ['earlier', { entry: entry('earlier'), at: 10, refusal: null }],
      ['back', { entry: entry('back'), at: 5, refusal: 'already finished' }],
    ]);
    const carrier = world(storage);
    const queue = opened(carrier);
    await until(() => carrier.sent.length === 2 && queue.snapshot().waiting.length === 0);
    expect(carrier.sent).toEqual(['earlier', 'later']);
    expect(queue.snapshot().returned.map((one) => one.entry.id)).toEqual(['back']);
    await until(() => storage.size === 1);
  });

  it('loses nothing that is written before the kept entries have been read', async () => {
    const storage = new Map<string, StoredEntry>([['old', { entry: entry('old'), at: -1, refusal: null }]]);
    const carrier = world(storage);
    const queue = opened(carrier);
    await queue.post(entry('new'));
    await until(() => queue.snapshot().waiting.length === 0);
    expect([...carrier.sent].sort()).toEqual(['new', 'old']);
    await until(() => storage.size === 0);
  });

  it('works without any storage', async () => {
    const carrier = world();
    carrier.kept = () => Promise.reject(new Error('no storage'));
    carrier.keep = () => Promise.reject(new Error('no storage'));
    carrier.forget = () => Promise.reject(new Error('no storage'));
    await expect(opened(carrier).post(entry('a'))).resolves.toBe('answer to a');
  });
});
