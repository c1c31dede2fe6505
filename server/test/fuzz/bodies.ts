import { randomUUID } from 'node:crypto';
import { samplePlan } from '../sample-plan.ts';

/** What there is in the school that is fuzzed, to be named in requests. */
export interface Known {
  readonly classId: string;
  readonly otherClassId: string;
  readonly code: string;
  readonly students: readonly string[];
  readonly teachers: readonly string[];
  readonly teacherEmail: string;
  readonly taskIds: readonly string[];
  readonly runId: string;
  readonly setRoundId: string;
  readonly toolId: string;
  readonly sheetCode: string;
  readonly rulesVersion: number;
}

const now = (): string => new Date().toISOString();

/** A body that a route would take, by method and path; routes that take none are left out. */
export const TYPICAL: Readonly<Record<string, (known: Known) => object>> = {
  'POST /session/teacher': ({ teacherEmail }) => ({ email: teacherEmail, password: 'guessed at once', shared: true }),
  'POST /session/class': ({ code }) => ({ code }),
  'POST /session/student': ({ code, students }) => ({ code, studentId: students[2], pin: '1357', shared: false }),
  'POST /session/partners': ({ students }) => ({ studentId: students[1], pin: '1357' }),
  'POST /session/pin': () => ({ pin: '1357', newPin: '1357' }),
  'POST /session/password': () => ({ password: 'not the one I have', newPassword: 'another long enough one' }),
  'POST /links/:token': () => ({ password: 'a long enough one', name: 'Ilse Okafor', email: 'ilse@harbour.example' }),
  'POST /classes': () => ({ id: randomUUID(), name: 'Heron 9' }),
  'PATCH /classes/:classId': () => ({ name: 'Heron 10', codeOpen: true }),
  'POST /classes/:classId/students': () => ({
    rows: [{ id: randomUUID(), firstName: 'Ilse', lastName: randomUUID().slice(0, 8) }],
  }),
  'POST /classes/:classId/first-pins': ({ students }) => ({ studentIds: [students[3]] }),
  'PATCH /classes/:classId/students/:studentId': () => ({ archived: false }),
  'POST /classes/:classId/teachers': ({ teacherEmail }) => ({ email: teacherEmail }),
  'PATCH /school': () => ({ idleMinutes: 60 }),
  'POST /school/invitations': () => ({ id: randomUUID(), name: 'Tobias Ferrant', email: `${randomUUID()}@a.example` }),
  'POST /school/teachers/:teacherId/removal': ({ teachers }) => ({ heirId: teachers[0] }),
  'POST /classes/:classId/rules': ({ rulesVersion }) => ({
    name: 'Ours',
    rules: { combine: 'plain-sum', decimalMark: 'comma' },
    after: rulesVersion,
  }),
  'POST /classes/:classId/cabinet': () => ({
    code: `C-${randomUUID().slice(0, 6)}`,
    instrumentId: 'cylinder-50',
    kind: 'real',
    keeper: 'window',
    tolerance: 0.5,
    state: 'fit',
  }),
  'POST /classes/:classId/cabinet/list': () => ({
    rows: [
      { code: `L-${randomUUID().slice(0, 6)}`, instrumentId: 'digital-balance-hundredth', zeroError: 0.02 },
      { code: `L-${randomUUID().slice(0, 6)}`, instrumentId: 'caliper-twentieth', tolerance: 0.05, zeroError: null },
    ],
  }),
  'PATCH /classes/:classId/cabinet/:toolId': () => ({ keeper: 'door', tolerance: 0.4, after: 1 }),
  'POST /classes/:classId/cabinet/:toolId/notes': () => ({
    id: randomUUID(),
    kind: 'check',
    reading: 50.02,
    nominal: 50,
    remark: 'after a fall',
  }),
  'POST /classes/:classId/set-rounds': ({ students }) => ({
    title: 'Balances',
    subjectIds: ['digital-balance-hundredth'],
    toolIds: [],
    length: 2,
    aims: [],
    tries: 2,
    hints: true,
    dueAt: now(),
    studentIds: [students[0]],
    preset: null,
    table: {
      cells: [
        ['Start / mL', 'End / mL', 'Run out'],
        ['0.35', '18.62', '18.37'],
      ],
      answers: {},
      left: [],
    },
    onPaper: false,
  }),
  'POST /classes/:classId/sheets/:code/answers': ({ taskIds }) => ({
    answers: [{ id: randomUUID(), taskId: taskIds[0], entry: '12.5 mL' }],
  }),
  'POST /classes/:classId/shelf/met': () => ({ toolId: 'cylinder-50', met: true }),
  'POST /classes/:classId/rounds': () => ({ subjectIds: ['ruler-millimetre'], setRoundId: null }),
  'POST /classes/:classId/rounds/taken-up': () => ({ subjectIds: ['ruler-millimetre'] }),
  'POST /classes/:classId/attempts': ({ taskIds }) => ({
    id: randomUUID(),
    taskId: taskIds[Number(BigInt(Date.now()) % BigInt(Math.max(1, taskIds.length)))],
    kind: 'reading',
    entry: '12.5 mm',
    eyeHeight: 12,
    actions: [{ kind: 'eye', at: 400, to: 3 }],
    hints: 1,
    timeTaken: 9000,
  }),
  'POST /classes/:classId/runs': ({ students }) => ({
    id: randomUUID(),
    protocolId: 'solid-by-displacement',
    specimen: 'Bronze deck nail',
    memberIds: [students[1]],
  }),
  'POST /classes/:classId/runs/:runId/members': ({ students }) => ({ personId: students[1] }),
  'POST /classes/:classId/runs/:runId/methods': () => ({ shared: true }),
  'PUT /classes/:classId/reports/:runId/:author/marking': () => ({
    number: 1,
    points: { readings: 4, conclusion: 0 },
    comments: [{ id: randomUUID(), at: { kind: 'report', section: 'causes' }, text: 'Look at trial 2 again.' }],
    isDone: true,
  }),
  'POST /classes/:classId/reports/return': () => ({
    reports: [{ runId: randomUUID(), author: 'group', number: 1 }],
    at: now(),
    mayImprove: true,
  }),
  'PUT /classes/:classId/rubric': () => ({
    scale: 'points',
    criteria: [{ id: 'readings', name: 'Readings', sees: 'readings' }],
  }),
  'POST /classes/:classId/runs/:runId/hand-in': ({ students }) => ({ personId: students[0] }),
  'POST /classes/:classId/runs/:runId/take-back': ({ students }) => ({ personId: students[0] }),
  'POST /lab-sheets': () => ({ id: `own-${randomUUID()}`, draft: { title: 'Half written' } }),
  'PUT /lab-sheets/:sheetId/draft': () => ({ draft: { title: 'Half written', quantities: [] }, revision: 1 }),
  'POST /lab-sheets/:sheetId/use': () => ({ revision: 1 }),
  'PATCH /lab-sheets/:sheetId': () => ({ isShared: true, isRetired: false }),
  'POST /classes/:classId/openings': ({ students }) => ({
    id: randomUUID(),
    protocolId: 'solid-by-displacement',
    specimen: 'Bronze deck nail',
    dueAt: now(),
    groups: [{ runId: randomUUID(), memberIds: [students[0]], given: 'drawn', from: null, sample: 0 }],
  }),
  'PATCH /classes/:classId/openings/:openingId': ({ students }) => ({ dueAt: now(), excused: [students[0]] }),
  'POST /classes/:classId/openings/:openingId/groups': ({ students }) => ({
    groups: [{ runId: randomUUID(), memberIds: [students[0]], given: null, from: null, sample: 0 }],
  }),
  'PUT /classes/:classId/openings/:openingId/groups/:runId': ({ students }) => ({ memberIds: [students[0]] }),
  'PUT /classes/:classId/laboratories/:protocolId': () => ({
    byStudent: ['volume'],
    ownWork: 'each-student',
    reveals: 'with-own-answer',
    sums: 'student',
  }),
  'POST /classes/:classId/runs/:runId/events': ({ students }) => ({
    events: [
      {
        id: randomUUID(),
        address: { kind: 'cell', quantity: 'mass', members: { trial: '1' } },
        text: '54.31',
        replaces: null,
        reason: null,
        person: students[0],
        deviceTime: now(),
      },
    ],
  }),
  'POST /classes/:classId/class-results/:runId/pairs': () => ({
    pairs: [{ id: randomUUID(), runs: [randomUUID(), randomUUID()] }],
  }),
  'POST /classes/:classId/pairs/:pairId/notes': ({ students }) => ({
    id: randomUUID(),
    personId: students[0],
    text: 'They weighed it wet.',
  }),
  'POST /classes/:classId/plans': () => ({ id: randomUUID(), draft: samplePlan() }),
  'PUT /classes/:classId/plans/:planId': () => ({ revision: 1, draft: samplePlan() }),
  'POST /classes/:classId/plans/:planId/run': () => ({ runs: true }),
  'POST /classes/:classId/together': () => ({
    id: randomUUID(),
    kind: 'picture',
    instrumentId: 'burette-50',
    value: 27.54,
  }),
  'POST /classes/:classId/together/:roundId/answer': () => ({ instrumentId: 'burette-50', value: 27.54 }),
  'POST /classes/:classId/together/:roundId/answers': ({ students }) => ({
    personId: students[0],
    entry: '27.5 mL',
    eyeHeight: 12,
  }),
  'PUT /tapes/:tapeId': () => ({ lines: ['a = 54.31 g', 'b = 6.4 mL', 'a / b'] }),
};
