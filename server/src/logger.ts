import { pino, type DestinationStream, type Logger } from 'pino';

/** What is told of an error: its kind, its code, and where it came from. Its words may hold what somebody has typed, and stay out. */
interface Told {
  readonly type: string;
  readonly code: string | null;
  /** Of the database: the constraint that was not kept. */
  readonly constraint: string | null;
  readonly at: readonly string[];
}

function told(error: unknown): Told {
  const { code, constraint, stack, original } = (error ?? {}) as {
    code?: unknown;
    constraint?: unknown;
    stack?: unknown;
    original?: unknown;
  };
  const cause = original ? told(original) : null;
  const at = typeof stack === 'string' ? stack.split('\n').filter((line) => /^\s+at /.test(line)) : [];
  return {
    type: error instanceof Error ? error.constructor.name : typeof error,
    code: typeof code === 'string' ? code : (cause?.code ?? null),
    constraint: typeof constraint === 'string' ? constraint : (cause?.constraint ?? null),
    at: at.slice(0, 12).map((line) => line.trim()),
  };
}

/** The log of the server. No name, address, PIN or answer gets into it. */
export function openLog(level: string, destination?: DestinationStream): Logger {
  const settings = { level, serializers: { err: told } };
  return destination ? pino(settings, destination) : pino(settings);
}
