/** A seeded source of randomness. Core never makes its own: it is handed one. */
export interface Random {
  /** Uniform in [0, 1). */
  uniform(): number;
  /** Standard normal. */
  normal(): number;
  /** Whole number in [0, below). */
  below(limit: number): number;
  /** One of the items. */
  pick<T>(items: readonly [T, ...T[]]): T;
}

/** Spreads a 53-bit seed over four words, so that neighbouring seeds give unrelated streams (splitmix32). */
function seedWords(seed: number): Uint32Array {
  const words = new Uint32Array(4);
  let state = (seed ^ Math.floor(seed / 4294967296)) >>> 0;
  for (let i = 0; i < 4; i += 1) {
    state = (state + 0x9e3779b9) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 16), 0x21f0aaad);
    mixed = Math.imul(mixed ^ (mixed >>> 15), 0x735a2d97);
    words[i] = mixed ^ (mixed >>> 15);
  }
  return words;
}

/**
 * The generator sfc32 (C. Doty-Humphrey, PractRand, 2010) with normals by the polar method (Marsaglia & Bray, SIAM Rev. 6 (1964) 260).
 * @param seed a whole number from 0 to 2⁵³ − 1.
 * @throws RangeError naming the seed.
 */
export function seededRandom(seed: number): Random {
  if (!Number.isSafeInteger(seed) || seed < 0)
    throw new RangeError(`seed: ${String(seed)} is not a whole number from 0 to 9007199254740991.`);
  let [a = 0, b = 0, c = 0, counter = 1] = seedWords(seed);
  const word = (): number => {
    const sum = (a + b + counter) | 0;
    counter = (counter + 1) | 0;
    a = b ^ (b >>> 9);
    b = (c + (c << 3)) | 0;
    c = (((c << 21) | (c >>> 11)) + sum) | 0;
    return sum >>> 0;
  };
  for (let i = 0; i < 15; i += 1) word();
  const uniform = (): number => ((word() >>> 5) * 67108864 + (word() >>> 6)) / 9007199254740992;
  const normal = (): number => {
    for (;;) {
      const [u, v] = [2 * uniform() - 1, 2 * uniform() - 1];
      const square = u * u + v * v;
      if (square > 0 && square < 1) return u * Math.sqrt((-2 * Math.log(square)) / square);
    }
  };
  const below = (limit: number): number => Math.floor(uniform() * limit);
  return { uniform, normal, below, pick: (items) => items[below(items.length)] ?? items[0] };
}
