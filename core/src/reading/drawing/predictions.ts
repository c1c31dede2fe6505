import { estimateIn, stepOfDivision } from '../indication/resolution.ts';
import type { Indication } from '../indication/indication.ts';
import { expectedFrom, roughlyWritten, writtenReading } from '../indication/written.ts';
import { measureOf } from '../judging/measure.ts';
import { indicationOf, type ReadingTask } from '../reading-task.ts';
import { slipOn, type KnownSlip } from '../slips.ts';
import type { CorrectionSlip, Counted, CountSlip, SightSlip } from '../slips/slip.ts';

/** Readings that somebody with just this slip would write on this task, unit included; empty where it cannot be made. */
export function predictedEntries(task: ReadingTask, { id }: Pick<KnownSlip, 'id'>): string[] {
  const indication = indicationOf(task);
  const slip = slipOn(indication.tool, id);
  if (!slip) return [];
  const { text, unit } = expectedFrom(indication);
  if (slip.stage === 'digits') return slip.garbled(text).map((garbled) => `${garbled} ${unit}`);
  if (slip.stage === 'form') return [slip.misrecorded(text, unit, indication) ?? []].flat();
  const { mark } = indication;
  return mark === null ? [] : predictedNumbers(indication, mark, slip).map((number) => `${number} ${unit}`);
}

function predictedNumbers(
  indication: Indication,
  mark: number,
  slip: SightSlip | CountSlip | CorrectionSlip,
): string[] {
  switch (slip.stage) {
    case 'sight': {
      const shift = slip.shift(indication);
      return shift === null ? [] : [writtenReading(indication, mark + shift - indication.subtracted)];
    }
    case 'count':
      return slip.counted(indication, mark).flatMap((counted) => countedNumbers(indication, counted));
    case 'correction':
      return slip.corrected(indication, mark).map(({ value }) => writtenReading(indication, value));
  }
}

/** Estimates that are off by about as much as they can be, to both sides: every step of them. */
function badlyEstimated(indication: Indication, value: number): string[] {
  const { badly, step } = measureOf(indication);
  const steps = Math.max(1, Math.round((0.2 * badly.most) / step));
  const right = writtenReading(indication, value);
  const misses = Array.from({ length: steps + 1 }, (_, i) => (0.8 + (0.18 * i) / steps) * badly.most);
  const texts = misses.flatMap((miss) => [value - miss, value + miss].map((off) => writtenReading(indication, off)));
  return [...new Set(texts)].filter((text) => text !== right);
}

function countedNumbers(indication: Indication, counted: Counted): string[] {
  const value = counted.value - indication.subtracted;
  return counted.estimated === 'badly' ? badlyEstimated(indication, value) : [countedNumber(indication, counted)];
}

function countedNumber(indication: Indication, { value, estimated, division, place }: Counted): string {
  const { subtracted, resolution } = indication;
  if (place !== undefined) return (value - subtracted + 0).toFixed(Math.max(0, -place));
  if (estimated === 'not') return String(Number((value - subtracted).toFixed(6)));
  if (division === undefined) return writtenReading(indication, value - subtracted);
  return roughlyWritten(value - subtracted, stepOfDivision(division, estimateIn(resolution.lastDigit)));
}
