import { labelPassed, type LinearScale } from '../../scales/linear-scale.ts';
import { itself, onItsScale, spanOn, type Marked } from './on-its-scale.ts';
import { scattered, type Counted, type CountSlip } from './slip.ts';

/** The same marks counted on from a label beside the one passed, where the scale has one. */
function fromLabelsBeside({ from, to, division, labelEvery }: LinearScale, seen: number): Counted[] {
  // Where every mark has its label, the next label is the next mark, and that is another slip.
  if (labelEvery <= division) return [];
  const readings = [seen - labelEvery, seen + labelEvery].filter((reading) => reading >= from && reading <= to);
  return readings.map((reading) => scattered(reading, 1 / readings.length));
}

/** 84.6 → 74.6 or 94.6. */
export const labelOff: CountSlip<Marked> = {
  id: 'label-off',
  stage: 'count',
  name: 'One label too high or too low',
  baseRate: 0.04,
  why: () => 'You counted the marks correctly, but you started from the wrong label.',
  lookAt: () => 'the number at the last label passed; count on from there',
  counted: (indication, seen) => onItsScale(indication, seen, fromLabelsBeside),
  path: (indication) => spanOn(indication, labelPassed, itself, 'another label'),
};
