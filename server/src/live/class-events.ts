import { EventEmitter } from 'node:events';
import { LIVE_KINDS, type LiveEvent } from '@green-beam/contract';
import pg from 'pg';
import type { Logger } from 'pino';

/** The channel on which the database says whose sessions have ended. */
export const SESSIONS_ENDED = 'sessions_ended';

const FIRST_WAIT = 250;
const LONGEST_WAIT = 5000;

type Listener = (event: LiveEvent | 'refetch') => void;

const ended = (personId: string): string => `sessions of ${personId}`;

/**
 * Listens to the database on one connection of its own and hands class events to whoever streams them. When the connection breaks it
 * comes back by itself and tells everybody to fetch again, since something may have been missed.
 */
export class ClassEvents {
  private readonly emitter = new EventEmitter().setMaxListeners(0);
  private client: pg.Client | null = null;
  private stopped = false;
  private wait = FIRST_WAIT;

  constructor(
    private readonly databaseUrl: string,
    private readonly logger: Logger,
  ) {}

  async start(): Promise<void> {
    const client = new pg.Client({ connectionString: this.databaseUrl, keepAlive: true });
    client.on('error', (error) => this.reconnect(client, error));
    client.on('end', () => this.reconnect(client, null));
    client.on('notification', ({ channel, payload = '' }) =>
      channel === SESSIONS_ENDED ? this.emitter.emit(ended(payload)) : this.hand(payload),
    );
    try {
      await client.connect();
      await client.query(`listen class_events; listen ${SESSIONS_ENDED}`);
    } catch (error) {
      this.reconnect(client, error);
      return;
    }
    this.client = client;
    this.wait = FIRST_WAIT;
    this.emitter.emit('all');
  }

  async stop(): Promise<void> {
    this.stopped = true;
    await this.client?.end();
  }

  /** Calls back for each event of a class until the returned function is called. */
  subscribe(classId: string, listener: Listener): () => void {
    const refetch = (): void => listener('refetch');
    this.emitter.on(classId, listener);
    this.emitter.on('all', refetch);
    return () => {
      this.emitter.off(classId, listener);
      this.emitter.off('all', refetch);
    };
  }

  /** Calls back when the sessions of somebody have ended, until the returned function is called. */
  whenSessionsEnd(personId: string, listener: () => void): () => void {
    this.emitter.on(ended(personId), listener);
    return () => this.emitter.off(ended(personId), listener);
  }

  private hand(payload: string): void {
    const [classId = '', told, id = '', count] = payload.split(' ');
    const kind = LIVE_KINDS.find((known) => known === told);
    if (kind)
      this.emitter.emit(classId, {
        kind,
        id,
        ...(count === undefined ? {} : { count: Number(count) }),
      } satisfies LiveEvent);
  }

  private broken = new WeakSet<pg.Client>();

  private reconnect(client: pg.Client, error: unknown): void {
    if (this.stopped || this.broken.has(client)) return;
    this.broken.add(client);
    this.client = null;
    client.end().catch(() => undefined);
    this.logger.warn({ err: error ?? undefined }, 'live updates lost their connection; trying again');
    setTimeout(() => void this.start(), this.wait).unref();
    this.wait = Math.min(LONGEST_WAIT, this.wait * 2);
  }
}
