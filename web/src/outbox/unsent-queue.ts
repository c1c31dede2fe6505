import { RefusedError, ServerFaultError } from '../api/request.ts';

/** Something written that the server has not acknowledged yet. */
export interface UnsentEntry {
  readonly id: string;
  /** Whose session it belongs to; it is never sent under another. */
  readonly personId: string;
  readonly path: string;
  readonly body: unknown;
  /** What was written, as its writer would know it again: `Dry mass, trial 1: 54.29`. */
  readonly written: string;
}

/** An entry the server will not take, kept so that what was written can be read and sent again. */
export interface Returned {
  readonly entry: UnsentEntry;
  readonly message: string;
}

export interface OutboxState {
  readonly waiting: readonly UnsentEntry[];
  readonly returned: readonly Returned[];
  /** True once a try has failed and until the next one succeeds. */
  readonly stuck: boolean;
}

/** An entry as the browser keeps it between visits. */
export interface StoredEntry {
  readonly entry: UnsentEntry;
  /** When it was written, by the device's clock, and later than those before it; entries go out in this order. */
  readonly at: number;
  /** Why the server would not take it, or null while it waits. */
  readonly refusal: string | null;
}

/** What the queue needs from around it. */
export interface Carrier {
  send(entry: UnsentEntry): Promise<unknown>;
  kept(): Promise<readonly StoredEntry[]>;
  keep(kept: StoredEntry): Promise<void>;
  forget(id: string): Promise<void>;
  pause(milliseconds: number): Promise<void>;
  now(): number;
}

export const FIRST_WAIT = 700;
export const LONGEST_WAIT = 6000;
/** An entry on which the server itself fails this often no longer holds up those after it. */
export const FAULTS_BORNE = 4;

const NOTHING: OutboxState = { waiting: [], returned: [], stuck: false };

interface Settle {
  resolve(answer: unknown): void;
  reject(error: unknown): void;
}

/**
 * Entries to the server, sent in the order in which they were written, each kept in the browser until it is acknowledged, and tried
 * again until it is. A reload, or another tab, continues where the page left off; the server stores an entry sent twice once.
 */
export class UnsentQueue {
  private state: OutboxState = NOTHING;
  /** The part of it that is the business of whoever is at the screen. */
  private shown: OutboxState = NOTHING;
  private readonly listeners = new Set<() => void>();
  private readonly settles = new Map<string, Settle>();
  private readonly faults = new Map<string, number>();
  /** Who is at the screen, and whose session carries entries: nobody’s once it has ended. */
  private owner: string | null = null;
  private personId: string | null = null;
  private sending = false;
  private wait = FIRST_WAIT;
  private loaded: Promise<void> | null = null;
  private lastKept = 0;

  constructor(private readonly carrier: Carrier) {}

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** What whoever is at the screen has not sent yet; what others have left here is theirs alone. */
  readonly snapshot = (): OutboxState => this.shown;

  /** Says who is at the screen; what they left unsent is sent now. */
  open(personId: string | null): void {
    this.personId = personId;
    this.owner = personId;
    this.update({});
    this.loaded ??= this.load();
    void this.loaded.then(() => this.send());
  }

  /** Puts an entry in. The promise settles with the server's answer, however long that takes. */
  post<Answer>(entry: UnsentEntry): Promise<Answer> {
    return new Promise<Answer>((resolve, reject) => {
      this.settles.set(entry.id, { resolve, reject });
      this.update({ waiting: [...this.state.waiting, entry] });
      void this.keep(entry, null).then(() => this.send());
    });
  }

  /** Puts an entry that was returned at the end of the queue again. */
  sendAgain(id: string): void {
    const found = this.state.returned.find(({ entry }) => entry.id === id);
    if (!found) return;
    this.faults.delete(id);
    this.update({
      returned: this.state.returned.filter((one) => one !== found),
      waiting: [...this.state.waiting, found.entry],
    });
    void this.keep(found.entry, null).then(() => this.send());
  }

  /** Forgets an entry the server did not take. */
  discard(id: string): void {
    this.update({ returned: this.state.returned.filter(({ entry }) => entry.id !== id) });
    void this.carrier.forget(id).catch(() => undefined);
  }

  private async load(): Promise<void> {
    const kept = [...(await this.carrier.kept().catch(() => []))].sort((a, b) => a.at - b.at);
    this.lastKept = Math.max(this.lastKept, ...kept.map(({ at }) => at));
    const known = new Set(this.state.waiting.map((entry) => entry.id));
    const waiting = kept
      .filter(({ entry, refusal }) => refusal === null && !known.has(entry.id))
      .map(({ entry }) => entry);
    const returned = kept.flatMap(({ entry, refusal }) => (refusal === null ? [] : [{ entry, message: refusal }]));
    this.update({ waiting: [...waiting, ...this.state.waiting], returned: [...returned, ...this.state.returned] });
  }

  private keep(entry: UnsentEntry, refusal: string | null): Promise<void> {
    // A browser without storage (a private window) still sends; it only forgets on reload.
    // A clock that was set back does not change the order.
    this.lastKept = Math.max(this.lastKept + 1, this.carrier.now());
    return this.carrier.keep({ entry, at: this.lastKept, refusal }).catch(() => undefined);
  }

  private update(change: Partial<OutboxState>): void {
    this.state = { ...this.state, ...change };
    const isMine = ({ personId }: UnsentEntry): boolean => personId === this.owner;
    this.shown = {
      waiting: this.state.waiting.filter(isMine),
      returned: this.state.returned.filter(({ entry }) => isMine(entry)),
      stuck: this.state.stuck,
    };
    this.listeners.forEach((listener) => listener());
  }

  private async send(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    try {
      for (let entry = this.next(); entry; entry = this.next()) await this.sendOne(entry);
    } finally {
      this.sending = false;
    }
  }

  private next(): UnsentEntry | undefined {
    return this.personId === null ? undefined : this.state.waiting.find((entry) => entry.personId === this.personId);
  }

  private async sendOne(entry: UnsentEntry): Promise<void> {
    try {
      const answer = await this.carrier.send(entry);
      // Whoever waits for the answer takes it over before the entry goes, so that what was written is at every moment shown.
      this.settle(entry, ({ resolve }) => resolve(answer));
      await this.carrier.forget(entry.id).catch(() => undefined);
      this.leave(entry, {});
      this.wait = FIRST_WAIT;
    } catch (error) {
      if (this.isFinal(entry, error)) {
        const message = (error as Error).message;
        this.leave(entry, { returned: [...this.state.returned, { entry, message }] });
        await this.keep(entry, message);
        this.settle(entry, ({ reject }) => reject(error));
        return;
      }
      this.update({ stuck: true });
      await this.carrier.pause(this.wait);
      this.wait = Math.min(LONGEST_WAIT, this.wait * 2);
    }
  }

  /** Whether the answer will stay the same however often the entry is sent. */
  private isFinal(entry: UnsentEntry, error: unknown): boolean {
    if (error instanceof ServerFaultError) {
      const faults = (this.faults.get(entry.id) ?? 0) + 1;
      this.faults.set(entry.id, faults);
      return faults >= FAULTS_BORNE;
    }
    return error instanceof RefusedError && !this.canMend(error);
  }

  /** A session that has ended waits for the person to sign in again; who asks too often waits a little. */
  private canMend({ status }: RefusedError): boolean {
    if (status === 401) this.personId = null;
    return status === 401 || status === 429;
  }

  private leave(entry: UnsentEntry, change: Partial<OutboxState>): void {
    this.update({ stuck: false, ...change, waiting: this.state.waiting.filter((other) => other.id !== entry.id) });
  }

  private settle(entry: UnsentEntry, how: (settle: Settle) => void): void {
    const settle = this.settles.get(entry.id);
    this.settles.delete(entry.id);
    if (settle) how(settle);
  }
}
