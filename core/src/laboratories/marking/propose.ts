import type { WorkedRun } from '../engine/evaluate.ts';
import { placesOf } from '../engine/setting.ts';
import { holds } from '../protocol/layout.ts';
import { writtenSections } from '../run/written-sections.ts';
import { findingsIn } from '../checks/find.ts';
import type { OwnWork } from '../own/own-work.ts';
import { readingsDone } from './progress.ts';

/** What a program can see of a report; everything else is for who reads it. */
export const SEEN = ['readings', 'digits', 'calculation'] as const;
export type SeenCriterion = (typeof SEEN)[number];

/** As many points a criterion has at most. */
export const MOST_POINTS = 4;

/** Points for one criterion, and why. */
export interface ProposedPoints {
  readonly points: number;
  readonly because: string;
}

/** What a program sees of a report before anybody has read it. */
export interface Proposal {
  readonly of: Readonly<Record<SeenCriterion, ProposedPoints>>;
  /** Questions that are not answered, and parts of the report that are not written. */
  readonly unwritten: number;
  /** Nothing is missing and nothing is doubtful: it may be read quickly. */
  readonly isComplete: boolean;
}

/** All points where all is well; else the share, rounded down, and one less than all at most. */
function share(good: number, all: number): number {
  if (all === 0 || good >= all) return MOST_POINTS;
  return Math.max(0, Math.min(MOST_POINTS - 1, Math.floor((MOST_POINTS * good) / all)));
}

const counted = (number: number, one: string, many: string): string =>
  number === 1 ? `one ${one}` : `${number} ${many}`;

function inWords(parts: readonly (readonly [number, string, string])[], fine: string): string {
  const said = parts.filter(([number]) => number > 0).map(([number, one, many]) => counted(number, one, many));
  return said.length === 0 ? fine : said.join(', ');
}

/** Readings: there, usable, with a unit that fits, and nothing in them that cannot be. */
function readings(run: WorkedRun): ProposedPoints {
  const { done, of } = readingsDone(run.setting);
  const wrong = findingsIn(run).filter(({ severity, at }) => {
    const kind = at && run.setting.layout.quantities.get(at.quantity)?.kind;
    return severity === 'wrong' && kind !== 'computed';
  }).length;
  return {
    points: share(done - wrong, of),
    because: inWords(
      [
        [of - done, 'missing', 'missing'],
        [wrong, 'doubtful', 'doubtful'],
      ],
      'units, digits, complete',
    ),
  };
}

/** Digits: readings written to the place that their tool is read to, and own results to the digits that are known. */
function digits(run: WorkedRun, own: OwnWork): ProposedPoints {
  let [good, all] = [0, 0];
  for (const quantity of run.setting.layout.quantities.values())
    for (const members of placesOf(run.setting, quantity.over, quantity.only)) {
      const cell = run.cellAt(quantity.id, members);
      const judged = own.at(quantity.id, members);
      if (judged?.state === 'sound' || judged?.state === 'record') {
        all += 1;
        if (judged.state === 'sound') good += 1;
      } else if (cell?.kind === 'entry' && cell.tool) {
        all += 1;
        if (cell.remark === null) good += 1;
      }
    }
  return {
    points: share(good, all),
    because: inWords(
      [[all - good, 'number with too many or too few digits', 'numbers with too many or too few digits']],
      'as the class writes them',
    ),
  };
}

type State = NonNullable<ReturnType<OwnWork['at']>>['state'];

function isWritten(state: State): boolean {
  return state !== 'waiting' && state !== 'turn';
}

/** Calculations: each from the student’s own numbers, so that a slip counts once, however far it is carried on. */
function calculation(run: WorkedRun, own: OwnWork): ProposedPoints {
  let [all, good, slips, missing] = [0, 0, 0, 0];
  for (const quantity of run.setting.layout.quantities.values())
    for (const members of placesOf(run.setting, quantity.over, quantity.only)) {
      const judged = run.counts(members) ? own.at(quantity.id, members) : null;
      if (!judged) continue;
      all += 1;
      if (!isWritten(judged.state)) missing += 1;
      else if (judged.state === 'sound' || judged.state === 'record') good += 1;
      else slips += 1;
    }
  return {
    points: share(good, all),
    because:
      all === 0
        ? 'worked out by the page'
        : inWords(
            [
              [slips, 'slip, counted once', 'slips, each counted once'],
              [missing, 'not calculated', 'not calculated'],
            ],
            'every step follows',
          ),
  };
}

/** How much of what somebody should write in words is not there. */
function unwritten({ setting }: WorkedRun, author: string): number {
  const { protocol, chosen } = setting.layout;
  const written = new Set<string>();
  for (const { current } of setting.slots.values()) {
    const { address, text } = current;
    if (text.trim() === '') continue;
    if (address.kind !== 'answer' && address.kind !== 'report') continue;
    if (address.author !== undefined && address.author !== author) continue;
    written.add(address.kind === 'answer' ? `answer ${address.question}` : `report ${address.section}`);
  }
  const questions = protocol.questions.filter(({ when }) => holds(when, chosen));
  const asked = [
    ...questions.map(({ id }) => `answer ${id}`),
    ...writtenSections(protocol).map((section) => `report ${section}`),
  ];
  return asked.filter((one) => !written.has(one)).length;
}

/** What a program sees of a report: proposed to who marks it, who always decides. @param author whose report it is. */
export function proposal(run: WorkedRun, own: OwnWork, author: string): Proposal {
  const of = { readings: readings(run), digits: digits(run, own), calculation: calculation(run, own) };
  const missing = unwritten(run, author);
  return {
    of,
    unwritten: missing,
    isComplete: missing === 0 && SEEN.every((criterion) => of[criterion].points === MOST_POINTS),
  };
}
