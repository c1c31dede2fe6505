/**
 * Moves the decimal point of a plainly written number, keeping its digits: ('52.6', 1) → '526', ('52.6', −2) → '0.526',
 * ('52', 2) → '5200'.
 */
export function shiftedByPowers(text: string, power: number): string {
  const sign = text.startsWith('-') ? '-' : '';
  const [whole = '', decimals = ''] = text.replace('-', '').split('.');
  const digits = whole + decimals;
  const point = whole.length + power;
  const padded = point <= 0 ? '0'.repeat(1 - point) + digits : digits.padEnd(point, '0');
  const at = Math.max(1, point);
  const rest = padded.slice(at);
  return sign + padded.slice(0, at).replace(/^0+(?=\d)/, '') + (rest === '' ? '' : `.${rest}`);
}
