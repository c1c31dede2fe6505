import type { ReactNode } from 'react';
import { useNumerals } from './decimal-mark.ts';
import { spokenNumber } from './spoken.ts';

interface MeasuredNumberProps {
  /** The digits as written: `8.7`, `46.0`, `4.0e2`. */
  readonly text: string;
  readonly unit?: string;
  /** Digits carried beyond those that count; in workings only. */
  readonly guard?: string;
  readonly exact?: boolean;
  /** Written to the same place as the number. */
  readonly uncertainty?: string;
  readonly struck?: boolean;
  /** Whether what stands around it says the number: then nothing is said here. */
  readonly isSaidAround?: boolean;
  readonly className?: string;
}

/** The doubtful digit: lighter, with a dotted rule under it. */
function Doubtful({ digit }: { readonly digit: string }): ReactNode {
  return (
    <span className="text-muted underline decoration-doubt decoration-dotted decoration-2 underline-offset-[0.28em]">
      {digit}
    </span>
  );
}

function Digits({ text, exact }: { readonly text: string; readonly exact: boolean }): ReactNode {
  const numerals = useNumerals();
  const [mantissa = '', exponent] = numerals(text).replace('-', '−').split('e');
  return (
    <>
      {exact ? (
        <span className="overline decoration-1">{mantissa}</span>
      ) : (
        <>
          {mantissa.slice(0, -1)}
          <Doubtful digit={mantissa.slice(-1)} />
        </>
      )}
      {exponent !== undefined && (
        <>
          {' '}
          × 10<sup>{exponent.replace('-', '−')}</sup>
        </>
      )}
    </>
  );
}

/** A unit with its powers raised, upright, after a thin space. */
function UnitMark({ unit }: { readonly unit: string }): ReactNode {
  const parts = unit.split(/\^(-?\d+)/);
  return (
    <span className="font-sans text-[max(0.72em,0.8125rem)] text-muted">
      {parts.map((part, i) => (i % 2 === 1 ? <sup key={part + String(i)}>{part}</sup> : part))}
    </span>
  );
}

/** The one way in which a measured or computed number is shown anywhere in the application. */
export function MeasuredNumber({
  text,
  unit = '',
  guard = '',
  exact = false,
  uncertainty,
  struck = false,
  isSaidAround = false,
  className = '',
}: MeasuredNumberProps): ReactNode {
  const numerals = useNumerals();
  const look = `font-mono whitespace-nowrap ${struck ? 'text-slip line-through' : ''} ${className}`;
  const seen = (
    <>
      {struck ? numerals(text) : <Digits text={text} exact={exact} />}
      {guard !== '' && <span className="text-[0.85em] text-dim">{guard}</span>}
      {uncertainty !== undefined && (
        <>
          {' '}
          ± <Digits text={uncertainty} exact={false} />
        </>
      )}
      {unit !== '' && (
        <>
          <span className="font-sans">{'\u2009'}</span>
          <UnitMark unit={unit} />
        </>
      )}
    </>
  );
  // A table of hundreds of numbers is drawn at every key: what says them once more is left out where it can be.
  if (isSaidAround)
    return (
      <span aria-hidden="true" className={look}>
        {seen}
      </span>
    );
  const spoken = spokenNumber(numerals(text), uncertainty === undefined ? unit : '', exact);
  return (
    <span className={look}>
      <span aria-hidden="true">{seen}</span>
      <span className="sr-only">{`${struck ? 'struck through: ' : ''}${spoken}${uncertainty === undefined ? '' : ` plus or minus ${spokenNumber(numerals(uncertainty), unit, false)}`}`}</span>
    </span>
  );
}
