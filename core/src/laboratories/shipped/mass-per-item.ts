import type { Protocol } from '../protocol/protocol.ts';
import {
  computed,
  counted,
  holdsTrue,
  isFalse,
  LOCAL_RULES,
  predicted,
  read,
  repeat,
  sequence,
  step,
} from './parts.ts';

export const MASS_PER_ITEM: Protocol = {
  id: 'mass-per-item',
  version: 1,
  title: 'What does one weigh?',
  setting: 'Nickel washers in a cup',
  purpose:
    'Find the mass of one washer from a line through several counts, predict what a further count will weigh, and test the prediction on the balance.',
  kit: ['about fifty nickel washers', 'a light cup', '0.01 g balance'],
  cautions: [
    'Nickel irritates some people’s skin: use tweezers or gloves if you are sensitive, and wash your hands afterwards.',
    'Do not load the balance beyond what is written on it.',
    LOCAL_RULES,
  ],
  options: [],
  dimensions: [sequence('load', 'Load', 3, 8), repeat('trial', 'Trial', 2, 5)],
  quantities: [
    counted('washers', 'Washers', 'n', ['load'], 0, { step: 'weigh' }),
    read('mass', 'Mass with cup', 'm', 'g', ['load', 'trial'], ['balances'], { step: 'weigh' }),
    computed('loadMass', 'Mean mass', '\\bar{m}', 'g', ['load'], 'mean(mass over trial)'),
    computed('each', 'Mass of one washer', 'm_1', 'g', [], 'slope(loadMass, washers over load)'),
    computed('cup', 'Mass of the cup', 'm_0', 'g', [], 'intercept(loadMass, washers over load)'),
    counted('further', 'Washers of the test', 'N', [], 0, { step: 'predict' }),
    predicted('guess', 'Your prediction', 'm_p', 'g', [], 'weighed', { step: 'predict', optional: true }),
    computed('expected', 'Mass by the line', 'm_e', 'g', [], 'cup + each * further'),
    read('weighed', 'Mass on the balance', 'm_w', 'g', ['trial'], { sameAs: 'mass' }, { step: 'test' }),
    computed('test', 'Mean on the balance', '\\bar{m}_w', 'g', [], 'mean(weighed over trial)'),
  ],
  results: [{ quantity: 'each' }, { quantity: 'cup' }, { quantity: 'expected' }],
  comparisons: [
    {
      kind: 'agree',
      id: 'prediction',
      name: 'The line’s prediction and the balance',
      of: [{ quantity: 'expected' }, { quantity: 'test' }],
    },
  ],
  checks: [
    {
      check: 'grows',
      of: { quantity: 'loadMass', over: 'load', with: 'washers' },
      message: 'With more washers the cup cannot weigh less.',
    },
  ],
  steps: [
    step(
      'weigh',
      'Counts and masses',
      'Count washers into the cup, and weigh. Do it for at least three counts, well apart, each weighed twice.',
      10,
    ),
    step(
      'predict',
      'Predict',
      'Choose a count that is larger than all others. Write the mass you expect before you weigh it.',
      4,
    ),
    step('test', 'Test', 'Count so many washers into the cup, and weigh them twice.', 4),
    step(
      'judge',
      'Was the line right?',
      'Compare the line’s prediction with the balance, both with their uncertainties.',
      5,
    ),
  ],
  statements: [
    holdsTrue(
      'many',
      'Weighing thirty washers together gives the mass of one better than weighing one.',
      'The balance’s last digit is shared by thirty.',
    ),
    isFalse(
      'cup-first',
      'The cup must be weighed first, or one washer’s mass cannot be found.',
      [
        'The line’s steepness gives it: the cup shifts all points alike.',
        'It can be left out if it is light.',
        'It must be weighed last.',
      ],
      'Only how much each further washer adds counts.',
    ),
    isFalse(
      'through-zero',
      'The line has to go through zero.',
      [
        'It meets the axis at the mass of the cup.',
        'It has to go through the first point.',
        'It has to go through the middle point.',
      ],
      'With no washers the cup is still on the balance.',
    ),
    holdsTrue(
      'further-worse',
      'The further a prediction lies beyond the counts you weighed, the less well it is known.',
      'A small error of the steepness grows with the distance.',
    ),
  ],
  questions: [
    {
      id: 'each',
      text: 'What is the mass of one washer, and how well is it known?',
      answer: { kind: 'number', quantity: 'each' },
    },
    {
      id: 'cup',
      text: 'What is the mass of the cup, although you never weighed it empty?',
      answer: { kind: 'number', quantity: 'cup' },
    },
    { id: 'sort', text: 'How could you tell from a mass alone that one washer is missing from a bag of fifty?' },
  ],
  byStudent: ['expected', 'test'],
  samples: [
    {
      entries: {
        washers: ['5', '10', '20', '30'],
        mass: {
          '1': ['22.64', '22.65'],
          '2': ['35.19', '35.18'],
          '3': ['60.21', '60.22'],
          '4': ['85.30', '85.29'],
        },
        further: '40',
        guess: '110.3',
        weighed: ['110.36', '110.35'],
      },
    },
  ],
};
