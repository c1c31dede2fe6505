import type { Protocol } from '../protocol/protocol.ts';
import {
  BROKEN_GLASS,
  computed,
  EYES,
  given,
  holdsTrue,
  isFalse,
  LOCAL_RULES,
  read,
  repeat,
  SPILLS,
  step,
} from './parts.ts';

export const CYLINDER_CHECK: Protocol = {
  id: 'cylinder-check',
  version: 1,
  title: 'Does the cylinder read what is in it?',
  setting: 'The harbour kit’s 100 mL cylinder',
  purpose:
    'Check a measuring cylinder twice: by area times height between two of its marks, and by adding a known volume to it.',
  kit: ['100 mL cylinder', 'caliper', 'millimetre ruler', 'pipette of 10 mL, or a burette', 'water', 'paper towel'],
  cautions: [
    EYES,
    'Never suck on a pipette: use a filler.',
    'Do not press the caliper’s jaws against the glass.',
    BROKEN_GLASS,
    SPILLS,
    LOCAL_RULES,
  ],
  options: [],
  dimensions: [repeat('trial', 'Trial', 3, 8)],
  quantities: [
    given('lower', 'Lower mark', 'V_a', 'mL', [], { value: 'exact(20)' }),
    given('upper', 'Upper mark', 'V_b', 'mL', [], { value: 'exact(80)' }),
    read('bore', 'Bore', 'd', 'mm', ['trial'], ['calipers'], { step: 'shape' }),
    read('height', 'From mark to mark', 'h', 'mm', ['trial'], ['ruler-millimetre', 'calipers'], { step: 'shape' }),
    computed(
      'byShape',
      'Volume between the marks',
      'V_s',
      'mL',
      [],
      'pi * (mean(bore over trial) / 2)^2 * mean(height over trial)',
    ),
    computed('marked', 'Volume by the marks', 'V_m', 'mL', [], 'upper - lower'),
    computed('shapeError', 'Percent by which the marks are off', 'E_s', '%', [], '(marked - byShape) / byShape'),
    given('added', 'Volume added', 'V_p', 'mL', [], { halfWidth: 0.02, step: 'add' }),
    read('before', 'Water before', 'V_1', 'mL', ['trial'], ['cylinder-100', 'graduated-glass'], { step: 'add' }),
    read('after', 'Water after', 'V_2', 'mL', ['trial'], { sameAs: 'before' }, { step: 'add' }),
    computed('rise', 'Rise on the scale', '\\Delta V', 'mL', ['trial'], 'after - before'),
    computed('meanRise', 'Mean rise', '\\overline{\\Delta V}', 'mL', [], 'mean(rise over trial)'),
  ],
  results: [{ quantity: 'byShape' }, { quantity: 'meanRise', accepted: { kind: 'quantity', quantity: 'added' } }],
  comparisons: [
    {
      kind: 'agree',
      id: 'shape',
      name: 'By its shape and by its marks',
      of: [{ quantity: 'byShape' }, { quantity: 'marked' }],
    },
    {
      kind: 'agree',
      id: 'added',
      name: 'What was added and what the scale rose',
      of: [{ quantity: 'added' }, { quantity: 'meanRise' }],
    },
  ],
  checks: [
    {
      check: 'rises',
      of: { earlier: 'before', later: 'after' },
      message: 'With more water in it the cylinder cannot read less.',
    },
  ],
  steps: [
    step(
      'shape',
      'Bore and height',
      'Measure the bore at the rim in three directions, and the height from the 20 mL mark to the 80 mL mark with a ruler laid along the glass.',
      8,
      { after: [] },
    ),
    step(
      'add',
      'Add a known volume',
      'Fill the cylinder to about 50 mL, read it, add the known volume, and read again. Do it three times, the first reading a little different each time.',
      10,
    ),
    step(
      'judge',
      'Does it read true?',
      'Compare the volume by its shape with the marks, and the rise with what was added.',
      5,
    ),
  ],
  statements: [
    isFalse(
      'outer-radius',
      'The outer radius of the cylinder gives the volume inside.',
      ['The inner radius does: glass holds no water.', 'It does if the glass is clear.', 'It does for the upper half.'],
      'With a wall of 1.5 mm the volume comes out about a quarter too large.',
    ),
    isFalse(
      'diameter-squared',
      'The area of a circle is π times the diameter squared.',
      ['It is π times the radius squared.', 'It is π times the diameter.', 'It is twice π times the radius squared.'],
      'The diameter squared is four times the radius squared.',
    ),
    holdsTrue(
      'rim-only',
      'The bore at the rim may not be the bore further down.',
      'Glass tubes are not perfectly straight.',
    ),
    holdsTrue('cubic', 'A cubic centimetre is a millilitre.', 'They are two names of one volume.'),
  ],
  questions: [
    {
      id: 'shape',
      text: 'What volume lies between the marks by your bore and height?',
      answer: { kind: 'number', quantity: 'byShape' },
    },
    { id: 'fair', text: 'Is the cylinder off by more than your uncertainty? By more than its maker allows?' },
    { id: 'limits', text: 'Which of your two checks is the better one, and what limits it?' },
  ],
  byStudent: ['byShape', 'marked', 'shapeError', 'meanRise'],
  samples: [
    {
      entries: {
        bore: ['26.02', '25.98', '26.04'],
        height: ['112.8', '113.0', '112.9'],
        added: '10.00',
        before: ['50.0', '49.5', '50.5'],
        after: ['60.1', '59.4', '60.4'],
      },
    },
  ],
};
