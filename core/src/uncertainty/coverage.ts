import type { HouseRules } from '../rules/house-rules.ts';

/** Natural logarithm of the gamma function by Lanczos' series with g = 7 and nine terms (Lanczos, 1964); relative error below 1e−13. */
function logGamma(x: number): number {
  const terms = [
    676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059, 12.507343278686905,
    -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
  ];
  const sum = terms.reduce((total, term, i) => total + term / (x + i), 0.99999999999980993);
  const t = x + 6.5;
  return 0.5 * Math.log(2 * Math.PI) + (x - 0.5) * Math.log(t) - t + Math.log(sum);
}

/** The regularised incomplete beta function by its continued fraction in Lentz's form (DLMF 8.17.22), for x below (a + 1) ÷ (a + b + 2). */
function incompleteBeta(x: number, a: number, b: number): number {
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log1p(-x)) / a;
  let [c, d, fraction] = [1, 1 / (1 - ((a + b) * x) / (a + 1)), 0];
  fraction = d;
  for (let m = 1; m <= 500; m += 1) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / (1 + even * d);
    c = 1 + even / c;
    fraction *= c * d;
    d = 1 / (1 + odd * d);
    c = 1 + odd / c;
    const step = c * d;
    fraction *= step;
    if (Math.abs(step - 1) < 1e-14) break;
  }
  return front * fraction;
}

/** Probability that |T| of Student's distribution exceeds t, for t ≥ 0. */
function twoTailed(t: number, degreesOfFreedom: number): number {
  const [a, b] = [degreesOfFreedom / 2, 0.5];
  const x = degreesOfFreedom / (degreesOfFreedom + t * t);
  return x < (a + 1) / (a + b + 2) ? incompleteBeta(x, a, b) : 1 - incompleteBeta(1 - x, b, a);
}

const NORMAL_95 = 1.959963984540054;

/**
 * The factor by which a standard uncertainty is multiplied for a symmetric 95 % interval: the 97.5 % quantile of Student's t (Student, 1908).
 * @param degreesOfFreedom above 0, not necessarily whole; Infinity gives the normal distribution's 1.960.
 * @throws RangeError naming the degrees of freedom when they are not above 0.
 */
export function studentT95(degreesOfFreedom: number): number {
  if (!(degreesOfFreedom > 0)) throw new RangeError(`degreesOfFreedom: ${degreesOfFreedom} is not above 0.`);
  if (degreesOfFreedom > 1e7) return NORMAL_95;
  let [low, high] = [NORMAL_95, 2 * NORMAL_95];
  while (twoTailed(high, degreesOfFreedom) > 0.05) [low, high] = [high, 2 * high];
  for (let i = 0; i < 200 && high - low > 1e-12 * high; i += 1) {
    const middle = (low + high) / 2;
    if (twoTailed(middle, degreesOfFreedom) > 0.05) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
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
