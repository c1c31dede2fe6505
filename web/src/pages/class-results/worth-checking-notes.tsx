import type { ClassResults } from '@green-beam/contract';
import { worthChecking, type MadeWith } from '@green-beam/core';
import { useMemo, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { unitText } from '../../numbers/unit-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { factorInWords, listed, TOO_FEW } from './in-words.ts';
import type { ComparedResult } from './result-rows.ts';

interface WorthCheckingProps {
  readonly found: ClassResults;
  readonly compared: ComparedResult;
  /** Where a tool of the cabinet is checked, by its code; null for one that is not. */
  readonly checkAt: (code: string) => string | null;
}

/** A tool by its code, a choice in words. */
function nameOf({ kind, name, choice }: MadeWith, options: ClassResults['options']): string {
  if (kind === 'tool') return name;
  const option = options.find(({ id }) => id === name);
  return `“${option?.name ?? name} ${option?.choices.find(({ id }) => id === choice)?.name ?? choice ?? ''}”`;
}

/** Tools and choices that part the groups by more than chance would. */
export function WorthChecking({ found, compared, checkAt }: WorthCheckingProps): ReactNode {
  const numerals = useNumerals();
  const factors = useMemo(
    () =>
      worthChecking(
        compared.rows.map(({ group, result }) => ({
          group: group.letter,
          value: result.value,
          tools: group.tools,
          choices: group.choices,
        })),
      ),
    [compared],
  );
  const unit = unitText(compared.unit);
  const worth = factors.filter(({ isWorthChecking }) => isWorthChecking);
  if (factors.length === 0) return <p className="text-small text-muted">{TOO_FEW}</p>;
  if (worth.length === 0)
    return (
      <p className="text-small text-muted">
        No tool and no choice goes with higher or lower results by more than chance ({factors.length} looked at).
      </p>
    );
  return (
    <ul className="flex flex-col gap-3">
      {worth.map((factor) => {
        const named = (things: readonly MadeWith[]): string => listed(things.map((one) => nameOf(one, found.options)));
        const checks = [...factor.had, ...factor.against].flatMap(({ kind, name }) => {
          const to = kind === 'tool' ? checkAt(name) : null;
          return to ? [{ name, to }] : [];
        });
        return (
          <li key={named(factor.had)}>
            <Notice tone="doubt">
              <p>
                <strong>
                  Worth checking {named(factor.had)}
                  {factor.against.length > 0 && ` against ${named(factor.against)}`}.
                </strong>{' '}
                {numerals(factorInWords(factor, unit))}
              </p>
              {checks.length > 0 && (
                <p className="mt-1">
                  Check with a standard mass:{' '}
                  {checks.map(({ name, to }) => (
                    <Link
                      key={name}
                      to={to}
                      className="mr-3 inline-flex min-h-6 items-center font-semibold underline underline-offset-4"
                    >
                      {name}
                    </Link>
                  ))}
                </p>
              )}
            </Notice>
          </li>
        );
      })}
    </ul>
  );
}
