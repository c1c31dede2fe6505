import { calculate } from '../calculations/calculate.ts';
import type { Expression } from '../calculations/expression/expression.ts';
import { parseExpression } from '../calculations/expression/parse-expression.ts';
import { shortened } from '../numbers/written-number.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import { pointed } from './result.ts';

/** A quantity as it would be typed, bracketed so that it can stand anywhere. */
function typed(text: string, unit: string): string {
  return `(${text}${unit === '' ? '' : ` ${unit}`})`;
}

/** A part of an expression with every step inside it worked out and written down rounded. */
function steppedIn(node: Expression, rules: HouseRules): string {
  switch (node.kind) {
    case 'number':
      return typed(node.written.text, node.unit ?? '');
    case 'exact':
      return `exact${steppedIn(node.operand, rules)}`;
    case 'pi':
      return 'pi';
    case 'negate':
      return `(-${steppedIn(node.operand, rules)})`;
    case 'binary': {
      // An exponent is a whole number that stands for itself.
      const line =
        node.operator === '^'
          ? `${written(node.left, rules)}^${exponentIn(node.right)}`
          : `${written(node.left, rules)} ${node.operator} ${written(node.right, rules)}`;
      return line;
    }
    case 'call':
      return `${node.name}(${node.arguments.map((argument) => written(argument, rules)).join('; ')})`;
    case 'name':
    case 'convert':
      throw new RangeError(`“${shortened(node.kind)}” is no part of what was typed.`);
  }
}

function exponentIn(node: Expression): string {
  return node.kind === 'number' ? node.written.text : '1';
}

/** What a part comes to, rounded and written. */
function written(node: Expression, rules: HouseRules): string {
  const line = steppedIn(node, rules);
  if (node.kind !== 'binary' && node.kind !== 'call') return line;
  const { text, unit } = calculate(line, rules);
  return typed(text, unit);
}

/**
 * The last step of a working whose steps before it were each rounded as if they were results: `8.5 g / (3 mL)` for
 * `8.53 g / (24.2 mL - 21 mL)`. Nothing where there is only one step.
 */
export function roundedBetweenLine(line: string, rules: HouseRules): string[] {
  const [working = '', unit] = line.split('->');
  const tree = parseExpression(working);
  const parts = tree.kind === 'binary' ? [tree.left, tree.right] : tree.kind === 'call' ? tree.arguments : [];
  if (!parts.some(({ kind }) => kind === 'binary' || kind === 'call')) return [];
  const stepped = steppedIn(tree, pointed(rules));
  return [unit === undefined ? stepped : `${stepped} ->${unit}`];
}
