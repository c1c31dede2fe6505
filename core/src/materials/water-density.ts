import { evaluateFormula } from '../uncertainty/graph/evaluate-formula.ts';

/**
 * Density of air-free water in g/mL from the temperature t in °C. Up to 40 °C the CIPM formula (Tanaka et al., Metrologia 38 (2001)
 * 301); above, Kell, J. Chem. Eng. Data 20 (1975) 97.
 */
const UP_TO_40 = '0.99997495 * (1 - (t - 3.983035)^2 * (t + 301.797) / (522528.9 * (t + 69.34881)))';
const ABOVE_40 =
  '(999.83952 + t * (16.945176 + t * (-7.9870401e-3 + t * (-46.170461e-6 + t * (105.56302e-9 + t * -280.54253e-12))))) / (1 + 16.87985e-3 * t) / 1000';

/**
 * The formula of water’s density that holds at a temperature t in °C.
 * @throws RangeError outside 0–100 °C.
 */
export function waterDensityFormula(celsius: number): string {
  if (!(celsius >= 0 && celsius <= 100))
    throw new RangeError(`celsius: water's density is known here from 0 to 100 °C, not at ${String(celsius)}.`);
  return celsius <= 40 ? UP_TO_40 : ABOVE_40;
}

/**
 * Density of air-free water in g/mL at a temperature in °C.
 * @throws RangeError outside 0–100 °C.
 * @example waterDensity(20) // 0.998207
 */
export function waterDensity(celsius: number): number {
  return evaluateFormula(waterDensityFormula(celsius), { t: celsius });
}
