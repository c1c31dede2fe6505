import type { BoardCell } from '@green-beam/contract';
import { practiceSlipById } from '@green-beam/core';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { SkillCell } from './skill-cell.tsx';

const CELL: BoardCell = {
  skill: 'burettes',
  readings: 8,
  sound: 2,
  lastSeen: '2026-05-12T10:30:00Z',
  slips: [{ id: 'upside-down', count: 5, lastSeen: '2026-05-12T10:30:00Z' }],
};

function shown(cell: BoardCell | undefined, slipTo: 'left' | 'right' | null = null): string {
  return renderToStaticMarkup(
    <SkillCell cell={cell} label="Amara, burettes" slipTo={slipTo} onOpen={() => undefined} />,
  );
}

describe('a skill of a student on the board', () => {
  it('says the same in words as its bar shows', () => {
    const markup = shown(CELL);
    expect(markup).toContain('Amara, burettes: 2 of 8 right at the first try.');
    expect(markup).toContain('width:25%');
  });

  it('has an empty bar, and no part of one, below five readings', () => {
    const markup = shown({ ...CELL, readings: 4 });
    expect(markup).toContain('Amara, burettes: too early to say, 4 so far.');
    expect(markup).not.toContain('width:');
    expect(shown({ ...CELL, readings: 5, sound: 0 })).toContain('width:0%');
  });

  it('that was never practised says so, and opens nothing', () => {
    const markup = shown(undefined);
    expect(markup).toContain('not yet');
    expect(markup).not.toContain('<button');
  });

  it('writes the commonest slip out only where there is room for it, towards that side', () => {
    const { name } = practiceSlipById('upside-down');
    expect(shown(CELL)).not.toContain(name);
    expect(shown(CELL, 'right')).toContain(name);
    expect(shown(CELL, 'right')).not.toContain('justify-end');
    expect(shown(CELL, 'left')).toContain('justify-end');
    expect(shown({ ...CELL, slips: [] }, 'right')).not.toContain('text-slip');
  });
});
