export type Surface = 'wetting' | 'domed' | 'flat';

/** Capillary length of water in mm, √(γ ÷ ρg) (de Gennes, Brochard-Wyart & Quéré, 2004, ch. 2). */
export const CAPILLARY_LENGTH = 2.7;

/**
 * Height in mm of the surface at the wall above its lowest point, for a liquid that wets: 3.8 mm·(1 − e^(−r ÷ 3.8 mm)). A domed
 * surface (contact angle about 120°, cos = −0.5) stands half as much below its top, hence the negative sign.
 * @param radius of the bore in mm.
 */
export function wallHeight(surface: Surface, radius: number): number {
  const climb = 3.8 * (1 - Math.exp(-radius / 3.8));
  if (surface === 'flat') return 0;
  return surface === 'wetting' ? climb : -climb / 2;
}

/** Modified Bessel function of the first kind, order 0, by its power series (Abramowitz & Stegun, 1964, 9.6.12). */
function besselI0(x: number): number {
  let [sum, term] = [1, 1];
  for (let k = 1; term > 1e-12 * sum; k += 1) {
    term *= (x / (2 * k)) ** 2;
    sum += term;
  }
  return sum;
}

/**
 * The surface's height in mm above its middle, from the axis to the wall, by the linear Young–Laplace equation in a cylinder,
 * z ∝ I₀(x ÷ capillary length) − 1, scaled to the height at the wall.
 * @returns points [distance from the axis, height], in mm.
 */
export function meniscusProfile(surface: Surface, radius: number, points = 48): [number, number][] {
  const atWall = besselI0(radius / CAPILLARY_LENGTH) - 1;
  const height = wallHeight(surface, radius);
  return Array.from({ length: points + 1 }, (_, i): [number, number] => {
    const x = radius * Math.sin((i / points) * (Math.PI / 2));
    return [x, (height * (besselI0(x / CAPILLARY_LENGTH) - 1)) / atWall];
  });
}
