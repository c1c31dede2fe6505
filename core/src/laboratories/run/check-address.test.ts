import { describe, expect, it } from 'vitest';
import { layoutOf } from '../protocol/layout.ts';
import { placesOf, settingOf } from '../engine/setting.ts';
import { DEFAULT_RULES } from '../../rules/house-rules.ts';
import { GLASSWARE_DELIVERY } from '../shipped/glassware-delivery.ts';
import { SHIPPED } from '../shipped/shipped.ts';
import { SOLID_BY_APPARENT_MASS } from '../shipped/solid-by-apparent-mass.ts';
import { addressKey, type Address } from './address.ts';
import { AddressError, checkAddress } from './check-address.ts';
import { sampleRun } from './run-from-rows.ts';

describe('the address of an entry', () => {
  it.each(SHIPPED)('is one that $id has, wherever its samples have one', (protocol) => {
    for (const sample of protocol.samples) {
      const run = sampleRun(protocol, sample);
      const { layout, members } = settingOf(protocol, run, DEFAULT_RULES);
      const chosen = new Map(
        [...members]
          .filter(([id]) => {
            const dimension = layout.dimensions.get(id);
            return dimension?.kind === 'case' && dimension.choose;
          })
          .map(([id, list]) => [id, list.map((member) => member.id)] as const),
      );
      for (const { address } of run.events) expect(() => checkAddress(layout, address, chosen)).not.toThrow();
    }
  });

  it('is refused at every computed quantity of every laboratory', () => {
    for (const protocol of SHIPPED) {
      const setting = settingOf(protocol, sampleRun(protocol), DEFAULT_RULES);
      for (const { id, kind, over, only } of setting.layout.quantities.values())
        if (kind === 'computed')
          for (const members of placesOf(setting, over, only))
            expect(() => checkAddress(setting.layout, { kind: 'cell', quantity: id, members })).toThrow(AddressError);
    }
  });

  const layout = layoutOf(SOLID_BY_APPARENT_MASS);

  it.each<[string, Address]>([
    ['quantity', { kind: 'cell', quantity: 'weight', members: {} }],
    ['quantity', { kind: 'cell', quantity: '__proto__', members: {} }],
    ['members.trial', { kind: 'cell', quantity: 'apparent', members: { liquid: 'water' } }],
    ['members.trial', { kind: 'cell', quantity: 'apparent', members: { liquid: 'water', trial: '0' } }],
    ['members.trial', { kind: 'cell', quantity: 'apparent', members: { liquid: 'water', trial: '9' } }],
    ['members.trial', { kind: 'cell', quantity: 'apparent', members: { liquid: 'water', trial: '01' } }],
    ['members.liquid', { kind: 'cell', quantity: 'apparent', members: { liquid: 'oil', trial: '1' } }],
    ['members.liquid', { kind: 'cell', quantity: 'apparent', members: { liquid: 'milk', trial: '1' } }],
    ['members.week', { kind: 'cell', quantity: 'mass', members: { week: '1' } }],
    // With the usual options there is no sinker.
    ['quantity', { kind: 'cell', quantity: 'sinker', members: { liquid: 'water', trial: '1' } }],
    ['quantity', { kind: 'cell', quantity: 'mass', members: {}, author: 'ines' }],
    ['quantity', { kind: 'tool', quantity: 'apparent', members: {} }],
    ['members.liquid', { kind: 'tool', quantity: 'liquidDensity', members: {} }],
    ['option', { kind: 'option', option: 'colour' }],
    ['dimension', { kind: 'members', dimension: 'liquid' }],
    ['dimension', { kind: 'excluded', dimension: 'liquid', member: 'water', within: {} }],
    ['member', { kind: 'excluded', dimension: 'trial', member: '99', within: {} }],
    ['within.liquid', { kind: 'excluded', dimension: 'trial', member: '1', within: { liquid: 'milk' } }],
    ['question', { kind: 'answer', question: 'why' }],
    ['statement', { kind: 'statement', statement: 'so' }],
  ])('names what is wrong: %s in %j', (field, address) => {
    expect(() => checkAddress(layout, address)).toThrow(expect.objectContaining({ name: 'AddressError', field }));
  });

  it.each<Address>([
    { kind: 'cell', quantity: 'density', members: { liquid: 'water' }, author: 'ines' },
    { kind: 'tool', quantity: 'liquidDensity', members: { liquid: 'oil' } },
    { kind: 'excluded', dimension: 'trial', member: '2', within: { liquid: 'water' } },
    { kind: 'adjustment', quantity: 'mass', members: {} },
    { kind: 'link', quantity: 'apparent', members: { liquid: 'water', trial: '2' } },
    { kind: 'option', option: 'body' },
    { kind: 'answer', question: 'oil' },
    { kind: 'statement', statement: 'bubbles' },
    { kind: 'accepted' },
    { kind: 'specimen' },
  ])('takes %j', (address) => {
    expect(() => checkAddress(layout, address)).not.toThrow();
  });

  it('takes the members that a run has chosen, and no others', () => {
    const chosen = new Map([['tool', ['burette', 'm1']]]);
    const at = (tool: string): Address => ({ kind: 'cell', quantity: 'nominal', members: { tool } });
    const glass = layoutOf(GLASSWARE_DELIVERY);
    expect(() => checkAddress(glass, at('m1'), chosen)).not.toThrow();
    expect(() => checkAddress(glass, at('beaker'), chosen)).toThrow('members.tool');
    expect(() => checkAddress(glass, { kind: 'members', dimension: 'tool' }, chosen)).not.toThrow();
  });

  it('has one key, whatever the order of its members', () => {
    expect(addressKey({ kind: 'cell', quantity: 'a', members: { x: '1', y: '2' } })).toBe(
      addressKey({ members: { y: '2', x: '1' }, quantity: 'a', kind: 'cell' }),
    );
    expect(addressKey({ kind: 'cell', quantity: 'a', members: { x: '1' } })).not.toBe(
      addressKey({ kind: 'cell', quantity: 'a', members: { x: '1' }, author: 'ines' }),
    );
  });
});
