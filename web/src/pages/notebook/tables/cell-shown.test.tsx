import type { RunPage } from '@green-beam/contract';
import { protocol, workOut, type Address, type Cell, type RunEvent } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { rendered, textsOf } from '../../../../test/rendered.ts';
import { CellShown, wordsFor } from './cell-shown.tsx';

const PEOPLE: RunPage['people'] = {
  a: { label: 'Noor L.', initials: 'NL' },
  b: { label: 'Bao T.', initials: 'BT' },
};

let sent = 0;
/** A quantity of a trial: `after.1`. */
function placeOf(place: string): Extract<Address, { kind: 'cell' }> {
  const [quantity = '', trial = ''] = place.split('.');
  return { kind: 'cell', quantity, members: { trial } };
}

function event(place: string, text: string, more: Partial<RunEvent> = {}): RunEvent {
  sent += 1;
  return {
    id: `event-${sent}`,
    address: placeOf(place),
    text,
    replaces: null,
    reason: null,
    person: 'a',
    deviceTime: '2026-03-20T10:21:00',
    order: sent,
    ...more,
  };
}

function cellOf(place: string, events: readonly RunEvent[]): Cell {
  const { quantity, members } = placeOf(place);
  return workOut(protocol('solid-by-displacement'), { events }).cellAt(quantity, members)!;
}

describe('a cell of the table of trials', () => {
  it('shows a reading with its doubtful digit', () => {
    const cell = cellOf('after.1', [event('after.1', '27.0')]);
    expect(textsOf(rendered(<CellShown cell={cell} people={PEOPLE} />).root, '.decoration-dotted')).toEqual(['0']);
    expect(wordsFor(cell, PEOPLE)).toBe('27.0');
  });

  it('keeps a corrected entry legible, with who corrected it, when and why', () => {
    const first = event('after.1', '27.0');
    const cell = cellOf('after.1', [
      first,
      event('after.1', '28.0', { replaces: first.id, person: 'b', reason: 'read at the wall' }),
    ]);
    const { root, seen } = rendered(<CellShown cell={cell} people={PEOPLE} />);
    expect(textsOf(root, '.line-through > span[aria-hidden]')).toEqual(['27.0']);
    expect(seen).toContain('28.0');
    expect(seen).toContain('BT 10:21');
    expect(wordsFor(cell, PEOPLE)).toBe('28.0, corrected from 27.0 by BT 10:21: read at the wall');
    for (const visible of ['27.0', '28.0', 'BT 10:21']) expect(wordsFor(cell, PEOPLE)).toContain(visible);
  });

  it('asks about two entries that replace the same one', () => {
    const first = event('after.1', '27.0');
    const cell = cellOf('after.1', [
      first,
      event('after.1', '28.0', { replaces: first.id }),
      event('after.1', '28.1', { replaces: first.id, person: 'b' }),
    ]);
    const asked = /28\.0.*or 28\.1\?|28\.1.*or 28\.0\?/;
    expect(rendered(<CellShown cell={cell} people={PEOPLE} />).seen).toMatch(asked);
    expect(wordsFor(cell, PEOPLE)).toMatch(asked);
  });

  it('shows what cannot be used as it was typed', () => {
    const cell = cellOf('after.1', [event('after.1', 'about half')]);
    const { root, seen } = rendered(<CellShown cell={cell} people={PEOPLE} />);
    expect(seen).toBe('about half');
    expect(root.querySelectorAll('.decoration-wavy')).toHaveLength(1);
    expect(wordsFor(cell, PEOPLE)).toBe('about half');
  });

  it('is a point where nothing is written, and says that it is empty', () => {
    const cell: Cell = { kind: 'empty' };
    expect(rendered(<CellShown cell={cell} people={PEOPLE} />).seen).toBe('·');
    expect(wordsFor(cell, PEOPLE)).toBe('empty');
  });

  it('computes, and waits with a mark where there is no result', () => {
    const readings = [event('mass.1', '54.31'), event('before.1', '21.4'), event('after.1', '27.8')];
    expect(rendered(<CellShown cell={cellOf('density.1', readings)} people={PEOPLE} />).seen).toBe('8.5');
    const level = [event('mass.1', '54.31'), event('before.1', '21.4'), event('after.1', '21.4')];
    expect(rendered(<CellShown cell={cellOf('density.1', level)} people={PEOPLE} />).seen).toBe('!');
  });
});
