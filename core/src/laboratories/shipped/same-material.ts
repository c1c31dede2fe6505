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
  SPILLS,
  step,
} from './parts.ts';

export const SAME_MATERIAL: Protocol = {
  id: 'same-material',
  version: 1,
  title: 'Is the bigger piece denser?',
  setting: 'An acrylic rod, whole and cut in two',
  purpose: 'Find out from your own numbers whether pieces of one material have one density, however large they are.',
  kit: [
    'one rod, and another one cut in two pieces (or three bodies of one material)',
    '0.01 g balance',
    '100 mL cylinder that the whole rod fits into',
    'water at room temperature',
    'thread or thin wire',
    'paper towel',
  ],
  cautions: [
    EYES,
    'Cut edges are sharp: hold the pieces by their round side. Only the adult cuts.',
    'Lower the pieces on a thread; dropped, they break the glass.',
    BROKEN_GLASS,
    SPILLS,
    LOCAL_RULES,
  ],
  options: [],
  dimensions: [
    cases('piece', 'Piece', { whole: 'whole', half: 'one half', other: 'other half' }),
    repeat('trial', 'Trial', 2, 6),
  ],
  quantities: [
    read('mass', 'Dry mass', 'm', 'g', ['piece', 'trial'], ['balances'], { step: 'mass' }),
    read('before', 'Water before', 'V_1', 'mL', ['piece', 'trial'], ['cylinder-100', 'graduated-glass'], {
      step: 'volume',
    }),
    read('after', 'Water after', 'V_2', 'mL', ['piece', 'trial'], { sameAs: 'before' }, { step: 'volume' }),
    computed('volume', 'Volume', 'V', 'mL', ['piece', 'trial'], 'after - before'),
    computed('density', 'Density', '\\rho', 'g/mL', ['piece', 'trial'], 'mass / volume'),
    computed('meanDensity', 'Mean density', '\\bar{\\rho}', 'g/mL', ['piece'], 'mean(density over trial)', {
      pooledOver: ['piece'],
    }),
    computed(
      'halves',
      'Mass of both halves',
      'm_h',
      'g',
      [],
      'mean(mass[half] over trial) + mean(mass[other] over trial)',
    ),
    computed('wholeMass', 'Mass of the whole', 'm_w', 'g', [], 'mean(mass[whole] over trial)'),
  ],
  results: [{ quantity: 'meanDensity', accepted: { kind: 'material' } }],
  comparisons: [
    {
      kind: 'agree',
      id: 'densities',
      name: 'The densities of the pieces',
      of: [
        { quantity: 'meanDensity', at: { piece: 'whole' } },
        { quantity: 'meanDensity', at: { piece: 'half' } },
        { quantity: 'meanDensity', at: { piece: 'other' } },
      ],
    },
  ],
  checks: [
    {
      check: 'rises',
      of: { earlier: 'before', later: 'after' },
      message: 'With the piece in it the water cannot stand lower than before.',
    },
    { check: 'resolvable', of: { quantity: 'volume' } },
  ],
  steps: [
    step('predict', 'Guess first', 'Which piece has the greatest density? Write down what you think, and why.', 3),
    step('mass', 'Masses', 'Weigh each dry piece at least twice. Tare the balance in between.', 6),
    step(
      'volume',
      'Volumes',
      'Lower each piece into water, all of it under the surface and without bubbles. Read before and after at eye level. Dry it, and repeat.',
      14,
    ),
    step(
      'judge',
      'One density or three?',
      'Compare the three densities with their uncertainties, all pairs of them.',
      5,
    ),
  ],
  statements: [
    isFalse(
      'heavier',
      'The heavier piece is denser.',
      [
        'It is as dense: it has more mass in just as much more volume.',
        'It is less dense.',
        'It is twice as dense if it is twice as heavy.',
      ],
      'Density belongs to the material, not to the piece.',
    ),
    isFalse(
      'cutting',
      'Cutting a rod in two halves its density.',
      [
        'Mass and volume are halved, the density stays.',
        'It doubles the density.',
        'It halves the density of one part only.',
      ],
      'Both parts of the fraction become smaller by the same factor.',
    ),
    holdsTrue(
      'small-worse',
      'The density of the small piece is less well known.',
      'The reading error of the water is the same, and the volume is smaller.',
    ),
    holdsTrue(
      'three-pairs',
      'When three pairs are compared, one of them may differ more by chance than a single pair would.',
      'The more often you look, the more often chance shows you something.',
    ),
  ],
  questions: [
    { id: 'guess', text: 'Was your guess right? Answer from your own numbers.' },
    {
      id: 'best',
      text: 'Which piece gives the best value, and why?',
      answer: { kind: 'choice', choices: ['the whole', 'one half', 'the other half'], right: 'the whole' },
    },
    {
      id: 'sum',
      text: 'Do the two halves together weigh as much as the whole would, if they were cut from one like it? What is lost in the cut?',
    },
  ],
  byStudent: ['meanDensity', 'halves', 'wholeMass'],
  samples: [
    {
      accepted: 'acrylic',
      entries: {
        mass: {
          whole: ['47.32', '47.32', '47.31'],
          half: ['23.21', '23.22', '23.21'],
          other: ['23.88', '23.87', '23.88'],
        },
        before: { whole: ['50.0', '49.5', '51.0'], half: ['50.0', '50.5', '49.0'], other: ['50.5', '50.0', '51.0'] },
        after: { whole: ['90.0', '89.4', '91.0'], half: ['69.6', '70.2', '68.6'], other: ['70.7', '70.1', '71.3'] },
      },
    },
  ],
};
