import type { TogetherDot } from '@green-beam/contract';
import { describe, expect, it } from 'vitest';
import { digitsInWords, digitsShown, divisionOf, figuresOf, readingText, roomOf, type Room } from './room-in-words.ts';

const dots = (...texts: readonly string[]): TogetherDot[] =>
  texts.map((text) => ({ value: Number(text), place: -(text.split('.')[1]?.length ?? 0), sound: null }));
const room = (...texts: readonly string[]): Room => roomOf(dots(...texts), 0.1, 'mL')!;

describe('what a room has read', () => {
  it('has a mean as far as the first figure of its spread', () => {
    const read = room('27.54', '27.50', '27.58', '27.52', '27.56');
    // s = √(0.0040 ÷ 4) = 0.0316
    expect(figuresOf(read, null)).toEqual({
      mean: '27.54',
      spread: '0.03',
      standardError: '0.014',
      bias: null,
      isOff: null,
    });
  });
  it('is never written coarser than it was read', () => {
    expect(figuresOf(room('27.5', '29.5', '25.5', '27.5'), null)?.mean).toBe('27.5');
  });
  it('has a bias once the true value is shown, and says whether it is more than chance', () => {
    const read = room('27.54', '27.50', '27.58', '27.52', '27.56');
    expect(figuresOf(read, 27.4)).toMatchObject({ bias: '0.14', isOff: true });
    expect(figuresOf(read, 27.55)).toMatchObject({ bias: '-0.01', isOff: false });
  });
  it('of one reading has no spread, and of equal ones a spread of zero', () => {
    expect(figuresOf(room('27.5'), 27.4)).toEqual({
      mean: '27.5',
      spread: null,
      standardError: null,
      bias: '0.1',
      isOff: null,
    });
    expect(figuresOf(room('27.5', '27.5'), 27.4)).toMatchObject({ spread: '0', bias: '0.1', isOff: true });
  });
  it('leaves out what is far off', () => {
    const read = room('27.54', '27.52', '28.46', '27.53');
    expect(read.farOff.map(({ value }) => value)).toEqual([28.46]);
    expect(figuresOf(read, null)?.mean).toBe('27.53');
  });
});

describe('the digits on the wall', () => {
  it('are those agreed on, and a question mark', () => {
    const read = room('27.54', '27.52', '27.53', '27.55');
    expect(digitsShown(read)).toEqual({ certain: '27.5', doubtful: '?' });
    expect(digitsInWords(read, 4)).toBe('4 of 4 agree on 27.5. The next digit is an estimate.');
  });
  it('keep the decimal mark with what is agreed on', () => {
    expect(digitsShown(room('27.1', '27.4', '27.9'))).toEqual({ certain: '27.', doubtful: '?' });
  });
  it('are all of them where all wrote the same; the last is an estimate all the same', () => {
    const read = room('27.5', '27.5', '27.5');
    expect(digitsShown(read)).toEqual({ certain: '27.', doubtful: '5' });
    expect(digitsInWords(read, 3)).toBe('3 of 3 wrote the same, to the last digit.');
  });
  it('are none where nobody agrees, and say so', () => {
    const read = roomOf(dots('12', '45', '78'), 10, 'mL')!;
    expect(roomOf([], 10, 'mL')).toBeNull();
    expect(digitsShown(read)).toEqual({ certain: '', doubtful: '?' });
    expect(digitsInWords(read, 3)).toBe('Two thirds of you agree on no digit yet.');
    expect(digitsInWords(room('27.5'), 1)).toMatch(/^One reading alone/);
  });
  it('of a clock are compared as they are shown', () => {
    const read = roomOf(
      [1893, 1893, 1893].map((value) => ({ value, place: 0, sound: null })),
      1,
      'h:min:s',
    )!;
    expect(digitsShown(read)).toEqual({ certain: '0:31:33', doubtful: null });
    expect(readingText(1893, 0, 'h:min:s')).toBe('0:31:33');
  });
});

it('a tool of which nothing is known is divided ten times as coarsely as it is read', () => {
  expect(divisionOf(dots('2.35', '2.36', '2.4'), null)).toBe(0.1);
  expect(divisionOf(dots('2.35'), 0.05)).toBe(0.05);
});
