import type { ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { digitsInWords, type DigitsShown, type Room } from './room-in-words.ts';

interface DigitsAgreeProps {
  readonly room: Room;
  readonly shown: DigitsShown;
  readonly of: number;
}

/** The digits that the room agrees on, lit up one by one, and the one that scatters. */
export function DigitsAgree({ room, shown, of }: DigitsAgreeProps): ReactNode {
  const numerals = useNumerals();
  const certain = Array.from(numerals(shown.certain.replace('-', '−')));
  return (
    <div aria-live="polite">
      <p className="font-mono text-7xl font-bold">
        {certain.map((digit, i) => (
          <span
            key={i}
            className="animate-[appear_0.3s_both] text-beam motion-reduce:animate-none"
            style={{ animationDelay: `${i * 0.35}s` }}
          >
            {digit}
          </span>
        ))}
        {shown.doubtful !== null && (
          <span
            className="animate-[appear_0.3s_both] font-normal text-muted underline decoration-doubt decoration-dotted decoration-4 underline-offset-[0.2em] motion-reduce:animate-none"
            style={{ animationDelay: `${certain.length * 0.35}s` }}
          >
            {shown.doubtful}
          </span>
        )}
      </p>
      <p className="mt-4 text-xl">{numerals(digitsInWords(room, of))}</p>
    </div>
  );
}
