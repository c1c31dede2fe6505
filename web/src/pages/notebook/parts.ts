import { holds, placesOf, type Arrangement, type WorkedRun, writtenSections } from '@green-beam/core';
import { answerAt, sectionAt, statementAt } from './own/whose.ts';

import { hasSetUp, stepsOf } from './set-up.tsx';
import type { PagePart } from './step-list.tsx';
import { stepOf } from './tables/table-plan.ts';
import { textAt } from './written.ts';

export type Parts = readonly PagePart[];

export const PURPOSE = 'purpose';
export const SET_UP = 'set-up';
/** Parts that are sections of the page, and are scrolled to. */
export const SECTIONS: readonly string[] = ['results', 'technique', 'questions', 'report'];

/** The steps of a laboratory in which everything has been entered that it needs; those in which nothing is entered are none of them. */
function stepsDone(run: WorkedRun): ReadonlySet<string> {
  const open = new Set<string>();
  const met = new Set<string>();
  for (const quantity of run.setting.layout.quantities.values())
    for (const members of placesOf(run.setting, quantity.over, quantity.only)) {
      const step = stepOf(quantity, members);
      if (step === null || quantity.optional || !run.counts(members)) continue;
      met.add(step);
      const kind = run.cellAt(quantity.id, members)?.kind;
      if (kind === 'empty' || kind === 'unusable') open.add(step);
    }
  return new Set([...met].filter((step) => !open.has(step)));
}

/** What the page leads through, and what of it is done. */
export function partsOf(run: WorkedRun, author: string, arrangement: Arrangement): Parts {
  const { protocol, chosen } = run.setting.layout;
  const isBegun = run.setting.slots.size > 0;
  const done = stepsDone(run);
  const statements = protocol.statements.filter(({ when }) => holds(when, chosen));
  const questions = protocol.questions.filter(({ when }) => holds(when, chosen));
  const steps = stepsOf({ run });
  // A step in which nothing is entered is done with those after it.
  const lastDone = steps.findLastIndex(({ id }) => done.has(id));
  return [
    { id: PURPOSE, title: 'Purpose, kit, cautions', done: isBegun },
    ...(hasSetUp({ run }) ? [{ id: SET_UP, title: 'How you do it', done: isBegun }] : []),
    ...steps.map(({ id, title }, i) => ({
      id,
      title,
      done: done.has(id) || (i < lastDone && !isEntered(run, id)),
    })),
    { id: 'results', title: 'Results', done: run.results.length > 0 },
    ...(statements.length === 0
      ? []
      : [
          {
            id: 'technique',
            title: 'True or false?',
            done: statements.every(({ id }) => textAt(run, statementAt(id, author, arrangement)) !== ''),
          },
        ]),
    {
      id: 'questions',
      title: 'Questions',
      done: questions.every(({ id }) => textAt(run, answerAt(id, author, arrangement)).trim() !== ''),
    },
    {
      id: 'report',
      title: 'Report',
      done: writtenSections(protocol).every((section) => textAt(run, sectionAt(section, author, arrangement)) !== ''),
    },
  ];
}

/** Whether anything is entered in a step. */
function isEntered(run: WorkedRun, step: string): boolean {
  return [...run.setting.layout.quantities.values()].some((quantity) =>
    placesOf(run.setting, quantity.over, quantity.only).some((members) => stepOf(quantity, members) === step),
  );
}
