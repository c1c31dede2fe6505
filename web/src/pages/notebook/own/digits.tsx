import type { WorkedStep } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../../numbers/decimal-mark.ts';

const SIGNS: Readonly<Record<string, string>> = { '+': '+', '-': '−' };

function decimalsOf(text: string): number {
  return text.includes('.') ? text.length - text.indexOf('.') - 1 : 0;
}

/** Digits in columns of their places, the doubtful one marked. */
function Line({
  text,
  sign,
  decimals,
  asked,
}: {
  readonly text: string;
  readonly sign: string;
  readonly decimals: number;
  readonly asked: boolean;
}): ReactNode {
  const numerals = useNumerals();
  const own = decimalsOf(text);
  const room = decimals - own + (own === 0 && decimals > 0 ? 1 : 0);
  const digits = numerals(text);
  return (
    <div className="flex justify-end font-mono text-2xl">
      <span className="mr-1">{sign}</span>
      <span>{digits.slice(0, -1)}</span>
      <span className="border-b-2 border-dotted border-doubt text-muted">{asked ? '?' : digits.slice(-1)}</span>
      <span aria-hidden="true" className="whitespace-pre">
        {' '.repeat(room)}
      </span>
    </div>
  );
}

interface DigitsProps {
  readonly steps: readonly WorkedStep[];
  /** Whether the last digit of the result is to be found by the student. */
  readonly asked: boolean;
}

/** Which digits of a result are known: a sum with its places under each other, anything else by what decides. */
export function Digits({ steps, asked }: DigitsProps): ReactNode {
  const numerals = useNumerals();
  const last = steps.at(-1);
  if (!last) return null;
  const sign = SIGNS[last.operation];
  const plain = [...last.operands, last.result].every(({ text }) => /^-?\d+(?:\.\d+)?$/.test(text));
  if (last.rule === 'places' && sign !== undefined && plain) {
    const decimals = Math.max(...last.operands.map(({ text }) => decimalsOf(text)));
    return (
      <div>
        <div aria-hidden="true" className="inline-block min-w-40">
          {last.operands.map(({ text }, i) => (
            <Line key={i} text={text} sign={i === 0 ? '' : sign} decimals={decimals} asked={false} />
          ))}
          <div className="mt-1 border-t-[1.5px] border-ink pt-1">
            <Line text={last.result.text} sign="" decimals={decimals} asked={asked} />
          </div>
        </div>
        <p className="mt-3 text-small text-muted">
          The doubtful digits stand under each other. The result ends where the first of them stands.
        </p>
      </div>
    );
  }
  const deciding = [...new Set(last.deciding.map((i) => last.operands[i]?.text ?? ''))].filter((text) => text !== '');
  if (deciding.length === 0) return <p className="text-small text-muted">{numerals(last.answer)}</p>;
  return (
    <p className="text-small text-muted">
      {last.rule === 'figures'
        ? 'The number with the fewest significant figures decides: '
        : 'This number decides where the result ends: '}
      <span className="font-mono text-base text-ink">{deciding.map((text) => numerals(text)).join(', ')}</span>.
    </p>
  );
}
