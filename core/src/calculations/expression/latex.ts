import type { ChainLink } from '../../units/chain.ts';
import type { Expression } from './expression.ts';

const PRECEDENCE = { '+': 1, '-': 1, '*': 2, '/': 4, '^': 3 } as const;

function precedenceOf(tree: Expression): number {
  if (tree.kind === 'convert') return precedenceOf(tree.operand);
  if (tree.kind === 'binary') return PRECEDENCE[tree.operator];
  return tree.kind === 'negate' ? 1 : 5;
}

/** A unit or word set upright, with the characters that LaTeX treats specially escaped. */
function uprightLatex(text: string): string {
  const escaped = text.replace(/[\\{}$&#%_~^]/g, (character) =>
    character === '^' ? '\\char94 ' : character === '\\' ? '' : `\\${character}`,
  );
  return `\\mathrm{${escaped}}`;
}

/** A written number in LaTeX, its power of ten raised, and no gaps in a time: 1.50e3 → 1.50 \times 10^{3}. */
export function numberLatex(text: string): string {
  return text.replace(/e(-?\d+)$/, ' \\times 10^{$1}').replace(/:/g, '{:}');
}

/** A unit in LaTeX, powers raised: cm^3 → \mathrm{cm^{3}}. */
export function unitLatex(unit: string): string {
  return `\\mathrm{${unit
    .replace(/%/g, '\\%')
    .replace(/°/g, '{^\\circ}')
    .replace(/\^(-?\d+)/g, '^{$1}')
    .replace(/\*/g, '\\,')}}`;
}

/**
 * Typesets an expression in LaTeX, with divisions as stacked fractions and exact numbers under a bar.
 * @param nameLatex what stands for each name: a symbol, or its number with unit.
 */
export function latexOf(tree: Expression, nameLatex: (name: string) => string): string {
  const inside = (node: Expression, least: number): string => {
    const text = latexOf(node, nameLatex);
    return precedenceOf(node) < least ? `\\left(${text}\\right)` : text;
  };
  switch (tree.kind) {
    case 'number':
      return tree.unit === null || tree.unit.includes(':')
        ? numberLatex(tree.written.text)
        : `${numberLatex(tree.written.text)}\\,${unitLatex(tree.unit)}`;
    case 'name':
      return nameLatex(tree.name);
    case 'pi':
      return '\\pi';
    case 'exact':
      return `\\overline{${latexOf(tree.operand, nameLatex)}}`;
    case 'convert':
      return latexOf(tree.operand, nameLatex);
    case 'negate':
      return `-${inside(tree.operand, 2)}`;
    case 'call':
      if (tree.name === 'sqrt') return `\\sqrt{${tree.arguments.map((a) => latexOf(a, nameLatex)).join('')}}`;
      return `\\operatorname{${tree.name}}\\left(${tree.arguments.map((a) => latexOf(a, nameLatex)).join(',\\,')}\\right)`;
    case 'binary':
      if (tree.operator === '/') return `\\dfrac{${latexOf(tree.left, nameLatex)}}{${latexOf(tree.right, nameLatex)}}`;
      if (tree.operator === '^') return `{${inside(tree.left, 5)}}^{${latexOf(tree.right, nameLatex)}}`;
      if (tree.operator === '*') return `${inside(tree.left, 2)} \\times ${inside(tree.right, 2)}`;
      return `${inside(tree.left, 1)} ${tree.operator} ${inside(tree.right, tree.operator === '-' ? 2 : 1)}`;
  }
}

const GREEK = [
  'alpha',
  'beta',
  'gamma',
  'delta',
  'epsilon',
  'eta',
  'theta',
  'kappa',
  'lambda',
  'mu',
  'nu',
  'rho',
  'sigma',
  'tau',
  'phi',
  'omega',
];
const GREEK_LETTERS: Readonly<Record<string, string>> = {
  α: 'alpha',
  β: 'beta',
  γ: 'gamma',
  δ: 'delta',
  ε: 'epsilon',
  η: 'eta',
  θ: 'theta',
  κ: 'kappa',
  λ: 'lambda',
  μ: 'mu',
  ν: 'nu',
  ρ: 'rho',
  σ: 'sigma',
  τ: 'tau',
  φ: 'phi',
  ω: 'omega',
};

/** A name as it is typeset: one letter in italics, Greek by name or letter, what follows a letter or a low line as an index, words upright. */
export function nameLatex(name: string): string {
  const [, stem = name, index = ''] = /^(.+?)_?(\d+|(?<=_).+)?$/u.exec(name) ?? [];
  const letter = GREEK.includes(stem)
    ? `\\${stem}`
    : GREEK_LETTERS[stem] !== undefined
      ? `\\${GREEK_LETTERS[stem]}`
      : /^\p{L}$/u.test(stem)
        ? stem
        : uprightLatex(stem);
  return index === '' ? letter : `${letter}_{${uprightLatex(index)}}`;
}

/** A number with its unit, as it is written in LaTeX. */
export function quantityLatex(text: string, unit: string): string {
  return unit === '' ? numberLatex(text) : `${numberLatex(text)}\\,${unitLatex(unit)}`;
}

const struckUnit = (unit: string, stays: ReadonlySet<string>): string => {
  const symbols = unit
    .split(/([*/])/)
    .map((part) =>
      part === '*' || part === '/'
        ? part
        : stays.has(part.replace(/\^.*/, ''))
          ? unitLatex(part)
          : `\\cancel{${unitLatex(part)}}`,
    );
  return symbols.join('').replace(/\*/g, '\\,');
};

/** A conversion as a chain of fractions, each worth one, with the units that cancel struck through. */
export function chainLatex(
  from: { readonly text: string; readonly unit: string },
  chain: readonly ChainLink[],
  toUnit: string,
): string {
  const stays = new Set(toUnit.split(/[*/]/).map((part) => part.replace(/\^.*/, '')));
  const side = ({ count, unit }: ChainLink['above'], exact: boolean): string =>
    `${exact && count !== '1' ? `\\overline{${count}}` : count}\\,${struckUnit(unit, stays)}`;
  const fractions = chain.map(({ above, below, power, exact }) => {
    const fraction = `\\dfrac{${side(above, exact)}}{${side(below, exact)}}`;
    return power === 1 ? fraction : `\\left(${fraction}\\right)^{${power}}`;
  });
  return [`${numberLatex(from.text)}\\,${struckUnit(from.unit, stays)}`, ...fractions].join(' \\times ');
}
