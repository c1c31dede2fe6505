/** One entry in a log, wherever it belongs. Entries are never changed: a correction is a new entry that names the one it replaces. */
export interface LogEntry {
  /** Made by the client. */
  readonly id: string;
  /** Exactly what was typed. */
  readonly text: string;
  /** The event this one corrects, or null for a first entry. */
  readonly replaces: string | null;
  /** Why it was corrected, or why a trial was excluded. */
  readonly reason: string | null;
  readonly person: string;
  /** ISO 8601, by the clock of the device. */
  readonly deviceTime: string;
  /** How far that clock was ahead, in seconds; null or not given where it was about right. */
  readonly clockAhead?: number | null;
  /** Place in the server's order; null while it is still on its way. */
  readonly order: number | null;
}

/** What stands at one place: the entry in force, those struck through, and any rivals that replace the same entry. */
export interface Standing<Entry extends LogEntry> {
  readonly current: Entry;
  readonly struck: readonly Entry[];
  readonly rivals: readonly Entry[];
}

/** Server order first; what has not arrived yet comes last, as it was written. No clock has a say. */
function inOrder<Entry extends LogEntry>(events: readonly Entry[]): Entry[] {
  const place = ({ order }: Entry): number => order ?? Number.MAX_VALUE;
  return [...events].sort((a, b) => place(a) - place(b));
}

/** Entries that stand at a place after these, and left it empty. */
function emptiedBefore(entries: readonly LogEntry[]): string[] {
  const replaced = new Set(entries.map((entry) => entry.replaces));
  return entries.filter(({ id, text }) => text.trim() === '' && !replaced.has(id)).map(({ id }) => id);
}

/**
 * Folds a log into what stands at each place, by its key. Entries that nobody has replaced are in force; when there are several (two people
 * wrote the same cell), the first is current and the others are rivals, shown as a conflict until somebody replaces them. A first entry
 * in a cell that was left empty follows what emptied it. An event with an id seen before is the same event sent twice.
 */
export function foldLog<Entry extends LogEntry>(
  events: readonly Entry[],
  keyOf: (entry: Entry) => string,
): Map<string, Standing<Entry>> {
  const unique = [
    ...new Map(
      inOrder(events)
        .reverse()
        .map((event) => [event.id, event]),
    ).values(),
  ].reverse();
  const bySlot = new Map<string, Entry[]>();
  for (const event of unique) {
    const key = keyOf(event);
    const before = bySlot.get(key);
    if (before) before.push(event);
    else bySlot.set(key, [event]);
  }
  const slots = new Map<string, Standing<Entry>>();
  for (const [key, entries] of bySlot) {
    const replaced = new Set(entries.flatMap((entry, i) => entry.replaces ?? emptiedBefore(entries.slice(0, i))));
    const standing = entries.filter((entry) => !replaced.has(entry.id));
    const [current, ...rivals] = standing;
    if (current)
      slots.set(key, {
        current,
        rivals: rivals.filter((rival) => rival.text !== current.text),
        struck: entries.filter((entry) => replaced.has(entry.id)),
      });
  }
  return slots;
}
