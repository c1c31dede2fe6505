import type { HouseRules } from '../rules/house-rules.ts';
import { isTen, wholeNumberIn, type Expression } from './expression/expression.ts';

const AMBIGUOUS: Readonly<Record<HouseRules['bareTrailingZeros'], string>> = {
  flag: 'its zeros may be measured or not, and are not counted; write a point or a power of ten to say which.',
  'not-significant': 'its zeros do not count in this class.',
  'want-point': 'its zeros do not count; this class writes a point after the last measured zero.',
  'want-scientific': 'its zeros do not count; this class writes a power of ten.',
};

/** What is to be said about the numbers an expression was typed with. */
export function notesOn(tree: Expression, rules: HouseRules): string[] {
  const notes: string[] = [];
  const visit = (node: Expression, exact: boolean): void => {
    if (node.kind === 'number') {
      const { written, unit } = node;
      if (exact || (unit === '%' && written.text === '100')) return;
      if (written.atLeast !== written.atMost)
        notes.push(
          `${written.text} has ${written.atLeast} to ${written.atMost} figures: ${AMBIGUOUS[rules.bareTrailingZeros]}`,
        );
      else if (unit === null && written.atMost === 1 && written.value.isInteger() && !written.value.isZero())
        notes.push(
          `${written.text} counts as measured, with one figure. If it is a count or a definition, write exact(${written.text}).`,
        );
    } else if (node.kind === 'binary') {
      visit(node.left, exact || (node.operator === '^' && isTen(node.left)));
      visit(node.right, exact || (node.operator === '^' && wholeNumberIn(node.right) !== null));
    } else if (node.kind === 'call') node.arguments.forEach((argument) => visit(argument, exact));
    else if (node.kind === 'negate' || node.kind === 'convert') visit(node.operand, exact);
  };
  visit(tree, false);
  return [...new Set(notes)];
}
