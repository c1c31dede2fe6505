import { it } from 'vitest';
import { calculate } from './index.ts';
it('x', () => {
  const log = (globalThis as any).console.log;
  const c = (e: string, rules?: any) => {
    try {
      const r = calculate(e, rules);
      log('→', e, '=', r.text, r.uncertainty ? '± ' + r.uncertainty : '', r.unit, '| notes', r.notes.join(' '));
    } catch (x: any) {
      log('→', e, '!!', x.message);
    }
  };
  for (const e of [
    '10^-7.00',
    '27.0^(1/3)',
    '8.00^0.5',
    '(27.0 cm^3)^(1/3)',
    '(9.6 + 0.38) * exact(1)',
    'max(1.25, 1.3)',
    'min(1.25, 1.3)',
    '4/3*pi*(1.20 cm)^3',
    '16.8 g / 3',
    '16.8 g / 3.',
    '16.235 * 0.217 * 5',
    '4/3*pi*1.20^3',
    '(33.1-27.0)/27.0*100',
    'mean(10, 11, 12)',
    'mean(10, 20, 30)',
    'median(10, 11, 12)',
    'max(10,12)',
    '20 °C',
    '50 ± 2 %',
    '50 g ± 2 %',
    '5.0 ± 0.1',
    '5.0 ± 0.123',
    '(10.0 ± 0.1) cm',
    '10.0 ± 0.1 cm',
    '5.0 cm ± 1 mm',
    '0:31:33 ± 5 s',
    '3 h',
    '90 min',
    '3 h + 20 min',
    '12:41 - 12:09',
    '0:31:33',
    '31:33',
    '12:41:20 - 12:09:47',
    'sin(30°)',
    'sin(30 deg)',
    'sin(0.5236 rad)',
    'sin(30)',
    '2.0 mol',
    '760 mmHg',
    '1.0 bar',
    '2 day',
    '50 Hz',
    '12 V',
    '60 W',
    '4.18 J/(g*°C)',
    '4.18 J/(g*°C) * 100. g * 10.0 Δ°C',
    '4.18 J/(g*°C) * 100. g * (31.5 °C - 21.5 °C)',
    'exact(2.54) cm',
    '10.0 in * exact(2.54) cm / 1 in',
    'sqrt(3)/2',
    '12.0 cm % 5',
    '20% ± 1%',
    '2.5 % ± 0.1 %',
    '1500 g + 2.5 g',
    '0.5 atm',
    '1 h 20 min',
    '90 min in h',
    '3 h 5 min 2 s',
    '1013 hPa',
    '1.013 bar',
    '180° ',
    '3.0 kW * 2.0 h',
    'max(3 cm, 25 mm)',
  ])
    c(e);
  c('3,5 cm * 2', { decimalMark: 'comma' });
});
import { convert } from './index.ts';
it('y', () => {
  const log = (globalThis as any).console.log;
  for (const [a, b] of [
    ['3 h', 'h:min:s'],
    ['90 min', 'h:mm'],
    ['90 min', 'h:min:s'],
    ['1.5 h', 'h:mm'],
    ['20 °C', 'K'],
    ['0:31:33', 'min'],
    ['5400 s', 'h:min:s'],
    ['90 s', 'h:min:s'],
    ['335 cm^2', 'in^2'],
    ['30°', 'rad'],
    ['760. mmHg', 'Pa'],
    ['1 day', 'h'],
  ]) {
    try {
      const r = convert(a!, b!);
      log('⇒', a, b, r.text, r.unit);
    } catch (x: any) {
      log('⇒', a, b, x.message);
    }
  }
});
