import type { Spot } from './understand.ts';

/** What can be wrong with a table; the name as it is said. */
export const TABLE_FAULTS = {
  'unit-missing': 'No unit in the heading',
  'unit-wrong': 'Wrong unit',
  'unit-mixed': 'Another unit than the rest',
  'uneven-decimals': 'Other decimals than the rest',
  'wrong-difference': 'Wrong difference',
  'wrong-sum': 'Wrong sum',
  'wrong-product': 'Wrong product',
  'wrong-quotient': 'Wrong quotient',
  'wrong-mean': 'Wrong mean',
  'wrong-percent': 'Wrong percent error',
  exchanged: 'Start and end exchanged',
  'not-continued': 'Does not go on where the last one ended',
  'copied-row': 'The same as another row',
  'digits-exchanged': 'Two digits exchanged',
  'zero-lost': 'A zero lost',
  'rounded-between': 'Rounded in between',
  'too-many-digits': 'Too many digits',
  'too-few-digits': 'Too few digits',
  impossible: 'Impossible value',
  outlier: 'Far from the other repeats',
  'too-even': 'Repeats that never differ',
  'not-a-number': 'Text among numbers',
  'date-for-number': 'A date in the place of a number',
  formula: 'A formula in the place of its value',
} as const;

export type TableFault = keyof typeof TABLE_FAULTS;

/** Something wrong, or worth a second look, in a cell. */
export interface TableFinding extends Spot {
  readonly kind: TableFault;
  /** Why, for the person who wrote the table. */
  readonly message: string;
  /** What should stand in the cell, as the table writes numbers; null where only looking again can tell. */
  readonly repair: string | null;
}
