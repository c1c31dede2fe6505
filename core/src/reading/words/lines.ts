const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth'];

function ordinal(n: number): string {
  return ORDINALS[n - 1] ?? `${n}th`;
}

/** A line as it is met on the way from the lower (or left) end of the scale. */
export interface Line {
  readonly at: number;
  readonly label: string | null;
}

export interface Words {
  readonly subject: string;
  /** The way from the lower end on: “above”, “to the right of”. */
  readonly on: string;
  readonly before: string;
  readonly lower: string;
  readonly upper: string;
}

function nearness(part: number, { lower, upper, on, before }: Words): string {
  if (part < 0.2) return `just ${on} ${lower}`;
  if (part < 0.45) return `nearer ${lower}`;
  if (part <= 0.55) return 'midway';
  return part <= 0.8 ? `nearer ${upper}` : `just ${before} ${upper}`;
}

/** Names a line by the nearest label before it or, before the first label, by the one after it. */
function nameOf(lines: readonly Line[], index: number, words: Words): string {
  const line = lines[index];
  if (line?.label !== null && line?.label !== undefined) return `the line labelled ${line.label}`;
  const before = lines.slice(0, index).findLastIndex((one) => one.label !== null);
  if (before >= 0) return `the ${ordinal(index - before)} line ${words.on} ${lines[before]?.label ?? ''}`;
  const after = lines.findIndex((one, i) => i > index && one.label !== null);
  return after < 0
    ? `the ${ordinal(index + 1)} line`
    : `the ${ordinal(after - index)} line ${words.before} ${lines[after]?.label ?? ''}`;
}

/** Where a point lies among the lines of a scale, in words a reading can be made from. */
export function among(
  lines: readonly Line[],
  at: number,
  words: Words,
  ends: { readonly before: string; readonly beyond: string },
): string {
  const next = lines.findIndex((line) => line.at > at + 1e-6);
  const [below, over] = [lines[next - 1], lines[next]];
  if (!below || !over) return next === 0 ? ends.before : ends.beyond;
  const part = (at - below.at) / (over.at - below.at);
  if (part < 0.06) return `${words.subject} on ${nameOf(lines, next - 1, words)}.`;
  if (part > 0.94) return `${words.subject} on ${nameOf(lines, next, words)}.`;
  return `${words.subject} between ${nameOf(lines, next - 1, words)} and ${nameOf(lines, next, words)}, ${nearness(part, words)}.`;
}
