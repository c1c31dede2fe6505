import { describe, expect, it } from 'vitest';
import { convert } from '../convert.ts';
import { chainLatex, nameLatex, quantityLatex } from './latex.ts';

describe('names as they are typeset', () => {
  it.each([
    ['m', 'm'],
    ['rho', '\\rho'],
    ['ρ', '\\rho'],
    ['V1', 'V_{\\mathrm{1}}'],
    ['V_after', 'V_{\\mathrm{after}}'],
    ['mass', '\\mathrm{mass}'],
    ['mass_2', '\\mathrm{mass}_{\\mathrm{2}}'],
  ])('%s as %s', (name, latex) => {
    expect(nameLatex(name)).toBe(latex);
  });
});

describe('quantities and chains', () => {
  it('write powers of ten and units upright', () => {
    expect(quantityLatex('2.6e3', 'kg/m^3')).toBe('2.6 \\times 10^{3}\\,\\mathrm{kg/m^{3}}');
    expect(quantityLatex('0:31:33', '')).toBe('0{:}31{:}33');
  });

  it('strike the units that cancel, and no others', () => {
    const { from, chain, unit } = convert('335 cm^2', 'in^2');
    expect(chainLatex(from, chain, unit)).toBe(
      '335\\,\\cancel{\\mathrm{cm^{2}}} \\times \\left(\\dfrac{1\\,\\mathrm{in}}{\\overline{2.54}\\,\\cancel{\\mathrm{cm}}}\\right)^{2}',
    );
  });

  it('bar exact factors, and leave a quoted one as the class wrote it', () => {
    const { from, chain, unit } = convert('2.50 lb', 'g', { quotedFactors: ['1 lb = 454 g'] });
    expect(chainLatex(from, chain, unit)).toBe(
      '2.50\\,\\cancel{\\mathrm{lb}} \\times \\dfrac{454\\,\\mathrm{g}}{1\\,\\cancel{\\mathrm{lb}}}',
    );
  });
});
