import { describe, expect, it } from 'vitest';
import { agreement, type WrittenReading } from './agreement.ts';

const written = (...texts: readonly string[]): WrittenReading[] =>
  texts.map((text) => ({ value: Number(text), place: -(text.split('.')[1]?.length ?? 0) }));
const told = (readings: readonly WrittenReading[]): string[] =>
  agreement(readings).map(({ text, count, agreed }) => `${text} ${count}${agreed ? '' : '?'}`);

describe('which digits a room agrees on', () => {
  it('are the certain ones; the last one scatters', () => {
    expect(told(written('27.52', '27.53', '27.51', '27.54', '27.52', '27.55'))).toEqual([
      '2 6',
      '27 6',
      '27.5 6',
      '27.52 2?',
    ]);
  });
  it('are cut off as they stand, not rounded', () => {
    expect(told(written('27.49', '27.51', '27.52'))).toEqual(['2 3', '27 3', '27.5 2', '27.51 1?']);
  });
  it('follow those who agreed so far, and not a majority that has left before', () => {
    expect(told(written('27.5', '27.6', '27.7', '27.8', '26.9', '26.9', '26.9'))).toEqual(['2 7', '27 4?', '27.5 1?']);
  });
  it('count nobody who wrote no such digit', () => {
    expect(told(written('27.5', '27', '27.5'))).toEqual(['2 3', '27 3', '27.5 2']);
  });
  it('keep zeros that were written, and the place that most wrote to', () => {
    expect(told(written('4.70', '4.70', '4.7'))).toEqual(['4 3', '4.7 3', '4.70 2']);
    expect(told(written('4.7', '4.7', '4.70'))).toEqual(['4 3', '4.7 3']);
  });
  it('are found where numbers have different lengths, or stand below zero', () => {
    expect(told(written('9.8', '10.1', '9.9', '9.7'))).toEqual(['9 3', '9.8 1?']);
    expect(told(written('-3.4', '-3.5', '-3.4'))).toEqual(['-3 3', '-3.4 2']);
    expect(told(written('0.45', '0.46', '0.45'))).toEqual(['0 3', '0.4 3', '0.45 2']);
  });
  it('of a display are all of them', () => {
    expect(agreement(written('53.27', '53.27', '53.27')).every(({ agreed }) => agreed)).toBe(true);
  });
  it('of one reading are its own, and of none there are none', () => {
    expect(told(written('52.6'))).toEqual(['5 1', '52 1', '52.6 1']);
    expect(agreement([])).toEqual([]);
  });
});
