import { writtenAtPlace, type PooledTool } from '@green-beam/core';
import { placeOf } from './in-words.ts';

const named = (tools: readonly PooledTool[]): string => tools.map(({ name }) => name).join(' and ');

/** Tools that repeat well, and are off by more than their maker allows: precise, and wrong every time. */
function preciseAndWrong(tools: readonly PooledTool[]): PooledTool[] {
  return tools.filter(
    ({ byTolerance, spread, error }) => byTolerance === 'beyond' && spread !== null && Math.abs(error) > 2 * spread,
  );
}

/** What a class found of its tools, in two or three sentences: precise and accurate are two things. */
export function classInWords(tools: readonly PooledTool[]): string {
  const most = tools.filter(({ accuracy }) => accuracy === 1);
  const steady = tools.filter(({ precision }) => precision === 1);
  const same = named(most) === named(steady);
  const first = same
    ? `The ${named(most)} is both the most accurate and the most precise.`
    : `Most accurate: the ${named(most)}.${steady.length > 0 ? ` Most precise: the ${named(steady)}.` : ''}`;
  const wrong = preciseAndWrong(tools).map(({ name, error, spread, unit }) => {
    const size = writtenAtPlace(Math.abs(error), placeOf(spread, error));
    return `The ${name} repeats well and is still ${size} ${unit} too ${error < 0 ? 'low' : 'high'}.`;
  });
  return [first, ...wrong].join(' ');
}
