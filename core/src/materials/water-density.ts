/**
 * Density of air-free water in g/mL at a temperature in °C. From 0 to 40 °C the CIPM formula (Tanaka et al., Metrologia 38 (2001)
 * 301); above, Kell, J. Chem. Eng. Data 20 (1975) 97.
 * @throws RangeError outside 0–100 °C.
 * @example waterDensity(20) // 0.998207
 */
export function waterDensity(celsius: number): number {
  if (!(celsius >= 0 && celsius <= 100))
    throw new RangeError(`celsius: water's density is known here from 0 to 100 °C, not at ${String(celsius)}.`);
  return celsius <= 40 ? tanaka(celsius) : kell(celsius);
}

function tanaka(t: number): number {
  return 0.99997495 * (1 - ((t - 3.983035) ** 2 * (t + 301.797)) / (522528.9 * (t + 69.34881)));
}

function kell(t: number): number {
  const above =
    999.83952 + t * (16.945176 + t * (-7.9870401e-3 + t * (-46.170461e-6 + t * (105.56302e-9 + t * -280.54253e-12))));
  return above / (1 + 16.87985e-3 * t) / 1000;
}
