import type { FunctionName } from '../../calculations/expression/expression.ts';

/** Value and partial derivatives at one point. */
export interface Differentiated {
  readonly value: number;
  readonly slopes: readonly number[];
}

/** One step of a calculation in double precision. */
export interface Operation {
  at(parts: readonly number[]): Differentiated;
  /** Values only, of many points at once: `out[i]` from `parts[…][i]`, for i below `count`. */
  fill(parts: readonly Float64Array[], out: Float64Array, count: number): void;
}

type Loop = (a: Float64Array, b: Float64Array, out: Float64Array, count: number) => void;

function ofTwo(at: (a: number, b: number) => Differentiated, loop: Loop): Operation {
  return {
    at: ([a = NaN, b = NaN]) => at(a, b),
    fill: ([a, b], out, count) => {
      if (a && b) loop(a, b, out, count);
    },
  };
}

function power(a: number, b: number): Differentiated {
  const value = a ** b;
  return { value, slopes: [b === 0 ? 0 : b * a ** (b - 1), value === 0 ? 0 : value * Math.log(a)] };
}

/* Loops over typed arrays, written out: each is as fast as one written by hand for its formula. */
export const ADD: Operation = ofTwo(
  (a, b) => ({ value: a + b, slopes: [1, 1] }),
  (a, b, out, count) => {
    for (let i = 0; i < count; i += 1) out[i] = (a[i] ?? 0) + (b[i] ?? 0);
  },
);

export const SUBTRACT: Operation = ofTwo(
  (a, b) => ({ value: a - b, slopes: [1, -1] }),
  (a, b, out, count) => {
    for (let i = 0; i < count; i += 1) out[i] = (a[i] ?? 0) - (b[i] ?? 0);
  },
);

export const MULTIPLY: Operation = ofTwo(
  (a, b) => ({ value: a * b, slopes: [b, a] }),
  (a, b, out, count) => {
    for (let i = 0; i < count; i += 1) out[i] = (a[i] ?? 0) * (b[i] ?? 0);
  },
);

export const DIVIDE: Operation = ofTwo(
  (a, b) => ({ value: a / b, slopes: [1 / b, -a / b ** 2] }),
  (a, b, out, count) => {
    for (let i = 0; i < count; i += 1) out[i] = (a[i] ?? 0) / (b[i] ?? 0);
  },
);

export const POWER: Operation = ofTwo(power, (a, b, out, count) => {
  for (let i = 0; i < count; i += 1) out[i] = (a[i] ?? 0) ** (b[i] ?? 0);
});

function ofOne(value: (x: number) => number, slope: (x: number) => number): Operation {
  return {
    at: ([x = NaN]) => ({ value: value(x), slopes: [slope(x)] }),
    fill: ([x], out, count) => {
      if (x) for (let i = 0; i < count; i += 1) out[i] = value(x[i] ?? 0);
    },
  };
}

/** x to a whole power, without the generality of any power. */
export function wholePower(exponent: number): Operation {
  const [value, slope] =
    exponent === 2
      ? [(x: number) => x * x, (x: number) => 2 * x]
      : exponent === 3
        ? [(x: number) => x * x * x, (x: number) => 3 * x * x]
        : [(x: number) => x ** exponent, (x: number) => (exponent === 0 ? 0 : exponent * x ** (exponent - 1))];
  return ofOne(value, slope);
}

/** slope · x + offset. */
export function affine(slope: number, offset: number): Operation {
  return ofOne(
    (x) => slope * x + offset,
    () => slope,
  );
}

export const OF_ONE: Readonly<Partial<Record<FunctionName, Operation>>> = {
  sqrt: ofOne(Math.sqrt, (x) => 0.5 / Math.sqrt(x)),
  ln: ofOne(Math.log, (x) => 1 / x),
  log10: ofOne(Math.log10, (x) => 1 / (x * Math.LN10)),
  exp: ofOne(Math.exp, Math.exp),
  sin: ofOne(Math.sin, Math.cos),
  cos: ofOne(Math.cos, (x) => -Math.sin(x)),
  tan: ofOne(Math.tan, (x) => 1 / Math.cos(x) ** 2),
  // At zero the slope is that of x.
  abs: ofOne(Math.abs, (x) => (x < 0 ? -1 : 1)),
};

/** Sum of any number of parts, times a factor: a mean with 1 ÷ n. */
export function weightedSum(factor: number): Operation {
  return {
    at: (parts) => ({
      value: parts.reduce((sum, part) => sum + part, 0) * factor,
      slopes: parts.map(() => factor),
    }),
    fill: (parts, out, count) => {
      out.fill(0, 0, count);
      for (const part of parts) for (let i = 0; i < count; i += 1) out[i] = (out[i] ?? 0) + (part[i] ?? 0);
      for (let i = 0; i < count; i += 1) out[i] = (out[i] ?? 0) * factor;
    },
  };
}

/** One of several parts, or the mean of two of them, by their order at each point. */
function byOrder(places: (count: number) => readonly number[]): Operation {
  return {
    at: (parts) => {
      const order = parts.map((value, index) => ({ value, index })).sort((a, b) => a.value - b.value);
      const chosen = places(parts.length).flatMap((place) => order[place] ?? []);
      return {
        value: chosen.reduce((sum, { value }) => sum + value, 0) / chosen.length,
        slopes: parts.map((_, i) => (chosen.some(({ index }) => index === i) ? 1 / chosen.length : 0)),
      };
    },
    fill: (parts, out, count) => {
      const here = new Float64Array(parts.length);
      const chosen = places(parts.length);
      for (let i = 0; i < count; i += 1) {
        for (let k = 0; k < parts.length; k += 1) here[k] = parts[k]?.[i] ?? NaN;
        here.sort();
        out[i] = chosen.reduce((sum, place) => sum + (here[place] ?? NaN), 0) / chosen.length;
      }
    },
  };
}

export const CHOOSE: Readonly<Record<'min' | 'max' | 'median', Operation>> = {
  min: byOrder(() => [0]),
  max: byOrder((count) => [count - 1]),
  median: byOrder((count) => [...new Set([Math.ceil(count / 2) - 1, Math.floor(count / 2)])]),
};

interface LineAt {
  readonly slope: number;
  readonly meanX: number;
  readonly meanY: number;
  readonly squares: number;
}

function lineThrough(count: number, y: (k: number) => number, x: (k: number) => number): LineAt {
  let [meanX, meanY] = [0, 0];
  for (let k = 0; k < count; k += 1) {
    meanX += x(k) / count;
    meanY += y(k) / count;
  }
  let [products, squares] = [0, 0];
  for (let k = 0; k < count; k += 1) {
    products += (x(k) - meanX) * (y(k) - meanY);
    squares += (x(k) - meanX) ** 2;
  }
  return { slope: products / squares, meanX, meanY, squares };
}

/** The line of least squares through points: the parts are all y, then all x. */
export function lineOf(what: 'slope' | 'intercept'): Operation {
  return {
    at: (parts) => {
      const n = parts.length / 2;
      const [y, x] = [(k: number) => parts[k] ?? NaN, (k: number) => parts[n + k] ?? NaN];
      const { slope, meanX, meanY, squares } = lineThrough(n, y, x);
      const members = Array.from({ length: n }, (_, k) => k);
      const byY = members.map((k) => (x(k) - meanX) / squares);
      const byX = members.map((k) => (y(k) - meanY - 2 * slope * (x(k) - meanX)) / squares);
      if (what === 'slope') return { value: slope, slopes: [...byY, ...byX] };
      return {
        value: meanY - slope * meanX,
        slopes: [...byY.map((s) => 1 / n - s * meanX), ...byX.map((s) => -slope / n - s * meanX)],
      };
    },
    fill: (parts, out, count) => {
      const n = parts.length / 2;
      for (let i = 0; i < count; i += 1) {
        const { slope, meanX, meanY } = lineThrough(
          n,
          (k) => parts[k]?.[i] ?? NaN,
          (k) => parts[n + k]?.[i] ?? NaN,
        );
        out[i] = what === 'slope' ? slope : meanY - slope * meanX;
      }
    },
  };
}
