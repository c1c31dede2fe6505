import type { Protocol } from '../protocol/protocol.ts';
import {
  BROKEN_GLASS,
  computed,
  counted,
  EYES,
  holdsTrue,
  isFalse,
  LOCAL_RULES,
  lookedUp,
  observed,
  read,
  repeat,
  SPILLS,
  step,
} from './parts.ts';

export const SOLID_BY_DISPLACEMENT: Protocol = {
  id: 'solid-by-displacement',
  version: 2,
  title: 'Density by displacement',
  setting: 'Bronze deck nails, or another small solid of the harbour kit',
  purpose:
    'Find the density of a solid from its mass and the water it pushes aside, say how well it is known, and compare it with the accepted value.',
  kit: [
    'the piece to be measured, or several alike, dry',
    '50 mL cylinder',
    '0.01 g balance',
    'water at room temperature',
    'thread for lowering the piece',
    'thermometer',
    'paper towel',
  ],
  cautions: [
    EYES,
    'Slide a heavy piece down the tilted cylinder, or lower it on a thread; dropped, it breaks the glass.',
    BROKEN_GLASS,
    SPILLS,
    'Lead pieces: no bare hands, and wash afterwards.',
    LOCAL_RULES,
  ],
  options: [],
  dimensions: [repeat('trial', 'Trial', 3, 8)],
  quantities: [
    counted('pieces', 'Pieces together', 'n', [], 0, { optional: true, usual: '1', step: 'mass' }),
    read('mass', 'Dry mass', 'm', 'g', ['trial'], ['balances'], { step: 'mass' }),
    read('before', 'Water before', 'V_1', 'mL', ['trial'], ['graduated-glass'], { step: 'before' }),
    read('after', 'Water after', 'V_2', 'mL', ['trial'], { sameAs: 'before' }, { step: 'after' }),
    computed('volume', 'Volume', 'V', 'mL', ['trial'], 'after - before'),
    computed('density', 'Density', '\\rho', 'g/mL', ['trial'], 'mass / volume'),
    computed('meanDensity', 'Mean density', '\\bar{\\rho}', 'g/mL', [], 'mean(density over trial)'),
    computed('onePiece', 'Volume of one piece', 'V_p', 'mL', [], 'mean(volume over trial) / pieces'),
    read('temperature', 'Water temperature', 't', '°C', [], ['thermometers'], { optional: true, step: 'before' }),
    lookedUp('waterDensity', 'Density of water', '\\rho_w', 'g/mL', [], 'water-density', ['temperature'], {
      optional: true,
    }),
    observed(
      'behaviour',
      'In water the piece',
      [],
      { sank: 'sank', floated: 'floated and was pushed under' },
      { optional: true, step: 'after' },
    ),
  ],
  results: [{ quantity: 'meanDensity', accepted: { kind: 'material' } }],
  comparisons: [],
  checks: [
    {
      check: 'rises',
      of: { earlier: 'before', later: 'after' },
      message: 'With the piece in it the water cannot stand lower than before.',
    },
    { check: 'resolvable', of: { quantity: 'volume' } },
    {
      check: 'sink-or-float',
      of: { observed: 'behaviour', sinks: 'sank', density: 'meanDensity', water: 'waterDensity' },
    },
  ],
  steps: [
    step(
      'mass',
      'Dry mass',
      'Tare the empty balance to zero. Weigh the dry piece and write every digit shown. Use the same balance for all trials.',
      4,
    ),
    step(
      'before',
      'Water before',
      'Fill the cylinder about half, enough to cover the piece later. Level the eye, read the lowest point.',
      3,
    ),
    step(
      'after',
      'Water after',
      'Lower the piece in. No bubbles, no splash, all of it under water; push a floating one just under. Read again.',
      4,
    ),
    step('again', 'Repeat', 'Dry the piece, start from another water level, and do it at least three times.', 12),
  ],
  statements: [
    isFalse(
      'wet',
      'It does not matter whether the piece is weighed wet or dry.',
      [
        'It must be dry: the water on it would be weighed as well.',
        'It must be wet, as it will be in the cylinder.',
        'It matters only for pieces that float.',
      ],
      'A film of water can weigh a tenth of a gram.',
    ),
    isFalse(
      'bench',
      'The cylinder is lifted to the eye for reading.',
      [
        'It stands on the bench, and the eye goes down to it.',
        'It is held by the rim.',
        'It is tilted towards the light.',
      ],
      'In the hand it tilts, and its surface is no longer level with the marks.',
    ),
    holdsTrue(
      'bubbles',
      'Bubbles on the piece make its density come out too small.',
      'They push water aside too, so the volume seems larger.',
    ),
    holdsTrue(
      'several',
      'Several small pieces together give a better density than one.',
      'The same reading error is then a smaller part of a larger volume.',
    ),
    isFalse(
      'lost-drop',
      'Water that splashes out does no harm, since it is water that was there before.',
      ['The volume then comes out too small.', 'The volume then comes out too large.', 'Only the mass changes.'],
      'What has left the cylinder is missing in the second reading.',
    ),
  ],
  questions: [
    { id: 'tool', text: 'Which tool limits your result, and how do the bars show it?' },
    {
      id: 'repeats',
      text: 'Do your repeats agree within the uncertainty of one reading? What would make all of them wrong together?',
    },
    { id: 'one', text: 'What is the volume of one piece?', answer: { kind: 'number', quantity: 'onePiece' } },
    { id: 'conclusion', text: 'What could the piece be made of, and what could it not be?' },
  ],
  byStudent: ['volume', 'density', 'meanDensity', 'onePiece'],
  samples: [
    {
      accepted: 'bronze',
      entries: {
        pieces: '6',
        mass: ['54.31', '54.30', '54.31'],
        before: ['18.4', '17.6', '19.2'],
        after: ['24.6', '23.7', '25.4'],
        temperature: '20.5',
        behaviour: 'sank',
      },
    },
  ],
};
