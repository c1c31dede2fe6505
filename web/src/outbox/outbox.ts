import { get, set } from 'idb-keyval';
import { ask, RefusedError } from '../api/request.ts';
import { fetchSession } from '../api/session.ts';

/** Something written that the server has not acknowledged yet. */
export interface Letter {
  readonly id: string;
  /** Whose session it belongs to; it is never sent under another. */
  readonly personId: string;
  readonly path: string;
  readonly body: unknown;
}

/** A letter the server will not take, kept so that what was written can be read again. */
export interface Returned {
  readonly letter: Letter;
  readonly message: string;
}

export interface OutboxState {
  readonly waiting: readonly Letter[];
  readonly returned: readonly Returned[];
  /** True once a try has failed and until the next one succeeds. */
  readonly stuck: boolean;
}

const STORE = 'green-beam-outbox';
const FIRST_WAIT = 700;
const LONGEST_WAIT = 6000;

type Settle = { resolve(answer: unknown): void; reject(error: unknown): void };

/**
 * Letters to the server, sent in the order in which they were written, kept in the browser until they are acknowledged, and tried
 * again until they are. A reload continues where the page left off.
 */
export class Outbox {
  private state: OutboxState = { waiting: [], returned: [], stuck: false };
  private readonly listeners = new Set<() => void>();
  private readonly settles = new Map<string, Settle>();
  private personId: string | null = null;
  private sending = false;
  private wait = FIRST_WAIT;
  private loaded: Promise<void> | null = null;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly snapshot = (): OutboxState => this.state;

  /** Says who is at the screen; what they left unsent is sent now. */
  open(personId: string | null): void {
    this.personId = personId;
    this.loaded ??= this.load();
    void this.loaded.then(() => this.send());
  }

  /** Puts a letter in. The promise settles with the server's answer, however long that takes. */
  post<Answer>(letter: Letter): Promise<Answer> {
    return new Promise<Answer>((resolve, reject) => {
      this.settles.set(letter.id, { resolve: resolve as Settle['resolve'], reject });
      this.update({ waiting: [...this.state.waiting, letter] });
      void this.send();
    });
  }

  /** Forgets a letter the server did not take. */
  dismiss(id: string): void {
    this.update({ returned: this.state.returned.filter(({ letter }) => letter.id !== id) });
  }

  private async load(): Promise<void> {
    const kept = (await get<readonly Letter[]>(STORE).catch(() => undefined)) ?? [];
    const known = new Set(this.state.waiting.map((letter) => letter.id));
    this.update({ waiting: [...kept.filter((letter) => !known.has(letter.id)), ...this.state.waiting] });
  }

  private update(change: Partial<OutboxState>): void {
    this.state = { ...this.state, ...change };
    void set(STORE, this.state.waiting).catch(() => undefined);
    this.listeners.forEach((listener) => listener());
  }

  private async send(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    try {
      for (let letter = this.next(); letter; letter = this.next()) await this.sendOne(letter);
    } finally {
      this.sending = false;
    }
  }

  private next(): Letter | undefined {
    return this.personId === null ? undefined : this.state.waiting.find((letter) => letter.personId === this.personId);
  }

  private async sendOne(letter: Letter): Promise<void> {
    try {
      const answer = await ask<unknown>('POST', letter.path, letter.body);
      this.done(letter, { stuck: false });
      this.settles.get(letter.id)?.resolve(answer);
      this.wait = FIRST_WAIT;
    } catch (error) {
      if (error instanceof RefusedError && !(await this.canMend(error))) {
        this.done(letter, { stuck: false, returned: [...this.state.returned, { letter, message: error.message }] });
        this.settles.get(letter.id)?.reject(error);
        return;
      }
      this.update({ stuck: true });
      await new Promise((resolve) => setTimeout(resolve, this.wait));
      this.wait = Math.min(LONGEST_WAIT, this.wait * 2);
    }
  }

  /** A stale token is fetched anew; a session that has ended waits for the person to sign in again. */
  private async canMend({ status, message }: RefusedError): Promise<boolean> {
    if (status === 401) {
      this.personId = null;
      return true;
    }
    if (status === 429) return true;
    if (status !== 403 || !message.includes('stale')) return false;
    await fetchSession().catch(() => undefined);
    return true;
  }

  private done(letter: Letter, change: Partial<OutboxState>): void {
    this.update({ ...change, waiting: this.state.waiting.filter((other) => other.id !== letter.id) });
  }
}

export const outbox = new Outbox();
