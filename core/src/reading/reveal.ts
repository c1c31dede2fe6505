import { labelBelow, lastMarkPassed } from '../scales/linear-scale.ts';
import { writtenAtPlace } from '../numbers/rounding.ts';
import { expectedReading, readingStep } from './expected-reading.ts';
import { liquidColumnOf } from './liquid-column.ts';
import { yOnTube } from './picture.ts';
import { instrumentOf, type ReadingTask } from './reading-task.ts';

/** One step of reading aloud, with what lights up on the picture in drawing units. */
export interface RevealStep {
  readonly kind: 'division' | 'label' | 'marks' | 'estimate' | 'unit';
  readonly text: string;
  readonly fromY: number | null;
  readonly toY: number | null;
  /** The digits that are certain by now. */
  readonly soFar: string;
}

function trimmed(value: number): string {
  return String(Number(value.toFixed(6)));
}

/** How the right reading is come by, in the reading order: division, certain digits, estimated digit, unit. */
export function revealOf(task: ReadingTask): RevealStep[] {
  const { text, unit } = expectedReading(task);
  const column = liquidColumnOf(task);
  const unitStep: RevealStep = { kind: 'unit', text: `The unit: ${unit}`, fromY: null, toY: null, soFar: `${text} ${unit}` };
  if (!column) return [{ kind: 'marks', text: 'Every digit shown', fromY: null, toY: null, soFar: text }, unitStep];
  const { scale } = column.cylinder;
  const reading = Number(text);
  const label = Math.min(labelBelow(scale, reading), scale.to - scale.labelEvery);
  const mark = lastMarkPassed(scale, reading);
  const y = (value: number): number => yOnTube(column.cylinder, value);
  const spaces = Math.round(scale.labelEvery / scale.division);
  const passed = Math.round((mark - label) / scale.division);
  const estimates = readingStep(instrumentOf(task), task.rules).step < scale.division;
  const markPlace = Math.floor(Math.log10(scale.division) + 1e-9);
  const steps: RevealStep[] = [
    { kind: 'division', text: `${trimmed(scale.labelEvery)} ${unit} over ${spaces} spaces: one division is ${trimmed(scale.division)} ${unit}`, fromY: y(label), toY: y(label + scale.labelEvery), soFar: '' },
    { kind: 'label', text: `The label below: ${trimmed(label)}`, fromY: y(label), toY: y(label), soFar: '' },
    { kind: 'marks', text: passed === 0 ? `No further mark passed: ${writtenAtPlace(mark, markPlace)}` : `${passed} ${passed === 1 ? 'mark' : 'marks'} further: ${writtenAtPlace(mark, markPlace)}`, fromY: y(label), toY: y(mark), soFar: writtenAtPlace(mark, markPlace) },
  ];
  if (estimates) {
    const tenths = Math.round(((reading - mark) / scale.division) * 10);
    const words = tenths === 0 ? 'Exactly on the mark: write the zero' : `About ${tenths} tenths of a space beyond it`;
    steps.push({ kind: 'estimate', text: `${words}: ${text}`, fromY: y(mark), toY: y(reading), soFar: text });
  }
  return [...steps, unitStep];
}
