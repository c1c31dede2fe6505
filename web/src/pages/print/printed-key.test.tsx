import type { PrintedReading, PrintedRound } from '@green-beam/contract';
import { completeRules, drawItem, shownItem } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { rendered, textsOf } from '../../../test/rendered.ts';
import { DecimalMark } from '../../numbers/decimal-mark.ts';
import { PrintedKey } from './printed-key.tsx';

const picture = shownItem(drawItem('cylinder-50', { seed: 1 }));
const reading = (text: string, unit: string, accepts: readonly [string, string]): PrintedReading => ({
  question: '',
  tool: '',
  picture,
  unit,
  answer: { text, accepts },
});

const ROUND: PrintedRound = {
  title: 'Three of each',
  className: 'Heron 9',
  dueAt: null,
  rules: completeRules(),
  sheets: [
    {
      code: 'KMB-9547',
      student: 'Ines Varga',
      readings: [
        reading('46.0', 'mL', ['45.8', '46.2']),
        reading('3', '', ['3', '3']),
        reading('7c 12a', '', ['7c 12a', '7c 12a']),
      ],
    },
    { code: 'FCA-4828', student: 'Bao Lind', readings: [reading('-3.0', '°C', ['-3.2', '-2.8'])] },
  ],
};

describe('the key to a round on paper', () => {
  it('has every student with the code of the sheet, and the right answers in their order', () => {
    const { root } = rendered(<PrintedKey round={ROUND} />);
    expect(textsOf(root, 'section > p')).toEqual(['Ines VargaKMB-9547', 'Bao LindFCA-4828']);
    expect(textsOf(root, 'section:first-of-type li > span.font-bold')).toEqual(['1', '2', '3']);
  });

  it('says what is accepted where that is more than the right answer, and nothing where it is not', () => {
    const { root, seen } = rendered(<PrintedKey round={ROUND} />);
    expect(textsOf(root, 'li > span.block')).toEqual(['45.8…46.2', '−3.2…−2.8']);
    expect(seen).toContain('Key: Three of each');
    expect(seen).toContain('For the teacher only.');
  });

  it('is written with a comma where the class does', () => {
    const { seen } = rendered(
      <DecimalMark value="comma">
        <PrintedKey round={ROUND} />
      </DecimalMark>,
    );
    expect(seen).toContain('45,8…46,2');
    expect(seen).not.toMatch(/\d\.\d/);
  });
});
