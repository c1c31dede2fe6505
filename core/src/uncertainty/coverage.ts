import type { HouseRules } from '../rules/house-rules.ts';
import { studentT95 } from '../statistics/student-t.ts';

/**
 * Effective degrees of freedom of a combined uncertainty in which only the repeats have a finite number (Welch, 1947; Satterthwaite,
 * 1946; JCGM 100:2008, G.4.1).
 * @param repeats how many values the scatter was found from.
 * @param repeatShare the repeats' share of the variance, 0 to 1.
 */
export function effectiveDegreesOfFreedom(repeats: number, repeatShare: number): number {
  return repeats < 2 || repeatShare <= 0 ? Infinity : (repeats - 1) / repeatShare ** 2;
}

/** The factor between the standard uncertainty and the one that is quoted, by the class's rule. */
export function coverageFactor(rules: HouseRules, degreesOfFreedom: number): number {
  switch (rules.coverage) {
    case 'one-standard-uncertainty':
      return 1;
    case 'expanded-k-2':
      return 2;
    case 'students-t-95':
      return studentT95(degreesOfFreedom);
  }
}
