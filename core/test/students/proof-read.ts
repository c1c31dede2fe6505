import type { Marked } from '../../src/index.ts';
import type { TableExercise } from '../../src/exercises/exercise.ts';

/** A proof-reader: goes through a table with nothing but what it shows, and marks what is wrong. */
export function proofRead({ headings, rows, story }: Pick<TableExercise, 'headings' | 'rows' | 'story'>): Marked[] {
  const columns = headings.length;
  const cell = (row: number, column: number): number => row * columns + column + 1;
  const number = (text: string): number => Number(text.replace('−', '-').replace(/[^\d.-].*$/, ''));
  const places = (text: string): number => (/^[−\d]*\.?(\d*)/.exec(text)?.[1] ?? '').length;
  const marks: Marked[] = [];
  const mark = (row: number, column: number, fault: string): void => {
    marks.push({ cell: cell(row, column), fault });
  };
  if (headings[1] === 'Working') {
    const results = rows.map((row) => row[2]!);
    rows.forEach(([quantity, working], i) => {
      const line = working!;
      const operands = line.match(/−?\d+(\.\d+)?/g)!.map((text) => Number(text.replace('−', '-')));
      if (line.includes('cm/in') && !line.includes('2.54 cm/in')) mark(i + 1, 1, 'wrong-factor');
      // What is gone on with must be what came out before.
      const before = i > 0 ? number(results[i - 1]!) : null;
      if ((quantity === 'Volume' || quantity === 'Difference') && operands[0] !== before)
        mark(i + 1, 1, 'rounded-on-the-way');
      if (
        quantity === 'Percent error' &&
        operands[1] !== number(/density of its material is ([\d.]+)/.exec(story)![1]!)
      )
        mark(i + 1, 1, 'wrong-base');
      if (quantity === 'Mass' || quantity === 'Difference') {
        const right = operands[0]! - Math.abs(operands[1]!);
        if (Math.abs(right - number(results[i]!)) > 1e-6) mark(i + 1, 2, 'wrong-result');
        else if (quantity === 'Mass' && places(results[i]!) < 2) mark(i + 1, 2, 'zero-dropped');
      }
    });
    return marks;
  }
  headings.forEach((heading, column) => {
    if (!['Run', 'Pebble'].includes(heading) && !heading.includes(' / ')) mark(0, column, 'heading-without-unit');
  });
  const derived = columns === 4 ? 3 : null;
  rows.forEach((row, i) => {
    row.forEach((text, column) => {
      const longest = Math.max(...rows.map((other) => places(other[column]!)));
      if (column > 0 && places(text) < longest)
        mark(i + 1, column, column === derived ? 'zero-dropped' : 'uneven-decimals');
      if (headings[column]!.startsWith('Water') && number(text) > 101) mark(i + 1, column, 'impossible-value');
    });
    if (derived === null) return;
    const [first, second, result] = [number(row[1]!), number(row[2]!), number(row[3]!)];
    if (headings[0] === 'Run') {
      if (result < 0) mark(i + 1, 3, 'impossible-value');
      else if (Math.abs(second - first - result) > 1e-6) mark(i + 1, 3, 'wrong-result');
    } else if (Math.abs(first / second - result) > 0.0051) mark(i + 1, 3, 'wrong-result');
  });
  return marks;
}
