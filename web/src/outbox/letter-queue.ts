import { RefusedError, ServerFaultError } from '../api/request.ts';

/** Something written that the server has not acknowledged yet. */
export interface Letter {
  readonly id: string;
  /** Whose session it belongs to; it is never sent under another. */
  readonly personId: string;
  readonly path: string;
  readonly body: unknown;
}

/** A letter the server will not take, kept so that what was written can be read and sent again. */
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

/** A letter as the browser keeps it between visits. */
export interface KeptLetter {
  readonly letter: Letter;
  /** When it was written, by the device's clock; letters go out in this order. */
  readonly at: number;
  /** Why the server would not take it, or null while it waits. */
  readonly refusal: string | null;
}

/** What the queue needs from around it. */
export interface Carrier {
  send(letter: Letter): Promise<unknown>;
  kept(): Promise<readonly KeptLetter[]>;
  keep(kept: KeptLetter): Promise<void>;
  forget(id: string): Promise<void>;
  pause(milliseconds: number): Promise<void>;
  now(): number;
}

export const FIRST_WAIT = 700;
export const LONGEST_WAIT = 6000;
/** A letter on which the server itself fails this often no longer holds up those after it. */
export const FAULTS_BORNE = 4;

const NOTHING: OutboxState = { waiting: [], returned: [], stuck: false };

interface Settle {
  resolve(answer: unknown): void;
  reject(error: unknown): void;
}

/**
 * Letters to the server, sent in the order in which they were written, each kept in the browser until it is acknowledged, and tried
 * again until it is. A reload, or another tab, continues where the page left off; the server stores a letter sent twice once.
 */
export class LetterQueue {
  private state: OutboxState = NOTHING;
  /** The part of it that is the business of whoever is at the screen. */
  private shown: OutboxState = NOTHING;
  private readonly listeners = new Set<() => void>();
  private readonly settles = new Map<string, Settle>();
  private readonly faults = new Map<string, number>();
  /** Who is at the screen, and whose session carries letters: nobody’s once it has ended. */
  private owner: string | null = null;
  private personId: string | null = null;
  private sending = false;
  private wait = FIRST_WAIT;
  private loaded: Promise<void> | null = null;

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

  /** Puts a letter in. The promise settles with the server's answer, however long that takes. */
  post<Answer>(letter: Letter): Promise<Answer> {
    return new Promise<Answer>((resolve, reject) => {
      this.settles.set(letter.id, { resolve, reject });
      this.update({ waiting: [...this.state.waiting, letter] });
      void this.keep(letter, null).then(() => this.send());
    });
  }

  /** Puts a letter that was returned at the end of the queue again. */
  sendAgain(id: string): void {
    const found = this.state.returned.find(({ letter }) => letter.id === id);
    if (!found) return;
    this.faults.delete(id);
    this.update({
      returned: this.state.returned.filter((one) => one !== found),
      waiting: [...this.state.waiting, found.letter],
    });
    void this.keep(found.letter, null).then(() => this.send());
  }

  /** Forgets a letter the server did not take. */
  putAside(id: string): void {
    this.update({ returned: this.state.returned.filter(({ letter }) => letter.id !== id) });
    void this.carrier.forget(id).catch(() => undefined);
  }

  private async load(): Promise<void> {
    const kept = [...(await this.carrier.kept().catch(() => []))].sort((a, b) => a.at - b.at);
    const known = new Set(this.state.waiting.map((letter) => letter.id));
    const waiting = kept
      .filter(({ letter, refusal }) => refusal === null && !known.has(letter.id))
      .map(({ letter }) => letter);
    const returned = kept.flatMap(({ letter, refusal }) => (refusal === null ? [] : [{ letter, message: refusal }]));
    this.update({ waiting: [...waiting, ...this.state.waiting], returned: [...returned, ...this.state.returned] });
  }

  private keep(letter: Letter, refusal: string | null): Promise<void> {
    // A browser without storage (a private window) still sends; it only forgets on reload.
    return this.carrier.keep({ letter, at: this.carrier.now(), refusal }).catch(() => undefined);
  }

  private update(change: Partial<OutboxState>): void {
    this.state = { ...this.state, ...change };
    const isMine = ({ personId }: Letter): boolean => personId === this.owner;
    this.shown = {
      waiting: this.state.waiting.filter(isMine),
      returned: this.state.returned.filter(({ letter }) => isMine(letter)),
      stuck: this.state.stuck,
    };
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
      const answer = await this.carrier.send(letter);
      this.leave(letter, {});
      await this.carrier.forget(letter.id).catch(() => undefined);
      this.settle(letter, ({ resolve }) => resolve(answer));
      this.wait = FIRST_WAIT;
    } catch (error) {
      if (this.isFinal(letter, error)) {
        const message = (error as Error).message;
        this.leave(letter, { returned: [...this.state.returned, { letter, message }] });
        await this.keep(letter, message);
        this.settle(letter, ({ reject }) => reject(error));
        return;
      }
      this.update({ stuck: true });
      await this.carrier.pause(this.wait);
      this.wait = Math.min(LONGEST_WAIT, this.wait * 2);
    }
  }

  /** Whether the answer will stay the same however often the letter is sent. */
  private isFinal(letter: Letter, error: unknown): boolean {
    if (error instanceof ServerFaultError) {
      const faults = (this.faults.get(letter.id) ?? 0) + 1;
      this.faults.set(letter.id, faults);
      return faults >= FAULTS_BORNE;
    }
    return error instanceof RefusedError && !this.canMend(error);
  }

  /** A session that has ended waits for the person to sign in again; who asks too often waits a little. */
  private canMend({ status }: RefusedError): boolean {
    if (status === 401) this.personId = null;
    return status === 401 || status === 429;
  }

  private leave(letter: Letter, change: Partial<OutboxState>): void {
    this.update({ stuck: false, ...change, waiting: this.state.waiting.filter((other) => other.id !== letter.id) });
  }

  private settle(letter: Letter, how: (settle: Settle) => void): void {
    const settle = this.settles.get(letter.id);
    this.settles.delete(letter.id);
    if (settle) how(settle);
  }
}
