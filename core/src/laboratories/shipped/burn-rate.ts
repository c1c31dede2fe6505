import type { Protocol } from '../protocol/protocol.ts';
import { cases, computed, holdsTrue, isFalse, observed, read, step, timeOfDay } from './parts.ts';

export const BURN_RATE: Protocol = {
  id: 'burn-rate',
  version: 1,
  title: 'How long will it burn?',
  setting: 'Beeswax nightlight',
  purpose:
    'Find how fast a nightlight burns, by its mass, its height and its volume, and how long it would burn on by each.',
  kit: [
    'beeswax nightlight on its holder',
    '0.01 g balance',
    'caliper or millimetre ruler',
    '100 mL cylinder that the light fits into, with water',
    'thin wire to push the light just under water',
    'a clock with seconds',
    'matches, and a heatproof mat',
  ],
  cautions: [
    'An open flame: tie back hair and sleeves, clear the bench, and never leave it alone.',
    'Have water or a fire blanket within reach, and know where the extinguisher is.',
    'Hot wax burns the skin and cracks cold glass: let it set before you move, measure or wet it.',
    'Wear eye protection. Put used matches on the mat, not into the bin.',
    'Only light it when the responsible adult says so, and follow your school’s and local rules.',
  ],
  options: [],
  dimensions: [cases('moment', 'Moment', { lit: 'before burning', out: 'after burning' })],
  quantities: [
    read('holder', 'Holder', 'm_h', 'g', [], ['balances'], { container: true, step: 'start' }),
    read(
      'mass',
      'Light with holder',
      'm',
      'g',
      ['moment'],
      { sameAs: 'holder' },
      { step: { by: 'moment', of: { lit: 'start', out: 'end' } } },
    ),
    read('height', 'Height', 'h', 'mm', ['moment'], ['calipers', 'rulers'], {
      step: { by: 'moment', of: { lit: 'start', out: 'end' } },
    }),
    read('width', 'Width', 'd', 'mm', ['moment'], ['calipers', 'rulers'], {
      step: { by: 'moment', of: { lit: 'start', out: 'end' } },
    }),
    read('water', 'Water alone', 'V_1', 'mL', ['moment'], ['cylinder-100', 'graduated-glass'], {
      step: { by: 'moment', of: { lit: 'start', out: 'end' } },
    }),
    read(
      'covered',
      'Water with the light',
      'V_2',
      'mL',
      ['moment'],
      { sameAs: 'water' },
      { step: { by: 'moment', of: { lit: 'start', out: 'end' } } },
    ),
    timeOfDay('time', 'Time of day', 'T', ['moment'], 1, { step: 'burn' }),
    computed('elapsed', 'Time burned', '\\Delta T', 'min', [], 'time[out] - time[lit]'),
    computed('wax', 'Mass of the light', 'm_w', 'g', ['moment'], 'mass - holder'),
    computed('volume', 'Volume by displacement', 'V', 'mL', ['moment'], 'covered - water'),
    computed('shapeVolume', 'Volume by its shape', 'V_s', 'cm^3', ['moment'], 'pi / 4 * width^2 * height'),
    computed('density', 'Density', '\\rho', 'g/mL', ['moment'], 'wax / volume'),
    computed('massRate', 'Mass burned each minute', 'r_m', 'g/min', [], '(wax[lit] - wax[out]) / elapsed'),
    computed('heightRate', 'Height lost each minute', 'r_h', 'mm/min', [], '(height[lit] - height[out]) / elapsed'),
    computed('volumeRate', 'Volume lost each minute', 'r_V', 'mL/min', [], '(volume[lit] - volume[out]) / elapsed'),
    computed('leftByMass', 'Time left by mass', 't_m', 'min', [], 'wax[out] / massRate'),
    computed('leftByHeight', 'Time left by height', 't_h', 'min', [], 'height[out] / heightRate'),
    computed('leftByVolume', 'Time left by volume', 't_V', 'min', [], 'volume[out] / volumeRate'),
    observed(
      'behaviour',
      'In water the light',
      [],
      { floated: 'floated', sank: 'sank' },
      { step: 'start', optional: true },
    ),
  ],
  results: [
    { quantity: 'massRate' },
    { quantity: 'heightRate' },
    { quantity: 'volumeRate' },
    { quantity: 'leftByMass' },
    { quantity: 'leftByHeight' },
    { quantity: 'leftByVolume' },
    { quantity: 'density', accepted: { kind: 'material' } },
  ],
  comparisons: [
    {
      kind: 'agree',
      id: 'routes',
      name: 'Time left by three routes',
      of: [{ quantity: 'leftByMass' }, { quantity: 'leftByHeight' }, { quantity: 'leftByVolume' }],
    },
    {
      kind: 'agree',
      id: 'densities',
      name: 'Density before and after',
      of: [
        { quantity: 'density', at: { moment: 'lit' } },
        { quantity: 'density', at: { moment: 'out' } },
      ],
    },
    {
      kind: 'agree',
      id: 'volumes',
      name: 'Volume before, by displacement and by its shape',
      of: [
        { quantity: 'volume', at: { moment: 'lit' } },
        { quantity: 'shapeVolume', at: { moment: 'lit' } },
      ],
    },
  ],
  checks: [
    {
      check: 'rises',
      of: { earlier: 'water', later: 'covered' },
      message: 'With the light in it the water cannot stand lower than without it.',
    },
    {
      check: 'falls',
      of: { quantity: 'mass', over: 'moment' },
      message:
        'A light that has burned cannot weigh more than before. If wax dripped off and was lost, add it back as an adjustment, with the reason.',
    },
    {
      check: 'falls',
      of: { quantity: 'height', over: 'moment' },
      message: 'A light that has burned cannot be taller than before.',
    },
    { check: 'sink-or-float', of: { observed: 'behaviour', sinks: 'sank', density: 'density' } },
  ],
  steps: [
    step(
      'start',
      'Before burning',
      'Weigh the holder, then the light on it. Measure height and width, and the water without and with the light pushed just under. Dry it well: a wet wick does not burn.',
      8,
    ),
    step(
      'burn',
      'Burn',
      'Light it and write the time of day. Let it burn still, out of draughts, and stay with it. Put it out and write the time again.',
      15,
      { waiting: true },
    ),
    step(
      'set',
      'Let the wax set',
      'Wait until the wax is hard and cool. Hot wax in cold water cracks, and steam rises from the wick.',
      6,
      { waiting: true },
    ),
    step(
      'end',
      'After burning',
      'Measure everything again, with the same tools. Was a drip lost? Say how much, and why you think so.',
      8,
    ),
    step(
      'routes',
      'Three answers',
      'Compare the three times left. If they differ by more than their uncertainties, find out which one to believe.',
      6,
    ),
  ],
  statements: [
    isFalse(
      'sixty',
      'From 10:50 to 11:10 sixty minutes have passed.',
      ['Twenty minutes have passed.', 'Forty minutes have passed.', 'One hour and ten minutes have passed.'],
      'An hour has sixty minutes: ten to eleven o’clock, and ten after it.',
    ),
    holdsTrue(
      'where-wax-goes',
      'The wax that is gone has turned into gases.',
      'It burns to carbon dioxide and water vapour, with oxygen from the air. Mass that leaves as gas is not on the balance.',
    ),
    isFalse(
      'same-density',
      'A shorter light is less dense.',
      [
        'Its density stays the same: mass and volume shrink together.',
        'It is denser, because the wax is pressed down.',
        'It has half the density at half the height.',
      ],
      'Density belongs to the wax.',
    ),
    holdsTrue(
      'hollow',
      'A pool of wax around the wick makes the height a poor measure of what is left.',
      'The rim stays high while the middle burns down.',
    ),
  ],
  questions: [
    { id: 'words', text: 'Say the rate by mass in words: “Each minute …”.' },
    { id: 'believe', text: 'Which time left do you believe, and why do the others differ?' },
    { id: 'elapsed', text: 'How many minutes did it burn?', answer: { kind: 'number', quantity: 'elapsed' } },
    { id: 'floats', text: 'Does the density agree with what the light did in water?' },
  ],
  byStudent: ['elapsed', 'massRate', 'heightRate', 'volumeRate', 'leftByMass', 'leftByHeight', 'leftByVolume'],
  samples: [
    {
      accepted: 'beeswax',
      entries: {
        holder: '12.31',
        mass: { lit: '44.87', out: '42.95' },
        height: { lit: '41.24', out: '38.66' },
        width: { lit: '32.35', out: '32.40' },
        water: { lit: '52.0', out: '51.5' },
        covered: { lit: '86.0', out: '83.5' },
        time: { lit: '10:42:10', out: '10:57:25' },
        behaviour: 'floated',
      },
    },
  ],
};
