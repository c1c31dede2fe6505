import { CLOCK } from '../units/unit.ts';
import type { Expression } from './expression.ts';

const PRECEDENCE = { '+': 1, '-': 1, '*': 2, '/': 4, '^': 3 } as const;

function precedenceOf(tree: Expression): number {
  if (tree.kind === 'convert') return precedenceOf(tree.operand);
  if (tree.kind === 'binary') return PRECEDENCE[tree.operator];
  return tree.kind === 'negate' ? 1 : 5;
}

/** A unit or word set upright, with the characters that LaTeX treats specially escaped. */
export function uprightLatex(text: string): string {
  const escaped = text.replace(/[\\{}$&#%_~^]/g, (character) => (character === '^' ? '\\char94 ' : character === '\\' ? '' : `\\${character}`));
  return `\\mathrm{${escaped}}`;
}

/** A written number in LaTeX, its power of ten raised: 1.50e3 → 1.50 \times 10^{3}. */
export function numberLatex(text: string): string {
  return text.replace(/e(-?\d+)$/, ' \\times 10^{$1}');
}

/** A unit in LaTeX, powers raised: cm^3 → \mathrm{cm^{3}}. */
export function unitLatex(unit: string): string {
  return `\\mathrm{${unit.replace(/%/g, '\\%').replace(/°/g, '{^\\circ}').replace(/\^(-?\d+)/g, '^{$1}').replace(/\*/g, '\\,')}}`;
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
      return tree.unit === null || tree.unit === CLOCK ? numberLatex(tree.written.text) : `${numberLatex(tree.written.text)}\\,${unitLatex(tree.unit)}`;
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
