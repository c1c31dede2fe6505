import { PITCH, SLEEVE, THIMBLE_DIVISION } from '../../instruments/micrometers.ts';
import type { Micrometer } from '../../instruments/instrument.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import type { Vernier } from '../../scales/vernier.ts';
import { askedIn } from '../indication/asked.ts';
import { indicationFrom, withoutDust, type Indication, type Posed } from '../indication/indication.ts';
import { resolutionOf, type Resolution } from '../indication/resolution.ts';
import { checkJaws, JAWS_FIELDS, type JawsSituation } from '../jaws/jaws-situation.ts';
import type { CountedOn } from '../scale/counted-on.ts';
import type { WithVernier } from '../vernier/vernier-slips.ts';

/** A thing between the faces of a micrometer: always its outside. */
export type MicrometerSituation = JawsSituation & { readonly use?: undefined };

export const MICROMETER_FIELDS = [...JAWS_FIELDS, 'oval'] as const;

/** @throws SituationError */
export function checkMicrometer({ range }: Micrometer, situation: MicrometerSituation): void {
  checkJaws(range[1], situation);
}

/** A micrometer as it stands: its mark is how far it is open, in mm. */
export interface MicrometerIndication extends Indication<Micrometer, MicrometerSituation>, WithVernier, CountedOn {
  readonly tool: Micrometer;
  readonly situation: MicrometerSituation;
  readonly mark: number;
}

/** A position of a micrometer taken apart: the half millimetres uncovered on the sleeve, and the thimble's divisions beyond them. */
export function onThimble(position: number): { readonly sleeve: number; readonly divisions: number } {
  const sleeve = Math.floor(position / PITCH + 1e-9) * PITCH;
  return { sleeve, divisions: (position - sleeve) / THIMBLE_DIVISION };
}

/** The vernier on a micrometer's sleeve: ten lines over nine thimble divisions. */
export const SLEEVE_VERNIER: Vernier = { lines: 10, spans: 9, main: THIMBLE_DIVISION };

const WORDS = {
  digit: 'The thimble gives hundredths. The next digit is estimated, or read from the sleeve. Write all of them.',
  zero: 'The zero at the end was measured. Without it your number says less than the tool does.',
};

/** With a vernier on the sleeve by the line that coincides; else by a rule of its own. */
export function micrometerResolution(
  { division, sleeveLines }: Micrometer,
  { micrometerEstimate }: HouseRules,
): Resolution {
  if (sleeveLines > 0) return resolutionOf(division, 'coincidence');
  return resolutionOf(division, micrometerEstimate === 'nearest-line' ? 'nearest-division' : 'tenths');
}

export function micrometerIndication(posed: Posed<Micrometer, MicrometerSituation>): MicrometerIndication {
  const { tool, situation, rules } = posed;
  const { value, zeroError = 0, oval } = situation;
  const mark = value + zeroError;
  return {
    ...indicationFrom(posed, {
      resolution: micrometerResolution(tool, rules),
      mark,
      subtracted: askedIn(situation) === 'corrected' ? withoutDust(zeroError) : 0,
      // The zero error is read on the tool itself, with nothing between its jaws.
      subtractedIsRead: true,
      standsAtMark: oval === undefined,
      words: WORDS,
    }),
    mark,
    countedOn: () => ({ scale: SLEEVE, base: 0 }),
    vernier: tool.sleeveLines > 0 ? { vernier: SLEEVE_VERNIER, least: tool.division } : null,
  };
}
