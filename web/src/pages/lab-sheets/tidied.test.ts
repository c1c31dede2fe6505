import { protocol, protocolFaults, protocolIds } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { copyOf, newSheet } from './new-sheet.ts';
import { showable, tidied } from './tidied.ts';

describe('what a form holds', () => {
  it.each(protocolIds())('of %s is the laboratory again', (id) => {
    const lab: unknown = JSON.parse(JSON.stringify(protocol(id)));
    expect(tidied(showable(lab as Record<string, unknown>))).toEqual(lab);
  });

  it('leaves out what was left empty', () => {
    expect(
      tidied({
        kit: ['a cup', '', '  '],
        quantities: [{ id: 'm', unit: '', usual: '', step: '', optional: false, halfWidth: Number.NaN }],
        results: [{ quantity: 'm', accepted: undefined, goodPercentError: undefined }],
        statements: [{ holds: false, corrections: ['right', 'wrong', ''] }],
      }),
    ).toEqual({
      kit: ['a cup'],
      quantities: [{ id: 'm', unit: '' }],
      results: [{ quantity: 'm' }],
      statements: [{ holds: false, corrections: ['right', 'wrong'] }],
    });
  });

  it('can be shown, whatever is missing', () => {
    const shown = showable({ title: 7, kit: 'a cup', steps: [null, { id: 'weigh' }], quantities: { id: 'm' } });
    expect(shown).toMatchObject({ kit: [], steps: [{ id: 'weigh' }], quantities: [], questions: [] });
  });
});

describe('a new lab sheet', () => {
  it('has nothing wrong in it', () => expect(protocolFaults(newSheet())).toEqual([]));

  it('that is a copy has a title of its own, within its length', () => {
    expect(copyOf(protocol('burn-rate'))['title']).toMatch(/ \(changed\)$/);
    expect(protocolFaults(copyOf({ ...protocol('burn-rate'), title: 'x'.repeat(120) }))).toEqual([]);
  });
});
