import type { Protocol } from '../protocol/protocol.ts';
import { computed, holdsTrue, isFalse, LOCAL_RULES, named, read, repeat, step } from './parts.ts';

const INCH = { units: ['centimetreInch'] } as const;
const MILLIMETRE = { units: ['millimetreCentimetre'] } as const;

export const LENGTH_TWO_UNITS: Protocol = {
  id: 'length-two-units',
  version: 1,
  title: 'One tile, two rulers',
  setting: 'Slate tile',
  purpose:
    'Measure one tile with two rulers of different units, convert one area into the other’s unit, and see whether what you measured and what you converted agree.',
  kit: [
    'a rectangular slate tile',
    'a ruler in centimetres or millimetres',
    'an inch ruler, or one marked by centimetres only',
  ],
  cautions: [
    'A dropped tile breaks into sharp pieces: keep it on the table, and its edges away from your fingers.',
    LOCAL_RULES,
  ],
  options: [
    {
      id: 'units',
      name: 'The rulers are in',
      choices: named({
        centimetreInch: 'centimetres and inches',
        millimetreCentimetre: 'millimetres and whole centimetres',
      }),
    },
  ],
  dimensions: [repeat('trial', 'Trial', 3, 6)],
  quantities: [
    read('length', 'Length', 'L', 'cm', ['trial'], ['ruler-millimetre', 'ruler-half-centimetre'], {
      step: 'first',
      when: INCH,
    }),
    read('width', 'Width', 'W', 'cm', ['trial'], { sameAs: 'length' }, { step: 'first', when: INCH }),
    read('otherLength', 'Length in inches', 'L_2', 'in', ['trial'], ['ruler-inch'], { step: 'second', when: INCH }),
    read(
      'otherWidth',
      'Width in inches',
      'W_2',
      'in',
      ['trial'],
      { sameAs: 'otherLength' },
      { step: 'second', when: INCH },
    ),
    read('length', 'Length', 'L', 'mm', ['trial'], ['ruler-millimetre'], { step: 'first', when: MILLIMETRE }),
    read('width', 'Width', 'W', 'mm', ['trial'], { sameAs: 'length' }, { step: 'first', when: MILLIMETRE }),
    read('otherLength', 'Length in centimetres', 'L_2', 'cm', ['trial'], ['ruler-centimetre'], {
      step: 'second',
      when: MILLIMETRE,
    }),
    read(
      'otherWidth',
      'Width in centimetres',
      'W_2',
      'cm',
      ['trial'],
      { sameAs: 'otherLength' },
      { step: 'second', when: MILLIMETRE },
    ),
    computed('area', 'Area', 'A', 'cm^2', [], 'mean(length over trial) * mean(width over trial)', { when: INCH }),
    computed('area', 'Area', 'A', 'mm^2', [], 'mean(length over trial) * mean(width over trial)', { when: MILLIMETRE }),
    computed(
      'otherArea',
      'Area in square inches',
      'A_2',
      'in^2',
      [],
      'mean(otherLength over trial) * mean(otherWidth over trial)',
      { when: INCH },
    ),
    computed(
      'otherArea',
      'Area in square centimetres',
      'A_2',
      'cm^2',
      [],
      'mean(otherLength over trial) * mean(otherWidth over trial)',
      { when: MILLIMETRE },
    ),
    computed('converted', 'The first area, converted', 'A_c', 'in^2', [], 'area', { when: INCH }),
    computed('converted', 'The first area, converted', 'A_c', 'cm^2', [], 'area', { when: MILLIMETRE }),
  ],
  results: [{ quantity: 'area' }, { quantity: 'otherArea' }, { quantity: 'converted' }],
  comparisons: [
    {
      kind: 'agree',
      id: 'areas',
      name: 'Converted and measured',
      of: [{ quantity: 'converted' }, { quantity: 'otherArea' }],
    },
  ],
  checks: [],
  steps: [
    step(
      'first',
      'First ruler',
      'Measure length and width three times, each time at another line across the tile. Lay the ruler’s zero line, not its end, on the edge.',
      6,
      { after: [] },
    ),
    step('second', 'Second ruler', 'Measure the same with the other ruler. Do not convert yet.', 6, { after: [] }),
    step('convert', 'Convert', 'Work out both areas, convert the first into the second’s unit, and compare.', 8, {
      after: ['first', 'second'],
    }),
  ],
  statements: [
    isFalse(
      'factor-once',
      'To turn square centimetres into square inches you divide by 2.54.',
      [
        'You divide by 2.54 twice: the factor is squared with the unit.',
        'You multiply by 2.54.',
        'You divide by 5.08.',
      ],
      'A square inch is 2.54 cm by 2.54 cm.',
    ),
    isFalse(
      'factor-digits',
      'The factor 2.54 leaves three figures, since it has three.',
      ['It is exact by definition, and limits nothing.', 'It leaves two.', 'It leaves as many as you like.'],
      'The inch has been defined as exactly 2.54 cm.',
    ),
    isFalse(
      'end',
      'The end of a wooden ruler is its zero.',
      ['Its zero is the line marked 0.', 'Its zero is the first line you see.', 'Its zero is 1.'],
      'Many rulers have some bare wood before the scale begins.',
    ),
    holdsTrue(
      'same-tile',
      'Two areas that look different can be the same.',
      '16 square inches are 103 square centimetres.',
    ),
  ],
  questions: [
    {
      id: 'area',
      text: 'What is the area of the tile, in the first ruler’s unit?',
      answer: { kind: 'number', quantity: 'area' },
    },
    { id: 'agree', text: 'Do the converted and the measured area agree? Say how you know.' },
    { id: 'better', text: 'Which of the two rulers gives the better area, and why?' },
  ],
  byStudent: ['area', 'otherArea', 'converted'],
  samples: [
    {
      entries: {
        length: ['15.23', '15.24', '15.22'],
        width: ['10.14', '10.16', '10.15'],
        otherLength: ['6.00', '6.01', '5.99'],
        otherWidth: ['4.00', '3.99', '4.01'],
      },
    },
    {
      options: { units: 'millimetreCentimetre' },
      entries: {
        length: ['152.3', '152.4', '152.2'],
        width: ['101.4', '101.6', '101.5'],
        otherLength: ['15.2', '15.3', '15.2'],
        otherWidth: ['10.1', '10.2', '10.2'],
      },
    },
  ],
};
