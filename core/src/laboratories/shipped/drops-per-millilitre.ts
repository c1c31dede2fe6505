import type { Protocol } from '../protocol/protocol.ts';
import {
  BROKEN_GLASS,
  cases,
  computed,
  counted,
  EYES,
  holdsTrue,
  isFalse,
  LOCAL_RULES,
  lookedUp,
  read,
  repeat,
  SPILLS,
  step,
} from './parts.ts';

export const DROPS_PER_MILLILITRE: Protocol = {
  id: 'drops-per-millilitre',
  version: 1,
  title: 'How big is a drop?',
  setting: 'An unmarked dropper of the harbour kit',
  purpose:
    'Find how many drops make a millilitre, by counting them into a cylinder and by weighing them, and how much an unmarked dropper holds.',
  kit: [
    'dropper',
    '25 mL cylinder',
    '0.01 g balance',
    'small dry cup',
    'water that has stood in the room',
    'thermometer',
  ],
  preparation: [
    { text: 'Fill a large vessel with water, so that it takes the temperature of the room', minutesBefore: 120 },
  ],
  cautions: [
    EYES,
    'Hold the dropper upright and squeeze gently: water from a dropper can squirt.',
    BROKEN_GLASS,
    SPILLS,
    LOCAL_RULES,
  ],
  options: [],
  dimensions: [
    cases('stage', 'Stage', { first: 'the first 10 mL', second: 'from 10 to 20 mL' }),
    repeat('trial', 'Trial', 3, 6),
  ],
  quantities: [
    counted('drops', 'Drops', 'n', ['stage', 'trial'], 1, { step: 'count' }),
    read('from', 'From', 'V_1', 'mL', ['stage', 'trial'], ['cylinder-25', 'graduated-glass'], { step: 'count' }),
    read('to', 'To', 'V_2', 'mL', ['stage', 'trial'], { sameAs: 'from' }, { step: 'count' }),
    computed('perMillilitre', 'Drops in a millilitre', 'N', '1/mL', ['stage', 'trial'], 'drops / (to - from)'),
    computed(
      'meanDrops',
      'Mean of the drops in a millilitre',
      '\\bar{N}',
      '1/mL',
      ['stage'],
      'mean(perMillilitre over trial)',
    ),
    computed('dropVolume', 'Volume of a drop', 'v', 'mL', [], '1 / meanDrops[second]'),
    counted('weighedDrops', 'Drops weighed', 'n_m', [], 1, { step: 'weigh' }),
    read('empty', 'Dry cup', 'm_1', 'g', [], ['balances'], { container: true, step: 'weigh' }),
    read('full', 'Cup with the drops', 'm_2', 'g', [], { sameAs: 'empty' }, { step: 'weigh' }),
    read('temperature', 'Water temperature', 't', '°C', [], ['thermometers'], { step: 'weigh' }),
    lookedUp('waterDensity', 'Density of water', '\\rho_w', 'g/mL', [], 'water-density', ['temperature']),
    computed(
      'weighedVolume',
      'Volume of a drop by mass',
      'v_m',
      'mL',
      [],
      '(full - empty) / waterDensity / weighedDrops',
    ),
    counted('dropperDrops', 'Drops of a full dropper', 'n_d', ['trial'], 1, { step: 'dropper' }),
    computed('dropper', 'The dropper holds', 'V_d', 'mL', [], 'mean(dropperDrops over trial) * dropVolume'),
  ],
  results: [
    { quantity: 'meanDrops' },
    { quantity: 'dropVolume' },
    { quantity: 'weighedVolume' },
    { quantity: 'dropper' },
  ],
  comparisons: [
    {
      kind: 'agree',
      id: 'stages',
      name: 'The first ten millilitres and the second',
      of: [
        { quantity: 'meanDrops', at: { stage: 'first' } },
        { quantity: 'meanDrops', at: { stage: 'second' } },
      ],
    },
    {
      kind: 'agree',
      id: 'ways',
      name: 'By counting and by mass',
      of: [{ quantity: 'dropVolume' }, { quantity: 'weighedVolume' }],
    },
  ],
  checks: [
    {
      check: 'rises',
      of: { earlier: 'from', later: 'to' },
      message: 'With more drops in it the cylinder cannot read less.',
    },
  ],
  steps: [
    step(
      'count',
      'Count',
      'Drop water into the cylinder and count, from the first mark to 10 mL, and then on to 20 mL. Hold the dropper upright, and keep one pace. Three times.',
      15,
      { after: [] },
    ),
    step(
      'weigh',
      'Weigh',
      'Weigh the dry cup, count a hundred drops into it, and weigh again. Take the water’s temperature.',
      6,
      { after: [] },
    ),
    step(
      'dropper',
      'A full dropper',
      'Fill the dropper to its top, and count how many drops come out. Three times.',
      4,
      { after: [] },
    ),
    step('judge', 'Do the ways agree?', 'Compare the volume of a drop by counting and by mass.', 5, {
      after: ['count', 'weigh', 'dropper'],
    }),
  ],
  statements: [
    holdsTrue('tilt', 'A tilted dropper gives smaller drops.', 'They hang from a smaller edge, and let go earlier.'),
    isFalse(
      'first-ten',
      'The first ten millilitres are as good as the second.',
      [
        'At the bottom of a dry cylinder the first drops wet the wall and the surface is hard to see.',
        'They are better, because the cylinder is dry.',
        'They are better, because the drops fall further.',
      ],
      'Between two marks both ends are read in the same way.',
    ),
    isFalse(
      'one-off',
      'Miscounting by one drop spoils the result.',
      [
        'Of two hundred drops it is half a percent.',
        'It makes it useless.',
        'It changes the volume by one millilitre.',
      ],
      'That is why many drops are counted.',
    ),
    holdsTrue(
      'soap',
      'With a little soap in the water the drops would be smaller.',
      'Soap weakens the skin that holds a drop together.',
    ),
  ],
  questions: [
    { id: 'drop', text: 'What is the volume of one drop?', answer: { kind: 'number', quantity: 'dropVolume' } },
    { id: 'dropper', text: 'How much does the dropper hold?', answer: { kind: 'number', quantity: 'dropper' } },
    { id: 'agree', text: 'Do the two ways agree? What could make one of them wrong?' },
  ],
  byStudent: ['meanDrops', 'dropVolume', 'weighedVolume', 'dropper'],
  samples: [
    {
      entries: {
        drops: { first: ['203', '199', '206'], second: ['201', '200', '203'] },
        from: { first: ['0.2', '0.3', '0.2'], second: ['10.2', '10.1', '10.3'] },
        to: { first: ['10.2', '10.1', '10.3'], second: ['20.1', '20.0', '20.3'] },
        weighedDrops: '100',
        empty: '14.26',
        full: '19.21',
        temperature: '21.0',
        dropperDrops: ['41', '43', '42'],
      },
    },
  ],
};
