import { describe, expect, it } from 'vitest';
import { rendered, textsOf } from '../../test/rendered.ts';
import { DecimalMark } from './decimal-mark.ts';
import { MeasuredNumber } from './measured-number.tsx';

const doubtful = (root: ReturnType<typeof rendered>['root']): string[] => textsOf(root, '.decoration-dotted');

describe('a measured number', () => {
  it.each([
    ['18.4', 'mL', '18.4\u2009mL', '4', '18.4, doubtful digit 4, millilitres'],
    ['46.0', '', '46.0', '0', '46.0, doubtful digit 0'],
    ['-3.05', '°C', '−3.05\u2009°C', '5', 'minus 3.05, doubtful digit 5, degrees Celsius'],
    ['7', 'g', '7\u2009g', '7', '7, doubtful digit 7, grams'],
    ['0:31:33', '', '0:31:33', '3', '0:31:33, doubtful digit 3'],
  ])('%s %s shows its doubtful digit, and says it', (text, unit, seen, digit, heard) => {
    const number = rendered(<MeasuredNumber text={text} unit={unit} />);
    expect(number.seen.replace(/\s/g, '')).toBe(seen.replace(/\s/g, ''));
    expect(doubtful(number.root)).toEqual([digit]);
    expect(number.heard).toBe(heard);
  });

  it('writes a power of ten with a raised exponent, and doubts the last digit before it', () => {
    const { root, heard } = rendered(<MeasuredNumber text="4.0e-3" unit="m" />);
    expect(textsOf(root, 'sup')).toEqual(['−3']);
    expect(doubtful(root)).toEqual(['0']);
    expect(heard).toBe('4.0 times ten to the power minus 3, doubtful digit 0, metres');
  });

  it('draws a bar over what is exact, and doubts nothing in it', () => {
    const { root, heard } = rendered(<MeasuredNumber text="2.54" unit="cm" exact />);
    expect(textsOf(root, '.overline')).toEqual(['2.54']);
    expect(doubtful(root)).toEqual([]);
    expect(heard).toBe('2.54, exact, centimetres');
  });

  it('shows guard digits after the doubtful one, and does not say them as part of the number', () => {
    const { root, seen, heard } = rendered(<MeasuredNumber text="2.5" guard="861" unit="g/mL" />);
    expect(seen.replace(/\s/g, '')).toBe('2.5861g/mL');
    expect(doubtful(root)).toEqual(['5']);
    expect(textsOf(root, '.text-dim')).toEqual(['861']);
    expect(heard).toBe('2.5, doubtful digit 5, grams per millilitre');
  });

  it('writes an uncertainty behind the sign, both with their doubtful digits and one unit', () => {
    const { root, seen, heard } = rendered(<MeasuredNumber text="8.8" uncertainty="0.6" unit="g/mL" />);
    expect(seen.replace(/\s/g, '')).toBe('8.8±0.6g/mL');
    expect(doubtful(root)).toEqual(['8', '6']);
    expect(heard).toBe('8.8, doubtful digit 8 plus or minus 0.6, doubtful digit 6, grams per millilitre');
  });

  it('keeps a struck number legible, and says that it is struck', () => {
    const { root, seen, heard } = rendered(<MeasuredNumber text="27.0" struck />);
    expect(seen).toBe('27.0');
    expect(root.querySelector('.line-through')?.textContent).toContain('27.0');
    expect(heard).toBe('struck through: 27.0, doubtful digit 0');
  });

  it('raises the powers of a unit', () => {
    const { root, seen } = rendered(<MeasuredNumber text="51.9" unit="in^2" />);
    expect(textsOf(root, 'sup')).toEqual(['2']);
    expect(seen.replace(/\s/g, '')).toBe('51.9in2');
  });

  it('writes and says a comma where the class does', () => {
    const number = rendered(
      <DecimalMark value="comma">
        <MeasuredNumber text="1.25e3" unit="g" uncertainty="0.04e3" />
      </DecimalMark>,
    );
    expect(number.seen).toContain('1,25');
    expect(number.seen).toContain('0,04');
    expect(number.heard).toContain('1,25 times ten to the power 3, doubtful digit 5');
    expect(number.seen + number.heard).not.toMatch(/\d\.\d/);
  });
});
