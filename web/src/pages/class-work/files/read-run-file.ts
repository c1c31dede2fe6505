import { LARGEST_RUN_FILE, readRunFile, RUN_FILE, type LabSheetFault } from '@green-beam/contract';

/** What a file of a saved laboratory says of itself. */
export interface RunFileRead {
  readonly specimen: string;
  readonly title: string;
  readonly entries: number;
  /** Everybody who wrote, by id. */
  readonly people: Readonly<Record<string, string>>;
  /** The file as it is sent. */
  readonly file: unknown;
}

const refused = (reason: string): { faults: LabSheetFault[] } => ({ faults: [{ path: '', reason }] });

/** Reads a saved laboratory; a wrong file is answered with every path at which it is. */
export function readRunText(text: string): RunFileRead | { readonly faults: readonly LabSheetFault[] } {
  if (text.length > LARGEST_RUN_FILE)
    return refused(
      `This file has ${(text.length / 1e6).toFixed(1)} million characters; at most 2 million are taken in.`,
    );
  let json: unknown;
  try {
    json = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return refused('This is not JSON.');
  }
  if (typeof json !== 'object' || json === null || (json as { format?: unknown }).format !== RUN_FILE)
    return refused('This is no saved laboratory.');
  const read = readRunFile(json);
  if ('faults' in read) return read;
  const title: unknown = read.protocol['title'];
  return {
    specimen: read.specimen,
    title: typeof title === 'string' ? title : '',
    entries: read.events.length,
    people: read.people as Readonly<Record<string, string>>,
    file: { ...json, events: inOrder((json as { events: readonly Ordered[] }).events) },
  };
}

interface Ordered {
  readonly order?: number | null;
}

/** As the server had them; what was still on its way comes last. */
function inOrder(events: readonly Ordered[]): readonly Ordered[] {
  const place = ({ order }: Ordered): number => order ?? Number.MAX_VALUE;
  return [...events].sort((a, b) => place(a) - place(b));
}
