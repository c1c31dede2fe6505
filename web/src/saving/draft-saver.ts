import { RefusedError } from '../api/request.ts';
import { canonical } from './canonical.ts';

/** How what is being written stands. */
export type Saving =
  | { readonly kind: 'saved' }
  | { readonly kind: 'saving' }
  /** The server cannot be reached; it is tried again. */
  | { readonly kind: 'stuck' }
  /** It was changed in another window. */
  | { readonly kind: 'elsewhere' }
  | { readonly kind: 'refused'; readonly message: string };

interface SaverOptions<Draft> {
  readonly revision: number;
  /** What the server has. */
  readonly saved: Draft;
  readonly send: (draft: Draft, revision: number) => Promise<{ readonly revision: number }>;
  readonly onState: (state: Saving) => void;
  /** After the last change it is waited for so long, in ms. */
  readonly pause: number;
  /** Where the server could not be reached it is tried again after so long, in ms. */
  readonly again: number;
}

/** Saves a draft by itself, one request after the other, each with the revision that it goes on from. */
export class DraftSaver<Draft> {
  private revision: number;
  private savedText: string;
  private wanted: Draft;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private running: Promise<void> | null = null;
  private isOver = false;

  constructor(private readonly options: SaverOptions<Draft>) {
    this.revision = options.revision;
    this.wanted = options.saved;
    this.savedText = canonical(options.saved);
  }

  /** Whether all that was written is at the server. */
  get isSaved(): boolean {
    return canonical(this.wanted) === this.savedText;
  }

  write(draft: Draft): void {
    this.wanted = draft;
    if (this.isOver || this.isSaved) return;
    this.options.onState({ kind: 'saving' });
    this.later(this.options.pause);
  }

  /** Saves at once what is not saved yet. @returns the revision that the server has then; null where it does not have all of it. */
  async flush(): Promise<number | null> {
    clearTimeout(this.timer);
    await this.save();
    return this.isSaved ? this.revision : null;
  }

  stop(): void {
    this.isOver = true;
    clearTimeout(this.timer);
  }

  private later(time: number): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.save(), time);
  }

  private async save(): Promise<void> {
    while (this.running) await this.running;
    if (this.isOver || this.isSaved) return;
    this.running = this.sendOnce();
    await this.running;
  }

  private async sendOnce(): Promise<void> {
    const sent = this.wanted;
    try {
      const { revision } = await this.options.send(sent, this.revision);
      this.revision = revision;
      this.savedText = canonical(sent);
      if (this.isSaved) this.options.onState({ kind: 'saved' });
      else this.later(this.options.pause);
    } catch (error) {
      this.failed(error);
    } finally {
      this.running = null;
    }
  }

  private failed(error: unknown): void {
    if (!(error instanceof RefusedError)) {
      this.options.onState({ kind: 'stuck' });
      if (!this.isOver) this.later(this.options.again);
    } else if (error.status === 409) {
      this.isOver = true;
      this.options.onState({ kind: 'elsewhere' });
    } else this.options.onState({ kind: 'refused', message: error.message });
  }
}
