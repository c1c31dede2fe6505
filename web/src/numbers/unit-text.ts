const RAISED = ['⁰', '¹', '²', '³', '⁴', '⁵', '⁶', '⁷', '⁸', '⁹'];

/** A unit in running text, with its powers raised: `g/cm³` for `g/cm^3`. */
export function unitText(unit: string): string {
  return unit
    .replace(
      /\^(-?)(\d+)/g,
      (_, sign: string, power: string) =>
        (sign === '' ? '' : '⁻') + power.replace(/\d/g, (digit) => RAISED[Number(digit)] ?? digit),
    )
    .replace(/\*/g, ' ');
}
