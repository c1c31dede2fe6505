import { DISPLAY_HABITS, displayed, laden, weighedWithCare } from '../../../test/readers/display-reader.ts';
import { proveReaders, type Reader } from '../../../test/readers/prove-readers.ts';
import { differenceHabits } from '../../../test/readers/subtraction.ts';
import type { DisplayPicture } from '../display/display.ts';
import type { ReadingTask } from '../reading-task.ts';

type Habit = (reader: Reader<DisplayPicture>) => string;

const HABITS: Readonly<Record<string, Habit>> = {
  ...DISPLAY_HABITS,
  unsettled: (reader) => displayed(reader),
  'zero-ignored': (reader) => displayed(reader, (alone) => alone),
  'zero-sign': (reader) => displayed(reader, (alone, known) => alone - known),
  'not-zeroed': (reader) => displayed(reader, () => 0),
  'container-included': (reader) => displayed(reader, () => 0),
  ...differenceHabits<DisplayPicture>('container-alone', ({ picture }) => {
    const [main, alone] = picture.views.map(({ characters }) => characters);
    return { final: main ?? '', initial: alone ?? '0', unit: picture.unitMark };
  }),
};

/** Who is hasty reads at once; who makes another slip has not tared; who takes care has. */
function handled(task: ReadingTask, slip: string | null): ReadingTask {
  if (slip === 'unsettled') return task;
  return slip === null ? weighedWithCare(task) : laden(task);
}

proveReaders<DisplayPicture>({
  family: 'digital-balances',
  kind: 'display',
  habits: HABITS,
  careful: (reader) => displayed(reader),
  handled,
  soundInHundred: 100,
  seed: 7,
});
