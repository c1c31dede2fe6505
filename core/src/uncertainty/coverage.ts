import quantile from '@stdlib/stats-base-dists-t-quantile';
import type { HouseRules } from '../rules/house-rules.ts';

/** 97.5 % quantile of the standard normal distribution. */
const NORMAL_95 = 1.959963984540054;

/**
 * The factor by which a standard uncertainty is multiplied for a symmetric 95 % interval: the 97.5 % quantile of Student's t (Student, 1908).
 * @param degreesOfFreedom above 0, not necessarily whole; Infinity gives the normal distribution's 1.960.
 * @throws RangeError naming the degrees of freedom when they are not above 0.
 */
export function studentT95(degreesOfFreedom: number): number {
  if (!(degreesOfFreedom > 0)) throw new RangeError(`degreesOfFreedom: ${degreesOfFreedom} is not above 0.`);
  return degreesOfFreedom === Infinity ? NORMAL_95 : quantile(0.975, degreesOfFreedom);
}

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
