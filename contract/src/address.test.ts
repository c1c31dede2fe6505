import { REPORT_SECTIONS, type Address } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { refused } from '../test/refused.ts';
import { addressInRequest } from './address.ts';

const AT = { quantity: 'mass', members: { trial: '1' } };
/** One of each kind: the compiler says when one is missing. */
const EACH: { readonly [Kind in Address['kind']]: Extract<Address, { readonly kind: Kind }> } = {
  cell: { kind: 'cell', ...AT },
  shown: { kind: 'shown', ...AT, author: 'ines' },
  tool: { kind: 'tool', ...AT },
  adjustment: { kind: 'adjustment', ...AT },
  link: { kind: 'link', ...AT },
  option: { kind: 'option', option: 'shape' },
  members: { kind: 'members', dimension: 'trial' },
  excluded: { kind: 'excluded', dimension: 'trial', member: '2', within: {} },
  accepted: { kind: 'accepted' },
  specimen: { kind: 'specimen' },
  answer: { kind: 'answer', question: 'why', author: 'ines' },
  statement: { kind: 'statement', statement: 'dry-first', author: 'ines' },
  report: { kind: 'report', section: 'conclusion', author: 'ines' },
};

describe('where an entry belongs', () => {
  it.each(Object.values(EACH))('$kind', (address) => {
    expect(refused(addressInRequest as never, address)).toEqual([]);
  });

  // A place without one of its fields is another place, or none.
  const WITHOUT = Object.values(EACH).flatMap((address) =>
    Object.keys(address)
      .filter((field) => field !== 'author' || address.kind === 'shown')
      .map((field) => [address.kind, field, { ...address, [field]: undefined }] as const),
  );
  it.each(WITHOUT)('%s needs its %s', (_, field, address) => {
    expect(refused(addressInRequest as never, address)).toContain(field);
  });

  it.each(REPORT_SECTIONS)('the part %s of a report', (section) => {
    expect(refused(addressInRequest as never, { kind: 'report', section })).toEqual([]);
  });

  it.each([
    ['a kind that is none', { kind: 'margin' }, ['kind']],
    ['a kind of every object', { kind: 'constructor' }, ['kind']],
    ['a part that is none', { ...EACH.report, section: 'doodles' }, ['section']],
    ['members in a list', { ...EACH.cell, members: ['1'] }, ['members']],
    ['a member that is a number', { ...EACH.cell, members: { trial: 1 } }, ['members']],
    ['a member without an end', { ...EACH.cell, members: { trial: 'x'.repeat(61) } }, ['members']],
    [
      'nine members',
      { ...EACH.cell, members: Object.fromEntries(Array.from({ length: 9 }, (_, i) => [`d${i}`, '1'])) },
      ['members'],
    ],
    ['a quantity without an end', { ...EACH.cell, quantity: 'x'.repeat(61) }, ['quantity']],
  ])('refuses %s', (_, address, paths) => {
    expect(refused(addressInRequest as never, address)).toEqual(paths);
  });
});
