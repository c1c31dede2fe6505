/** One tool of the cabinet that a column was read on. */
export interface NamedTool {
  readonly instrumentId: string;
  readonly code: string;
  /** What it shows at true zero, in its unit; taken off every reading of the column. */
  readonly zeroError: number;
}

/** A tool as a run’s log keeps it: kind, code, and the zero error known when it was chosen. */
export function namedToolText({ instrumentId, code, zeroError }: NamedTool): string {
  return `${instrumentId}; ${code}; ${zeroError}`;
}

/** The tool a log’s entry names; null for none, or for what is no such entry. */
export function namedToolFrom(text: string): NamedTool | null {
  const [instrumentId = '', code = '', error = ''] = text.split(';').map((part) => part.trim());
  const zeroError = Number(error);
  return instrumentId === '' || code === '' || error === '' || !Number.isFinite(zeroError)
    ? null
    : { instrumentId, code, zeroError };
}
