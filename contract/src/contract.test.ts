import { describe, expect, it } from 'vitest';
import type { Schema } from 'yup';
import { event, ID } from '../test/entry.ts';
import { refused } from '../test/refused.ts';
import {
  benchAction,
  classChange,
  classCode,
  coTeacher,
  demoSignIn,
  invitation,
  linkUse,
  newAttempt,
  newClass,
  newRound,
  newRun,
  newRunEvent,
  partnerSignIn,
  rosterImport,
  rosterRow,
  studentSignIn,
  teacherSignIn,
} from './index.ts';

const attempt = {
  id: ID,
  taskId: ID,
  kind: 'reading',
  entry: '52.6 mL',
  eyeHeight: 0,
  actions: [],
  hints: 0,
  timeTaken: 4200,
};

describe('bodies that are accepted', () => {
  it.each([
    ['an attempt', newAttempt, attempt],
    [
      'an attempt with what was done',
      newAttempt,
      {
        ...attempt,
        actions: [
          { kind: 'eye', at: 300, to: -12.5 },
          { kind: 'loupe', at: 900 },
        ],
      },
    ],
    ['showing the answer', newAttempt, { ...attempt, kind: 'shown', entry: '' }],
    ['a round of any tool', newRound, {}],
    ['a round of one tool', newRound, { subjectIds: ['cylinder-50'] }],
    ['a run', newRun, { id: ID, protocolId: 'solid-by-displacement', specimen: 'Bronze deck nail' }],
    ['an event', newRunEvent, event],
    ['an event of the run', newRunEvent, { ...event, address: { kind: 'accepted' } }],
    [
      'an excluded trial',
      newRunEvent,
      { ...event, address: { kind: 'excluded', dimension: 'trial', member: '2', within: {} } },
    ],
    ['an emptied cell', newRunEvent, { ...event, text: '' }],
    ['a teacher', teacherSignIn, { email: 'M.Okafor@School.example', password: 'x' }],
    ['a student', studentSignIn, { code: 'hrn-947', studentId: ID, pin: '2468' }],
    ['a six-digit PIN', partnerSignIn, { studentId: ID, pin: '246813' }],
    ['a code', classCode, { code: ' hrn-947 ' }],
    ['a class', newClass, { id: ID, name: 'Heron 9' }],
    ['a change of nothing', classChange, {}],
    ['a name without a family name', rosterRow, { id: ID, firstName: 'Sigrid' }],
    ['a demonstration role', demoSignIn, { role: 'teacher' }],
    ['an invitation', invitation, { id: ID, name: 'Maren Okafor', email: 'm@school.example' }],
    ['a new password', linkUse, { password: 'ten letters and more' }],
    ['a co-teacher', coTeacher, { email: 'b@school.example' }],
  ] as [string, Schema, unknown][])('%s', (_, schema, body) => {
    expect(refused(schema, body)).toEqual([]);
  });
});

describe('bodies that are refused, by the field to blame', () => {
  it.each([
    [newAttempt, { ...attempt, id: 'x' }, 'id'],
    [newClass, { id: ID, name: {} }, 'name'],
    [newClass, { id: ID, name: ['Heron 9'] }, 'name'],
    [classCode, { code: [] }, 'code'],
    [teacherSignIn, { email: { a: 1 }, password: 'x' }, 'email'],
    [newAttempt, { ...attempt, taskId: undefined }, 'taskId'],
    [newAttempt, { ...attempt, kind: 'guess' }, 'kind'],
    [newAttempt, { ...attempt, entry: 'x'.repeat(20_001) }, 'entry'],
    [newAttempt, { ...attempt, eyeHeight: 151 }, 'eyeHeight'],
    [newAttempt, { ...attempt, eyeHeight: 'high' }, 'eyeHeight'],
    [newAttempt, { ...attempt, eyeHeight: undefined }, 'eyeHeight'],
    [newAttempt, { ...attempt, timeTaken: -1 }, 'timeTaken'],
    [newAttempt, { ...attempt, timeTaken: 1.5 }, 'timeTaken'],
    [newAttempt, { ...attempt, hints: 21 }, 'hints'],
    [
      newAttempt,
      { ...attempt, actions: Array.from({ length: 401 }, () => ({ kind: 'eye', at: 1, to: 1 })) },
      'actions',
    ],
    [newAttempt, { ...attempt, actions: [{ kind: 'dance', at: 1 }] }, 'actions[0].kind'],
    [benchAction, { kind: 'eye', at: -1 }, 'at'],
    [newRound, { subjectIds: ['x'.repeat(61)] }, 'subjectIds[0]'],
    [newRun, { protocolId: '', specimen: 'x' }, 'protocolId'],
    [newRun, { protocolId: 'x', specimen: '   ' }, 'specimen'],
    [newRun, { protocolId: 'x', specimen: 'x'.repeat(81) }, 'specimen'],
    [newRun, { protocolId: 'x', specimen: 'x', memberIds: ['me'] }, 'memberIds[0]'],
    [newRun, { protocolId: 'x', specimen: 'x', memberIds: Array.from({ length: 9 }, () => ID) }, 'memberIds'],
    [newRunEvent, { ...event, address: 'mass.1' }, 'address'],
    [newRunEvent, { ...event, address: undefined }, 'address.kind'],
    [newRunEvent, { ...event, address: { kind: 'toString' } }, 'address.kind'],
    [newRunEvent, { ...event, address: { kind: 'cell', members: {} } }, 'address.quantity'],
    [newRunEvent, { ...event, address: { kind: 'cell', quantity: 'mass', members: { trial: 1 } } }, 'address.members'],
    [newRunEvent, { ...event, address: { kind: 'cell', quantity: 'mass', members: [] } }, 'address.members'],
    [newRunEvent, { ...event, text: 'x'.repeat(4001) }, 'text'],
    [newRunEvent, { ...event, reason: 'x'.repeat(301) }, 'reason'],
    [newRunEvent, { ...event, replaces: 'that one' }, 'replaces'],
    [newRunEvent, { ...event, deviceTime: 'yesterday' }, 'deviceTime'],
    [newRunEvent, { ...event, person: '' }, 'person'],
    [teacherSignIn, { email: 'maren', password: 'x' }, 'email'],
    [teacherSignIn, { email: 'm@school.example', password: '' }, 'password'],
    [studentSignIn, { code: 'HRN-947', studentId: ID, pin: '12' }, 'pin'],
    [studentSignIn, { code: 'HRN-947', studentId: ID, pin: '12a4' }, 'pin'],
    [studentSignIn, { code: '', studentId: ID, pin: '1234' }, 'code'],
    [partnerSignIn, { studentId: 'me', pin: '1234' }, 'studentId'],
    [classCode, { code: '' }, 'code'],
    [newClass, { name: ' ' }, 'name'],
    [classChange, { name: '' }, 'name'],
    [classChange, { archived: 'perhaps' }, 'archived'],
    [rosterRow, { firstName: '', lastName: 'Varga' }, 'firstName'],
    [rosterRow, { firstName: 'x'.repeat(61) }, 'firstName'],
    [rosterImport, { rows: [] }, 'rows'],
    [rosterImport, { rows: Array.from({ length: 201 }, () => ({})) }, 'rows'],
    [demoSignIn, { role: 'head' }, 'role'],
    [invitation, { name: '', email: 'm@school.example' }, 'name'],
    [linkUse, { password: 'short' }, 'password'],
    [linkUse, { password: 'long enough now', email: 'no' }, 'email'],
    [coTeacher, { email: '' }, 'email'],
  ] as [Schema, unknown, string][])('%# %s', (schema, body, field) => {
    expect(refused(schema, body)).toContain(field);
  });
});

describe('what is tidied on the way', () => {
  it('codes are written in capitals, addresses in small letters, names without blanks around', () => {
    expect(classCode.cast({ code: ' hrn-947 ' }).code).toBe('HRN-947');
    expect(teacherSignIn.cast({ email: ' M@School.Example ', password: ' keeps its blanks ' })).toMatchObject({
      email: 'm@school.example',
      password: ' keeps its blanks ',
    });
    expect(rosterRow.cast({ id: ID, firstName: ' Ines ', lastName: undefined })).toEqual({
      id: ID,
      firstName: 'Ines',
      lastName: '',
    });
  });

  it('an entry is never changed', () => {
    expect(newAttempt.cast({ ...attempt, entry: '  52,6 ml ' }).entry).toBe('  52,6 ml ');
    expect(newRunEvent.cast({ ...event, text: ' 54.310 ' }).text).toBe(' 54.310 ');
  });

  it('what no schema knows is left out', () => {
    expect(newRound.validateSync({ seed: 7 }, { stripUnknown: true })).toEqual({ subjectIds: [], setRoundId: null });
  });
});
