import quantile from '@stdlib/stats-base-dists-t-quantile';

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
