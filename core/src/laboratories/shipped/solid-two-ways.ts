import type { Protocol } from '../protocol/protocol.ts';
import { BROKEN_GLASS, computed, EYES, holdsTrue, isFalse, LOCAL_RULES, read, repeat, SPILLS, step } from './parts.ts';

export const SOLID_TWO_WAYS: Protocol = {
  id: 'solid-two-ways',
  version: 1,
  title: 'One body, two ways',
  setting: 'Brass bush without its bore, or any solid cylinder',
  purpose:
    'Find the density of one cylinder twice: from its dimensions and its mass, and from the water it pushes aside and its mass by difference. Say whether the two agree, and which is better known.',
  kit: [
    'a solid metal cylinder',
    'caliper',
    '50 mL cylinder that it fits into, with water',
    '0.01 g balance',
    'a small cup',
    'thread, paper towel',
  ],
  cautions: [
    EYES,
    'Lower the body on a thread; dropped, it breaks the glass.',
    BROKEN_GLASS,
    SPILLS,
    'Close the caliper’s jaws until they touch; do not squeeze. They are pointed.',
    LOCAL_RULES,
  ],
  options: [],
  dimensions: [repeat('trial', 'Trial', 3, 8)],
  quantities: [
    read('diameter', 'Diameter', 'd', 'mm', ['trial'], ['calipers', 'micrometers'], { step: 'dimensions' }),
    read('height', 'Height', 'h', 'mm', ['trial'], ['calipers', 'micrometers'], { step: 'dimensions' }),
    read('direct', 'Mass', 'm', 'g', ['trial'], ['balances'], { step: 'mass' }),
    read('full', 'Cup with body', 'm_2', 'g', ['trial'], { sameAs: 'direct' }, { step: 'difference' }),
    read('empty', 'Empty cup', 'm_1', 'g', ['trial'], { sameAs: 'direct' }, { container: true, step: 'difference' }),
    read('before', 'Water before', 'V_1', 'mL', ['trial'], ['graduated-glass'], { step: 'water' }),
    read('after', 'Water after', 'V_2', 'mL', ['trial'], { sameAs: 'before' }, { step: 'water' }),
    computed('shapeVolume', 'Volume by its shape', 'V_s', 'cm^3', ['trial'], 'pi / 4 * diameter^2 * height'),
    computed('waterVolume', 'Volume by displacement', 'V_w', 'cm^3', ['trial'], 'after - before'),
    computed('difference', 'Mass by difference', 'm_d', 'g', ['trial'], 'full - empty'),
    computed('meanShape', 'Mean volume by its shape', '\\bar{V}_s', 'cm^3', [], 'mean(shapeVolume over trial)'),
    computed('meanWater', 'Mean volume by displacement', '\\bar{V}_w', 'cm^3', [], 'mean(waterVolume over trial)'),
    computed('meanDirect', 'Mean mass', '\\bar{m}', 'g', [], 'mean(direct over trial)'),
    computed('meanDifference', 'Mean mass by difference', '\\bar{m}_d', 'g', [], 'mean(difference over trial)'),
    computed('shapeDensity', 'Density by shape', '\\rho_s', 'g/cm^3', [], 'meanDirect / meanShape'),
    computed('waterDensity', 'Density by displacement', '\\rho_w', 'g/cm^3', [], 'meanDifference / meanWater'),
  ],
  results: [
    { quantity: 'shapeDensity', accepted: { kind: 'material' } },
    { quantity: 'waterDensity', accepted: { kind: 'material' } },
  ],
  comparisons: [
    {
      kind: 'agree',
      id: 'densities',
      name: 'The two densities',
      of: [{ quantity: 'shapeDensity' }, { quantity: 'waterDensity' }],
    },
    {
      kind: 'agree',
      id: 'volumes',
      name: 'The two volumes',
      of: [{ quantity: 'meanShape' }, { quantity: 'meanWater' }],
    },
    {
      kind: 'agree',
      id: 'masses',
      name: 'The two masses',
      of: [{ quantity: 'meanDirect' }, { quantity: 'meanDifference' }],
    },
  ],
  checks: [
    {
      check: 'rises',
      of: { earlier: 'before', later: 'after' },
      message: 'With the body in it the water cannot stand lower than before.',
    },
    {
      check: 'rises',
      of: { earlier: 'empty', later: 'full' },
      message: 'With the body in it the cup cannot weigh less than empty.',
    },
    { check: 'resolvable', of: { quantity: 'waterVolume' } },
  ],
  steps: [
    step(
      'dimensions',
      'Dimensions',
      'Close the caliper on diameter and height at least three times, each time turned a little further.',
      8,
      { after: [] },
    ),
    step('mass', 'Mass', 'Tare the balance, and weigh the dry body.', 3, { after: [] }),
    step(
      'difference',
      'Mass by difference',
      'Weigh the cup with the body in it, take the body out, and weigh the empty cup. Do not tare in between.',
      5,
      { after: [] },
    ),
    step('water', 'Water', 'Read the water, lower the body in, read again. Dry it and repeat from another level.', 10, {
      after: ['dimensions', 'mass', 'difference'],
    }),
    step(
      'judge',
      'Which is better known?',
      'Compare the two volumes, the two masses and the two densities with their uncertainties.',
      6,
    ),
  ],
  statements: [
    isFalse(
      'tare',
      'Mass by difference needs a tared balance.',
      [
        'It does not: whatever the balance shows at nothing is in both masses, and cancels.',
        'It needs it for the second mass only.',
        'It needs it before both.',
      ],
      'The same zero is subtracted from itself.',
    ),
    isFalse(
      'radius',
      'The volume of a cylinder is π times its diameter squared times its height.',
      [
        'It is π times its radius squared times its height.',
        'It is twice π times its radius times its height.',
        'It is π times its diameter times its height.',
      ],
      'With the diameter in the place of the radius the volume comes out four times as large.',
    ),
    holdsTrue('squared', 'An error of 1 % in the diameter makes 2 % in the volume.', 'The diameter is squared.'),
    holdsTrue(
      'same-mistake',
      'Two ways that share a tool can agree and both be wrong.',
      'What is wrong with the tool is then in both.',
    ),
  ],
  questions: [
    { id: 'better', text: 'Which of the two densities is better known, and which reading makes the difference?' },
    { id: 'agree', text: 'Do the two ways agree? Say how you know.' },
    { id: 'volume', text: 'What is the volume by its shape?', answer: { kind: 'number', quantity: 'meanShape' } },
  ],
  byStudent: ['shapeVolume', 'waterVolume', 'difference', 'shapeDensity', 'waterDensity'],
  samples: [
    {
      accepted: 'brass',
      entries: {
        diameter: ['16.02', '16.00', '16.02', '16.04'],
        height: ['30.06', '30.08', '30.06', '30.06'],
        direct: ['51.72', '51.72', '51.73', '51.72'],
        full: ['58.93', '58.94', '58.93', '58.93'],
        empty: ['7.21', '7.21', '7.21', '7.20'],
        before: ['20.0', '21.5', '19.4', '22.3'],
        after: ['26.1', '27.5', '25.4', '28.4'],
      },
    },
  ],
};
