import type { Protocol } from '../protocol/protocol.ts';
import {
  BROKEN_GLASS,
  cases,
  computed,
  EYES,
  holdsTrue,
  isFalse,
  LOCAL_RULES,
  read,
  repeat,
  sequence,
  SPILLS,
  step,
} from './parts.ts';

export const VESSEL_CAPACITY: Protocol = {
  id: 'vessel-capacity',
  version: 1,
  title: 'How much does it hold?',
  setting: 'A straight tin cup of the harbour kit',
  purpose:
    'Find how much a straight vessel holds, once from its bore and depth and once by pouring, and say whether the two agree.',
  kit: [
    'a straight vessel with a flat bottom',
    'caliper with a depth rod',
    '100 mL cylinder',
    'water',
    'a tray, paper towel',
  ],
  cautions: [
    EYES,
    'A tin’s rim can be sharp: feel along it with a cloth, not with your finger.',
    BROKEN_GLASS,
    SPILLS,
    LOCAL_RULES,
  ],
  options: [],
  dimensions: [
    repeat('check', 'Check', 3, 5),
    cases('height', 'Height', { top: 'at the rim', middle: 'in the middle', bottom: 'at the bottom' }),
    repeat('direction', 'Direction', 2, 4),
    repeat('place', 'Place', 4, 8, { places: true }),
    sequence('fill', 'Fill', 1, 8),
  ],
  quantities: [
    read('zero', 'Zero', 'z', 'mm', ['check'], ['calipers'], { step: 'zero', zeroOf: ['bore', 'depth'] }),
    read('bore', 'Bore', 'd', 'mm', ['height', 'direction'], { sameAs: 'zero' }, { step: 'bore' }),
    read('depth', 'Depth', 't', 'mm', ['place'], { sameAs: 'zero' }, { step: 'depth' }),
    computed('meanZero', 'Mean zero', '\\bar{z}', 'mm', [], 'mean(zero over check)'),
    computed('boreAt', 'Bore, corrected', 'd_c', 'mm', ['height'], 'mean(bore over direction) - meanZero'),
    computed('meanBore', 'Mean bore', '\\bar{d}', 'mm', [], 'mean(boreAt over height)'),
    computed('meanDepth', 'Mean depth', '\\bar{t}', 'mm', [], 'mean(depth over place) - meanZero'),
    computed('byShape', 'Capacity by its shape', 'V_s', 'mL', [], 'pi / 4 * meanBore^2 * meanDepth'),
    read('start', 'In the cylinder before', 'V_1', 'mL', ['fill'], ['cylinder-100', 'graduated-glass', 'burettes'], {
      step: 'pour',
    }),
    read('end', 'In the cylinder after', 'V_2', 'mL', ['fill'], { sameAs: 'start' }, { step: 'pour' }),
    computed('poured', 'Poured', 'V_p', 'mL', ['fill'], 'start - end'),
    computed('byPouring', 'Capacity by pouring', 'V', 'mL', [], 'sum(poured over fill)'),
    computed('apart', 'Difference of the two', 'D', '%', [], '(byShape - byPouring) / mean(byShape, byPouring)'),
  ],
  results: [{ quantity: 'byShape' }, { quantity: 'byPouring' }],
  comparisons: [
    {
      kind: 'agree',
      id: 'ways',
      name: 'By its shape and by pouring',
      of: [{ quantity: 'byShape' }, { quantity: 'byPouring' }],
    },
  ],
  checks: [
    {
      check: 'rises',
      of: { earlier: 'end', later: 'start' },
      message: 'After pouring there cannot be more left in the cylinder than before.',
    },
  ],
  steps: [
    step('zero', 'Zero', 'Close the caliper three times and read what it shows.', 3),
    step(
      'bore',
      'Bore',
      'Measure the bore at the rim, in the middle and near the bottom, each in two directions at right angles.',
      8,
    ),
    step('depth', 'Depth', 'Measure the depth at four places round the rim, the rod straight down.', 5),
    step(
      'pour',
      'Pour',
      'Fill the cylinder, read it, and pour into the vessel until it is full to the brim. If one filling is not enough, fill the cylinder again: each filling has its own line.',
      8,
    ),
    step('judge', 'Do they agree?', 'Compare both capacities with their uncertainties.', 5),
  ],
  statements: [
    isFalse(
      'outside',
      'The outer diameter will do, since the wall is thin.',
      [
        'The bore is what holds: the outer one makes the capacity too large.',
        'It will do if the depth is measured outside as well.',
        'It will do for round vessels.',
      ],
      'A wall of 0.5 mm on each side makes a bore of 60 mm into 61 mm, and 3 % too much.',
    ),
    isFalse(
      'several-fills',
      'Several fillings give a better value than one, since errors average away.',
      [
        'Each filling brings reading errors of its own: fewer are better.',
        'They make no difference.',
        'They are better if the cylinder is small.',
      ],
      'Two readings are made for every filling, and all of them add up.',
    ),
    holdsTrue(
      'brim',
      'Full to the brim can mean a dome of water above it.',
      'Water holds together at its surface. Stop when it is level.',
    ),
    holdsTrue(
      'clings',
      'Water that stays in the cylinder is allowed for, because its reading after pouring is taken.',
      'What is left is read, whether it stands or clings below the surface; only drops above it are missed.',
    ),
  ],
  questions: [
    { id: 'shape', text: 'What is the capacity by its shape?', answer: { kind: 'number', quantity: 'byShape' } },
    { id: 'which', text: 'Which way would you trust more, and why?' },
    { id: 'bottom', text: 'What would a rounded bottom do to each of the two values?' },
  ],
  byStudent: ['byShape', 'byPouring', 'apart'],
  samples: [
    {
      entries: {
        zero: ['0.02', '0.02', '0.04'],
        bore: { top: ['52.08', '52.14'], middle: ['52.02', '52.10'], bottom: ['51.96', '52.04'] },
        depth: ['61.24', '61.30', '61.18', '61.26'],
        start: ['96.0', '88.5'],
        end: ['1.5', '52.5'],
      },
    },
  ],
};
