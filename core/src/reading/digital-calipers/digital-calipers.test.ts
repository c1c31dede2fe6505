import { DISPLAY_HABITS, displayed, laden, weighedWithCare } from '../../../test/readers/display-reader.ts';
import { proveReaders, type Reader } from '../../../test/readers/prove-readers.ts';
import type { DisplayPicture } from '../display/display.ts';

type Habit = (reader: Reader<DisplayPicture>) => string;

const HABITS: Readonly<Record<string, Habit>> = {
  ...DISPLAY_HABITS,
  'zero-ignored': (reader) => displayed(reader, () => 0),
  'zero-sign': (reader) => displayed(reader, (closed) => -closed),
};

proveReaders<DisplayPicture>({
  family: 'digital-calipers',
  kind: 'display',
  habits: HABITS,
  careful: (reader) => displayed(reader),
  handled: (task, slip) => (slip === null ? weighedWithCare(task) : laden(task)),
  soundInHundred: 100,
  seed: 7,
});
