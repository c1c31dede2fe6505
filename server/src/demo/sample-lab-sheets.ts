import type { LabSheetDraft } from '@green-beam/contract';
import { protocol, type Protocol } from '@green-beam/core';
import { subDays } from 'date-fns';
import { LabSheet, LabSheetVersion } from '../models/lab-sheets.ts';
import { DEMO_CO_TEACHER, DEMO_SCHOOL, DEMO_TEACHER } from './people.ts';

const asDraft = (sheet: Protocol): LabSheetDraft => JSON.parse(JSON.stringify(sheet)) as LabSheetDraft;

/** The laboratory with washers, about bushes. */
const ABOUT_BUSHES = JSON.parse(
  JSON.stringify(protocol('mass-per-item')).replace(
    /(w|W)asher(s?)/g,
    (_, w: string, s: string) => `${w === 'w' ? 'b' : 'B'}ush${s === '' ? '' : 'es'}`,
  ),
) as Protocol;

/** One that is in use: a laboratory that was there from the start, changed for what lies in the school’s own drawer. */
const BUSHES: Protocol = {
  ...ABOUT_BUSHES,
  id: 'own-5a17a4b0-0000-4000-8000-0000000ab001',
  version: 1,
  title: 'What does one bush weigh?',
  setting: 'Brass bushes in a cup',
  kit: ['about twenty brass bushes', 'a light cup', '0.01 g balance'],
  cautions: ABOUT_BUSHES.cautions.slice(1),
  dimensions: ABOUT_BUSHES.dimensions.map((dimension) =>
    dimension.kind === 'sequence' ? { ...dimension, least: 3, most: 4 } : dimension,
  ),
  questions: ABOUT_BUSHES.questions.slice(0, 2),
};

/** One that is being written. */
const ROD: Protocol = {
  id: 'own-5a17a4b0-0000-4000-8000-0000000ab002',
  version: 1,
  title: 'How much does a centimetre weigh?',
  setting: 'Acrylic rod',
  purpose: 'Find the mass of each centimetre of a rod, and from it the length of a piece that you only weigh.',
  kit: ['an acrylic rod', 'a millimetre rule', '0.01 g balance'],
  cautions: ['Follow your school’s and local rules, and ask the responsible adult.'],
  options: [],
  dimensions: [{ kind: 'repeat', id: 'trial', name: 'Trial', least: 3, most: 5 }],
  quantities: [
    {
      kind: 'read',
      id: 'len',
      name: 'Length',
      symbol: 'L',
      unit: 'cm',
      over: ['trial'],
      tools: { kinds: ['ruler-millimetre', 'calipers'] },
      step: 'measure',
    },
    {
      kind: 'read',
      id: 'mass',
      name: 'Mass',
      symbol: 'm',
      unit: 'g',
      over: ['trial'],
      tools: { kinds: ['balances'] },
      step: 'measure',
    },
    {
      kind: 'computed',
      id: 'each',
      name: 'Mass for each centimetre',
      symbol: '\\lambda',
      unit: 'g/cm',
      over: [],
      formula: 'mean(mass over trial) / mean(len over trial)',
    },
  ],
  results: [{ quantity: 'each' }],
  comparisons: [],
  checks: [],
  steps: [
    {
      id: 'measure',
      title: 'Measure and weigh',
      text: 'Measure the length three times, each time from another end. Weigh the rod three times.',
      minutes: 8,
      attention: 'hands',
    },
  ],
  statements: [],
  questions: [{ id: 'piece', text: 'A piece of the same rod weighs 20 g. How long is it?' }],
  byStudent: ['each'],
  samples: [{ entries: { len: ['24.02', '24.00', '24.03'], mass: ['25.02', '25.01', '25.02'] } }],
};

/** A lab sheet that a colleague shares, and one that the teacher is writing. */
export async function seedLabSheets(now: Date): Promise<void> {
  const schoolId = DEMO_SCHOOL;
  await LabSheet.create({
    schoolId,
    id: BUSHES.id,
    ownerId: DEMO_CO_TEACHER,
    draft: asDraft(BUSHES),
    savedAt: subDays(now, 12),
    version: 1,
    hasChanges: false,
    isShared: true,
  });
  await LabSheet.create({
    schoolId,
    id: ROD.id,
    ownerId: DEMO_TEACHER,
    draft: asDraft(ROD),
    savedAt: subDays(now, 1),
  });
  await LabSheetVersion.create({
    schoolId,
    id: BUSHES.id,
    version: 1,
    protocol: BUSHES,
    putInUseBy: DEMO_CO_TEACHER,
    putInUseAt: subDays(now, 12),
  });
}
