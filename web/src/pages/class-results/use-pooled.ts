import { pool, uncertaintyPlace, writtenAtPlace, type HouseRules, type Pool } from '@green-beam/core';
import { useMemo } from 'react';
import type { ComparedResult } from './result-rows.ts';

interface Pooled extends Pool {
  /** A value as it is written: to the place of the uncertainty of all together. */
  readonly textOf: (value: number) => string;
}

/** One result of all groups, put together. */
export function usePooled(compared: ComparedResult, rules: HouseRules): Pooled {
  const pooled = useMemo(
    () =>
      pool(
        compared.rows.map(({ group, result }) => ({
          group: group.letter,
          value: result.value,
          variance: result.variance,
        })),
      ),
    [compared],
  );
  const { together } = pooled;
  const last = Math.min(...compared.rows.flatMap(({ result }) => result.place ?? []));
  const place =
    together && together.standard > 0 ? uncertaintyPlace(together.standard, rules.uncertaintyFigures) : last;
  return {
    ...pooled,
    textOf: (value) => (Number.isFinite(place) ? writtenAtPlace(value, place, rules.rounding) : String(value)),
  };
}
