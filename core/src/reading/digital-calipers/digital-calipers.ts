import type { DigitalCaliper } from '../../instruments/instrument.ts';
import { decimalsOf, multipleOf } from '../../scales/linear-scale.ts';
import {
  asDisplayed,
  DISPLAY_WORDS,
  displayPicture,
  litCharacters,
  type DisplayPicture,
  type DisplayView,
} from '../display/display.ts';
import { drawnZeroError } from '../jaws/draw-jaws.ts';
import { BY_HAND, type Aimed } from '../drawing/aimed.ts';
import type { Family } from '../family.ts';
import { askedIn } from '../indication/asked.ts';
import { indicationFrom, withoutDust, type Indication, type Posed } from '../indication/indication.ts';
import { resolutionOf } from '../indication/resolution.ts';
import { heldAt } from '../jaws/held.ts';
import { jawsBegun, jawsHandled, jawsRemarks, jawsStanding, type JawsOnBench } from '../jaws/jaws-on-bench.ts';
import { sizeQuestion } from '../jaws/jaws-question.ts';
import { shownQuestion } from '../words/shown-question.ts';
import { broughtTo, checkJaws, JAWS_FIELDS, plainJaws, type JawsSituation } from '../jaws/jaws-situation.ts';
import { inDrawing } from '../picture/picture-parts.ts';
import { revealStep, withMinusSign, type RevealStep } from '../picture/reveal-step.ts';
import { expectedFrom } from '../indication/written.ts';
import { ZERO_SLIPS } from '../slips/zero.ts';
import { cautionsWith } from '../words/cautions.ts';
import { correctionHints } from '../words/hints.ts';
import { heldThing } from '../words/things.ts';
import { correctionWords } from '../words/zero-correction.ts';

/** A thing between the jaws of a caliper with a display. */
type CaliperSituation = JawsSituation & { readonly use?: undefined; readonly oval?: undefined };

/** A caliper with a display as it stands: its mark is what it shows. */
interface CaliperIndication extends Indication<DigitalCaliper, CaliperSituation> {
  readonly mark: number;
}

function indicates(posed: Posed<DigitalCaliper, CaliperSituation>): CaliperIndication {
  const { tool, situation } = posed;
  const { value, zeroError = 0 } = situation;
  const mark = asDisplayed(tool, withoutDust(value + withoutDust(zeroError)));
  return {
    ...indicationFrom(posed, {
      resolution: resolutionOf(tool.division, 'displayed'),
      mark,
      subtracted: askedIn(situation) === 'corrected' ? asDisplayed(tool, withoutDust(zeroError)) : 0,
      words: DISPLAY_WORDS,
    }),
    mark,
  };
}

function drawCaliper({ range: [, most], division }: DigitalCaliper, aimed: Aimed): CaliperSituation {
  const { random, at } = aimed;
  const count = Math.round((3 + (most - 6) * random.uniform() ** 1.6) / division);
  const value = multipleOf(division, at('trailing-zero-dropped') ? Math.round(count / 10) * 10 : count);
  return {
    value,
    thing: heldThing(value, random),
    ...drawnZeroError(division, [2, 10], aimed),
    ...(random.uniform() < BY_HAND ? { loose: true } : {}),
  };
}

/** How far the jaws are open beyond the thing at first, in mm. */
const OPEN_BY = 14;

function caliperPicture({ tool, mark, situation }: CaliperIndication): DisplayPicture {
  const { zeroError, loose = false, thing = 'thing' } = situation;
  const view = (caption: string, shown: number): DisplayView => ({ caption, characters: litCharacters(tool, shown) });
  const lookedAt = !loose && zeroError !== undefined;
  const closed = lookedAt ? [view('with the jaws closed', asDisplayed(tool, zeroError))] : [];
  return displayPicture(tool, {
    measures: 'length',
    views: [view(`on the ${thing}`, mark), ...closed],
    thing: { name: thing, count: 1 },
    awayBy: 0,
    weighables: null,
    jaws: loose
      ? {
          ...heldAt(situation, OPEN_BY, tool.range[1]),
          touchesX: inDrawing(mark),
          closedX: inDrawing(zeroError ?? 0),
        }
      : null,
    note: null,
    handled: loose ? 'close' : null,
  });
}

/** The caliper as it stands now; moved, it shows where its slide is. */
function seen({ posed, position, zeroedAt }: JawsOnBench<DigitalCaliper, CaliperSituation>): DisplayPicture {
  const picture = caliperPicture(indicates(posed));
  if (position === null || picture.jaws === null) return picture;
  const [{ caption }] = picture.views;
  const characters = litCharacters(posed.tool, asDisplayed(posed.tool, position - zeroedAt));
  return { ...picture, views: [{ caption, characters }], jaws: { ...picture.jaws, startX: position } };
}

/** A caliper as it is looked at, view by view, in words a reading can be made from. */
function describeDisplayedJaws({ views, unitMark }: DisplayPicture): string {
  return views
    .map(
      ({ caption, characters }) =>
        `${caption.charAt(0).toUpperCase() + caption.slice(1)} it shows ${characters} ${unitMark}.`,
    )
    .join(' ');
}

function steps(indication: CaliperIndication): RevealStep[] {
  const { tool, mark, asked, situation } = indication;
  const { zeroError = 0 } = situation;
  const lit = litCharacters(tool, mark);
  const shown = revealStep('marks', `Every digit shown, zeros too: ${lit}`, lit);
  if (asked === 'observed' || zeroError === 0) return [shown];
  const number = (value: number): string => withMinusSign(value.toFixed(decimalsOf(tool.division)));
  const right = withMinusSign(expectedFrom(indication).text);
  const taken = correctionWords(indication, zeroError, number(Math.abs(zeroError)));
  return [shown, revealStep('correction', `${taken}: ${number(mark)} becomes ${right}`, right)];
}

/** Calipers with a display. */
export const DIGITAL_CALIPERS_FAMILY: Family<
  DigitalCaliper,
  CaliperSituation,
  CaliperIndication,
  JawsOnBench<DigitalCaliper, CaliperSituation>,
  DisplayPicture
> = {
  id: 'digital-calipers',
  slips: ZERO_SLIPS,
  fields: () => JAWS_FIELDS,
  check: ({ range }, situation) => checkJaws(range[1], situation),
  resolution: ({ division }) => resolutionOf(division, 'displayed'),
  indicates,
  draw: drawCaliper,
  laid: broughtTo,
  onPaper: broughtTo,
  plain: (_, situation, set) => ({
    ...plainJaws(situation),
    ...(set && { value: set.value, thing: heldThing(set.value, set.random) }),
  }),
  begin: jawsBegun,
  handle: jawsHandled,
  waits: (bench) => bench,
  shows: seen,
  stands: (bench) => jawsStanding(bench, bench.zeroedAt),
  remarks: (bench) => jawsRemarks(bench, { name: 'jaws', decimals: 2, hasRatchet: false }),
  describe: describeDisplayedJaws,
  fillsWidth: () => false,
  question: ({ asked, situation }) =>
    asked === 'observed' ? shownQuestion('caliper', situation) : sizeQuestion(situation),
  hints: (indication) => [
    'Close the jaws first and see what it shows.',
    'Write every digit shown, zeros too.',
    ...correctionHints(indication),
    'Add the unit.',
  ],
  steps,
  cautions: () => cautionsWith(undefined),
};
