import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addressKey, type Address } from './address.ts';
import { foldRun, type RunEvent } from './run.ts';

const AT = {
  'mass 1': { kind: 'cell', quantity: 'mass', members: { trial: '1' } },
  'before 1': { kind: 'cell', quantity: 'before', members: { trial: '1' } },
  'before 2': { kind: 'cell', quantity: 'before', members: { trial: '2' } },
  accepted: { kind: 'accepted' },
} as const satisfies Record<string, Address>;
const MASS = addressKey(AT['mass 1']);

const event = (id: string, more: Partial<RunEvent> = {}): RunEvent => ({
  id,
  address: AT['mass 1'],
  text: id,
  replaces: null,
  reason: null,
  person: 'ines',
  deviceTime: '2026-03-01T10:00:00Z',
  order: 1,
  ...more,
});

/** Logs as a group makes them: entries and corrections in a few slots, by people who do not always see one another's. */
const logs = fc
  .array(
    fc.record({
      address: fc.constantFrom<Address[]>(...Object.values(AT)),
      text: fc.constantFrom('1', '2', '3', ''),
      correct: fc.nat(),
      minute: fc.integer({ min: 10, max: 59 }),
    }),
    { maxLength: 25 },
  )
  .map((steps) => {
    const events: RunEvent[] = [];
    steps.forEach(({ address, text, correct, minute }, i) => {
      const earlier = events.filter((one) => one.address === address);
      const target = earlier.length > 0 && correct % 3 > 0 ? earlier[correct % earlier.length] : undefined;
      events.push(
        event(`e${i}`, {
          address,
          text,
          replaces: target?.id ?? null,
          order: i,
          deviceTime: `2026-03-01T10:${minute}:00Z`,
        }),
      );
    });
    return events;
  });

describe('a slot that was left empty', () => {
  const log = [event('a', { order: 1 }), event('b', { text: '', replaces: 'a', order: 2 })];

  it('is empty, and knows what emptied it', () => {
    expect(foldRun({ events: log }).get(MASS)).toMatchObject({ current: { id: 'b' }, rivals: [] });
  });

  it('is written again by a first entry that comes after', () => {
    const { current, rivals, struck } = foldRun({ events: [...log, event('c', { order: 3 })] }).get(MASS)!;
    expect([current.id, rivals, struck.map(({ id }) => id)]).toEqual(['c', [], ['a', 'b']]);
  });

  it('is in conflict where somebody corrected what was emptied', () => {
    const { current, rivals } = foldRun({ events: [...log, event('c', { replaces: 'a', order: 3 })] }).get(MASS)!;
    expect([current.id, rivals.map(({ id }) => id)]).toEqual(['b', ['c']]);
  });
});

describe('folding a log', () => {
  it('gives the same page in whatever order the entries arrive', () => {
    fc.assert(
      fc.property(logs, fc.infiniteStream(fc.nat()), (events, noise) => {
        const keys = new Map(events.map((one) => [one.id, noise.next().value]));
        const shuffled = [...events].sort((a, b) => (keys.get(a.id) ?? 0) - (keys.get(b.id) ?? 0));
        expect(new Map([...foldRun({ events: shuffled })].sort())).toEqual(new Map([...foldRun({ events })].sort()));
      }),
    );
  });

  it('takes entries that are sent twice once', () => {
    fc.assert(
      fc.property(logs, (events) => {
        expect(foldRun({ events: [...events, ...events] })).toEqual(foldRun({ events }));
      }),
    );
  });

  it('loses no entry: each is in force, struck through, a rival, or says what the one in force says', () => {
    fc.assert(
      fc.property(logs, (events) => {
        const slots = foldRun({ events });
        for (const one of events) {
          const state = slots.get(addressKey(one.address));
          const shown = state && [state.current, ...state.struck, ...state.rivals];
          expect(shown?.some((other) => other.id === one.id) || state?.current.text === one.text).toBe(true);
        }
      }),
    );
  });

  it('an entry that nobody replaced stands', () => {
    expect(foldRun({ events: [event('a')] }).get(MASS)).toEqual({ current: event('a'), struck: [], rivals: [] });
  });

  it('a chain of corrections leaves the last in force and the others struck, oldest first', () => {
    const events = [
      event('a', { order: 1 }),
      event('b', { order: 2, replaces: 'a' }),
      event('c', { order: 3, replaces: 'b' }),
    ];
    const state = foldRun({ events }).get(MASS)!;
    expect(state.current.id).toBe('c');
    expect(state.struck.map((one) => one.id)).toEqual(['a', 'b']);
  });

  it('two corrections of one entry are rivals until somebody replaces them', () => {
    const events = [
      event('a', { order: 1 }),
      event('b', { order: 2, replaces: 'a' }),
      event('c', { order: 3, replaces: 'a' }),
    ];
    expect(foldRun({ events }).get(MASS)).toMatchObject({ current: { id: 'b' }, rivals: [{ id: 'c' }] });
    const decided = [
      ...events,
      event('d', { order: 4, replaces: 'b' }),
      event('e', { order: 5, replaces: 'c', text: 'd' }),
    ];
    expect(foldRun({ events: decided }).get(MASS)).toMatchObject({ current: { id: 'd' }, rivals: [] });
  });

  it('what has not reached the server yet comes after what has', () => {
    const events = [
      event('mine', { order: null, replaces: 'a', deviceTime: '2026-03-01T09:00:00Z' }),
      event('a', { order: 7 }),
    ];
    const state = foldRun({ events }).get(MASS)!;
    expect([state.current.id, state.struck.map((one) => one.id)]).toEqual(['mine', ['a']]);
  });

  it('is empty for an empty log', () => {
    expect(foldRun({ events: [] }).size).toBe(0);
  });
});
