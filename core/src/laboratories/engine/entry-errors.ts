import { hasZeroError } from '../../statistics/check-mass.ts';
import type { Quantity, QuantityWithUnit } from '../protocol/protocol.ts';
import { cellKey, membersOf, type Members } from '../run/address.ts';
import type { ToolInRun } from '../run/tool-in-run.ts';
import type { Cell } from './cell.ts';
import { perToolUnit } from './entry-cell.ts';
import { readingHalfWidth, readingRule, rectangle, type BaseInputs, type InputLabel } from './inputs.ts';
import type { Numbers } from './numbers.ts';

/** The errors of what was entered: of a reading, of its tool, of what is given or counted. */
export class EntryErrors {
  constructor(
    private readonly numbers: Numbers,
    private readonly inputs: BaseInputs,
  ) {}

  /** What is uncertain in an entry. */
  of(quantity: QuantityWithUnit, place: Members, cell: Cell | undefined): number[] {
    if (cell?.kind === 'entry' && cell.linkedTo) {
      // A reading that was not taken again has no error of its own.
      const source = this.numbers.setting.layout.quantities.get(cell.linkedTo.quantity);
      return source?.kind === 'read' ? this.of(source, cell.linkedTo.members, { ...cell, linkedTo: null }) : [];
    }
    const own = this.identityOf(quantity, place);
    const label = (kind: InputLabel['kind'], tool: string | null = null): InputLabel => ({
      kind,
      quantity: quantity.id,
      members: own,
      tool,
    });
    const simple = (kind: 'given' | 'counted' | 'reading', halfWidth = 0): number[] =>
      halfWidth > 0
        ? [this.inputs.at(`${kind}|${cellKey(quantity.id, own)}`, () => rectangle(label(kind), halfWidth))]
        : [];
    switch (quantity.kind) {
      case 'read':
        return cell?.kind === 'entry'
          ? [
              ...(cell.tool ? this.readingErrors(quantity, own, cell.tool) : []),
              ...this.adjustmentErrors(quantity, place, cell),
            ]
          : [];
      case 'given':
        return simple('given', quantity.halfWidth);
      case 'counted':
        return simple('counted', quantity.halfWidth);
      case 'timed':
        return simple('reading', quantity.halfWidth);
      case 'predicted':
      case 'computed':
      case 'looked-up':
        return [];
    }
  }

  /** Readings are one error where only the repeat differs, and separate where the thing does. */
  private identityOf({ over }: Quantity, place: Members): Members {
    const { dimensions } = this.numbers.setting.layout;
    return membersOf(
      place,
      over.filter((dimension) => dimensions.get(dimension)?.kind !== 'repeat'),
    );
  }

  /** What was added to one reading is known by itself, whichever repeat it belongs to. */
  private adjustmentErrors(
    quantity: QuantityWithUnit,
    members: Members,
    { adjustment }: Extract<Cell, { kind: 'entry' }>,
  ): number[] {
    const halfWidth = adjustment?.halfWidth ?? 0;
    if (halfWidth === 0) return [];
    const label: InputLabel = { kind: 'adjustment', quantity: quantity.id, members, tool: null };
    return [this.inputs.at(`adjustment|${cellKey(quantity.id, members)}`, () => rectangle(label, halfWidth))];
  }

  private readingErrors(quantity: QuantityWithUnit, own: Members, tool: ToolInRun): number[] {
    const { rules } = this.numbers.setting;
    const { instrument, code } = tool;
    const name = code ?? `the ${instrument.name}`;
    const perUnit = perToolUnit(tool, quantity.unit).toNumber();
    const halfWidth = readingHalfWidth(tool, rules) * perUnit;
    const at = cellKey(quantity.id, own);
    const errors: number[] = [];
    if (halfWidth > 0)
      errors.push(
        this.inputs.at(`reading|${instrument.id}|${name}|${at}`, () =>
          rectangle({ kind: 'reading', quantity: quantity.id, members: own, tool: name }, halfWidth),
        ),
      );
    errors.push(...this.toolErrors(tool, perUnit, quantity.id, at));
    return errors;
  }

  /** What the tool itself is off by: its zero, known to one reading of it, and what its maker allows where the class counts that. */
  private toolErrors(tool: ToolInRun, perUnit: number, quantity: string, at: string): number[] {
    const { rules } = this.numbers.setting;
    const { instrument, code, zeroError, tolerance } = tool;
    const name = code ?? `the ${instrument.name}`;
    const label = (kind: 'zero' | 'tolerance'): InputLabel => ({ kind, quantity: null, members: {}, tool: name });
    const errors: number[] = [];
    const zeroWidth = readingHalfWidth(tool, rules) * perUnit;
    if (
      code !== null &&
      zeroError !== null &&
      hasZeroError(instrument.id) &&
      zeroWidth > 0 &&
      !this.numbers.hasOwnZero(quantity)
    )
      errors.push(this.inputs.at(`zero|${name}|${perUnit}`, () => rectangle(label('zero'), zeroWidth)));
    if (rules.toolTolerance === 'counted' && readingRule(instrument, rules) !== 'maker-tolerance' && tolerance > 0) {
      // One reading, and one difference of two, each carry the tolerance once.
      const part = tolerance * perUnit;
      const half = (): ReturnType<typeof rectangle> => rectangle(label('tolerance'), part / Math.SQRT2, part / 2);
      errors.push(
        this.inputs.at(`tolerance|${name}|${perUnit}`, half),
        this.inputs.at(`tolerance|${name}|${at}`, half),
      );
    }
    return errors;
  }
}
