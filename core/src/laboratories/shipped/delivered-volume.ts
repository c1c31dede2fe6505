import type { Protocol } from '../protocol/protocol.ts';
import {
  BROKEN_GLASS,
  computed,
  EYES,
  holdsTrue,
  isFalse,
  LOCAL_RULES,
  lookedUp,
  named,
  read,
  sequence,
  SPILLS,
  step,
} from './parts.ts';

const WEIGHED = { weighed: ['yes'] } as const;

export const DELIVERED_VOLUME: Protocol = {
  id: 'delivered-volume',
  version: 1,
  title: 'Delivered until it repeats',
  setting: 'Brine from a burette to a ring on a flask',
  purpose:
    'Deliver the same volume from a burette again and again until the deliveries agree, and say what their mean is and how well it is known.',
  kit: [
    'burette on its stand',
    'small flask with a mark',
    'brine or water',
    '0.01 g balance (when the deliveries are weighed)',
    'funnel, paper towel',
  ],
  cautions: [
    EYES,
    'Fill the burette below eye level, with a funnel, and take the funnel out before you read.',
    'Clamp the burette gently. Open the tap with one hand behind it, so that you do not pull it out.',
    BROKEN_GLASS,
    SPILLS,
    LOCAL_RULES,
  ],
  options: [
    {
      id: 'weighed',
      name: 'The deliveries are weighed',
      choices: named({ no: 'no', yes: 'yes' }),
    },
  ],
  dimensions: [sequence('delivery', 'Delivery', 2, 10)],
  quantities: [
    read('roughStart', 'Rough start', 'V_{r1}', 'mL', [], ['burettes'], { step: 'rough', optional: true }),
    read('roughEnd', 'Rough end', 'V_{r2}', 'mL', [], { sameAs: 'roughStart' }, { step: 'rough', optional: true }),
    computed('rough', 'Rough volume', 'V_r', 'mL', [], 'roughEnd - roughStart', { optional: true }),
    read('start', 'Start', 'V_1', 'mL', ['delivery'], { sameAs: 'roughStart' }, { step: 'deliver' }),
    read('end', 'End', 'V_2', 'mL', ['delivery'], { sameAs: 'roughStart' }, { step: 'deliver' }),
    computed('volume', 'Volume delivered', 'V', 'mL', ['delivery'], 'end - start'),
    computed('meanVolume', 'Mean of the deliveries', '\\bar{V}', 'mL', [], 'mean(volume over delivery)'),
    computed('apart', 'Furthest apart', 'R', 'mL', [], 'range(volume over delivery)'),
    read('empty', 'Flask before', 'm_1', 'g', ['delivery'], ['balances'], {
      container: true,
      step: 'weigh',
      when: WEIGHED,
    }),
    read('full', 'Flask after', 'm_2', 'g', ['delivery'], { sameAs: 'empty' }, { step: 'weigh', when: WEIGHED }),
    read('temperature', 'Temperature', 't', '°C', [], ['thermometers'], { step: 'weigh', when: WEIGHED }),
    lookedUp('liquidDensity', 'Density of water', '\\rho', 'g/mL', [], 'water-density', ['temperature'], {
      when: WEIGHED,
    }),
    computed('weighedVolume', 'Volume by mass', 'V_m', 'mL', [], 'mean(full - empty over delivery) / liquidDensity', {
      when: WEIGHED,
    }),
  ],
  results: [{ quantity: 'meanVolume' }, { quantity: 'weighedVolume', when: WEIGHED }],
  comparisons: [
    {
      kind: 'agree',
      id: 'ways',
      name: 'By the burette and by mass',
      of: [{ quantity: 'meanVolume' }, { quantity: 'weighedVolume' }],
      when: WEIGHED,
    },
  ],
  checks: [
    {
      check: 'rises',
      of: { earlier: 'start', later: 'end' },
      message: 'A burette’s numbers grow as it empties: the end cannot be above the start.',
    },
    { check: 'concordant', of: { quantity: 'volume', over: 'delivery', within: '0.10' } },
  ],
  steps: [
    step(
      'rough',
      'A rough one',
      'Rinse the burette with the liquid and fill it. Let the liquid run quickly to find about how much is needed. This one does not count.',
      5,
    ),
    step(
      'deliver',
      'Again, slowly',
      'Read the start, deliver fast to about 1 mL before the end, then drop by drop to the mark. Wait half a minute, level the eye, read the end. The end of one may be the start of the next.',
      15,
    ),
    step(
      'weigh',
      'Weigh',
      'Weigh the dry flask before, and again with what was delivered. Take the temperature of the water.',
      8,
      { when: WEIGHED },
    ),
    step(
      'judge',
      'Do they repeat?',
      'Go on until your last deliveries lie within 0.10 mL of each other. Leave out one that you know went wrong, and say why.',
      6,
    ),
  ],
  statements: [
    isFalse(
      'from-zero',
      'Every delivery has to start at 0.00 mL.',
      [
        'Any start will do: what was delivered is the difference.',
        'It has to start at a full millilitre.',
        'It has to start where the last one started.',
      ],
      'The zero is subtracted from itself.',
    ),
    isFalse(
      'average-rough',
      'The rough delivery is averaged with the others.',
      ['It was quick on purpose, and is left out.', 'It counts half.', 'It counts if it lies near the others.'],
      'It was never meant to stop at the mark.',
    ),
    holdsTrue(
      'air',
      'A bubble below the tap that leaves during the delivery makes the volume seem too large.',
      'The place of the bubble is filled with liquid that never reached the flask.',
    ),
    holdsTrue(
      'wait',
      'You wait before the end is read, because liquid clings to the wall and runs down.',
      'The surface rises a little after the tap is closed.',
    ),
  ],
  questions: [
    { id: 'mean', text: 'What volume does the mark stand for?', answer: { kind: 'number', quantity: 'meanVolume' } },
    { id: 'left-out', text: 'Which delivery did you leave out, and what speaks for it besides its being different?' },
    { id: 'limit', text: 'What limits the mean now: the scatter of the deliveries, or the reading of the burette?' },
  ],
  byStudent: ['rough', 'volume', 'meanVolume', 'weighedVolume'],
  samples: [
    {
      entries: {
        roughStart: '0.12',
        roughEnd: '24.9',
        start: ['0.31', '0.08', '0.22', '0.15'],
        end: ['24.86', '24.60', '24.79', '24.68'],
      },
    },
    {
      options: { weighed: 'yes' },
      entries: {
        start: ['0.31', '0.08', '0.22'],
        end: ['24.86', '24.60', '24.79'],
        empty: ['48.12', '48.11', '48.13'],
        full: ['72.61', '72.57', '72.64'],
        temperature: '21.5',
      },
    },
  ],
};
