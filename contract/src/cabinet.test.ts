import { describe, expect, it } from 'vitest';
import { ValidationError } from 'yup';
import { newTool, newToolNote, toolChange, toolImport, toolRow } from './cabinet.ts';

async function refused(check: Promise<unknown>): Promise<string> {
  return check.then(
    () => 'taken',
    (error: unknown) => (error instanceof ValidationError ? `${error.path ?? ''}: ${error.message}` : String(error)),
  );
}

describe('a tool of the cabinet', () => {
  it('needs a code and a kind, and has the usual for the rest', async () => {
    expect(await newTool.validate({ code: ' C-01 ', instrumentId: 'caliper-tenth' })).toEqual({
      code: 'C-01',
      instrumentId: 'caliper-tenth',
      kind: 'real',
      keeper: '',
      tolerance: null,
      state: 'fit',
    });
    expect(await refused(newTool.validate({ code: '  ', instrumentId: 'caliper-tenth' }))).toMatch(
      /^code: Write the code/,
    );
    expect(await refused(newTool.validate({ code: 'C-01' }))).toMatch(/^instrumentId: /);
  });

  it.each([['a;b'], ['<script>'], ['-1'], ['x'.repeat(21)], ['=1+1']])('cannot have the code “%s”', async (code) => {
    expect(await refused(newTool.validate({ code, instrumentId: 'caliper-tenth' }))).toMatch(/^code: (A|The) code/);
  });

  it.each([['Ü 4'], ['7'], ['bench 2.b'], ['Б-01']])('can have the code “%s”', async (code) => {
    expect(await refused(newTool.validate({ code, instrumentId: 'caliper-tenth' }))).toBe('taken');
  });

  it('is changed from a version, in part', async () => {
    expect(await toolChange.validate({ state: 'watch', after: 3 })).toEqual({ state: 'watch', after: 3 });
    expect(await refused(toolChange.validate({ state: 'watch' }))).toMatch(/^after: /);
    expect(await refused(toolChange.validate({ tolerance: 0, after: 1 }))).toMatch(
      /^tolerance: The tolerance is above zero/,
    );
    expect((await toolChange.validate({ tolerance: null, after: 1 })).tolerance).toBeNull();
  });
});

describe('a note on a tool', () => {
  const id = '5a17a4b0-0000-4000-8000-000000000001';

  it('says what was read, with its sign', async () => {
    expect(await newToolNote.validate({ id, kind: 'zero', reading: -0.02 })).toEqual({
      id,
      kind: 'zero',
      reading: -0.02,
      nominal: null,
      remark: '',
    });
    expect(await refused(newToolNote.validate({ id, kind: 'zero', reading: 'much' }))).toBe(
      'reading: The reading is not a number.',
    );
    expect(await refused(newToolNote.validate({ id, kind: 'guess', reading: 1 }))).toMatch(/^kind: /);
    expect(await refused(newToolNote.validate({ id: 'x', kind: 'zero', reading: 1 }))).toBe('id: That is not an id.');
  });
});

describe('a list of tools', () => {
  it('is neither empty nor endless', async () => {
    expect(await refused(toolImport.validate({ rows: [] }))).toBe('rows: The list is empty.');
    expect(await refused(toolImport.validate({ rows: Array(301).fill({ code: 'x' }) }))).toBe(
      'rows: A list has at most 300 tools.',
    );
    expect(await refused(toolRow.validate({ code: 'C', instrumentId: 'burette-50', zeroError: 'much' }))).toBe(
      'zeroError: The zero error is not a number.',
    );
  });
});
