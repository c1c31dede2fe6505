import { calculate, convert, type Calculation } from '@green-beam/core';
import { NodeType } from 'node-html-parser';
import { describe, expect, it } from 'vitest';
import { rendered, seenOf, textsOf } from '../../test/rendered.ts';
import { CalculatedNumber } from './calculated-number.tsx';
import { Chain, isConversion } from './chain.tsx';
import { DecimalMark } from './decimal-mark.ts';
import { Steps } from './steps.tsx';

const stepsOf = (expression: string) => rendered(<Steps steps={calculate(expression).steps} />);
const plain = (text: string): string => text.replace(/\s/g, '');

describe('the steps of a working', () => {
  it('stand in the order in which they are made, with guard digits carried from one to the next', () => {
    const { root } = stepsOf('24.31 g / (18.6 mL - 9.2 mL)');
    expect(root.querySelectorAll('li > p').map((line) => plain(seenOf(line)))).toEqual([
      '18.6mL−9.2mL=9.4mL',
      '24.31g÷9.4mL=2.5861g/mL',
    ]);
  });

  it('are each asked why, and answer in words', () => {
    const { root } = stepsOf('24.31 g / (18.6 mL - 9.2 mL)');
    expect(textsOf(root, 'summary')).toEqual(['Why one decimal?', 'Why two figures?']);
    expect(textsOf(root, 'details > p')).toEqual([
      'A sum or difference ends at the place of its least certain term: 18.6 ends at the tenths.',
      'A product or quotient has as many figures as the factor with the fewest: 9.4 has 2.',
    ]);
  });

  it.each([
    ['sqrt(8.41 cm^2)', 'sqrtof8.41cm2=2.90cm'],
    ['mean(9.4 mL; 9.6 mL; 9.5 mL)', 'meanof9.4mL,9.6mL,9.5mL=9.5mL'],
    ['(2.41 cm)^2', '2.41cmtothepower2=5.8081cm2'],
    ['12.0 g * exact(3)', '12.0g×3=36.0g'],
  ])('%s is written out', (expression, line) => {
    const { seen } = stepsOf(expression);
    expect(plain(seen)).toContain(line);
  });

  it('can be broken between operands on a narrow page, and never inside a number', () => {
    const { root } = stepsOf('123.45 g + 678.91 g');
    const line = root.querySelector('li > p')!;
    expect(
      line.childNodes.filter((node) => node.nodeType === NodeType.TEXT_NODE && /\s/.test(node.textContent)).length,
    ).toBeGreaterThanOrEqual(2);
    for (const number of line.querySelectorAll('.font-mono'))
      expect(number.getAttribute('class')).toContain('whitespace-nowrap');
  });

  it.each([
    ['24.31 g / 9.4 mL', ['9.4mL']],
    ['18.6 mL - 9.25 mL', ['18.6mL']],
    ['exact(3) * 2.41 g', ['2.41g']],
    ['84.93 g - 47.56 g', ['84.93g', '47.56g']],
    ['14.2 cm * 0.236 cm', ['14.2cm', '0.236cm']],
    ['mean(1.2 g; 1.35 g; 1.3 g)', ['1.2g', '1.3g']],
    ['exact(3) * exact(4)', []],
    ['sqrt(8.41 cm^2)', []],
  ])('%s: what decides is marked, where there are several numbers', (expression, deciding) => {
    const { root, heard } = stepsOf(expression);
    expect(root.querySelectorAll('mark').map((mark) => plain(seenOf(mark)))).toEqual(deciding);
    expect((heard.match(/, which decides/g) ?? []).length).toBe(deciding.length);
  });

  it('are written with a comma where the class does, answers too', () => {
    const { seen } = rendered(
      <DecimalMark value="comma">
        <Steps steps={calculate('18.6 mL - 9.2 mL').steps} />
      </DecimalMark>,
    );
    expect(seen).toContain('18,6');
    expect(seen).not.toMatch(/\d\.\d/);
  });
});

describe('a result', () => {
  it.each([
    ['18.6 mL ± 0.24 mL', '18.6±0.2mL'],
    ['exact(12) * exact(3)', '36'],
    ['12:41:20 - 12:09:47', '0:31:33'],
    ['1250 g + 38.4 g', '1.29×103g'],
  ])('%s is written as %s', (expression, written) => {
    expect(plain(rendered(<CalculatedNumber calculation={calculate(expression)} />).seen)).toBe(written);
  });

  it('that is exact is said to be', () => {
    expect(rendered(<CalculatedNumber calculation={calculate('exact(12) * exact(3)')} />).heard).toBe('36, exact');
  });

  it('shows a chain only where something was converted', () => {
    expect(isConversion(calculate('2 g + 3 g'))).toBe(false);
    expect(isConversion(convert('335 cm^2', 'in^2'))).toBe(true);
    const shown = (calculation: Calculation): string => rendered(<Chain calculation={calculation} />).seen;
    expect(shown(calculate('2 g + 3 g'))).toBe('');
    expect(shown(convert('335 cm^2', 'in^2'))).toBe('Typesetting …');
    // Nothing is multiplied where a unit is only another name.
    expect(shown(convert('5.0 mL', 'cm^3'))).not.toBe(shown(calculate('2 g + 3 g')));
  });
});
