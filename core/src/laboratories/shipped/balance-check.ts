import type { Protocol } from '../protocol/protocol.ts';
import { cases, computed, given, holdsTrue, isFalse, LOCAL_RULES, read, step } from './parts.ts';

export const BALANCE_CHECK: Protocol = {
  id: 'balance-check',
  version: 1,
  title: 'Is the balance fit for use?',
  setting: 'The balances of the cabinet and a set of standard masses',
  purpose:
    'Load balances with standard masses, upwards and downwards, and say which balance is fit, which to watch, and which not to use.',
  kit: ['one to four balances', 'standard masses of 20 g, 50 g and 100 g', 'tweezers or gloves'],
  cautions: [
    'Lift standard masses with tweezers or gloves: fingers leave grease on them, and a dropped mass is no standard any more.',
    'Do not load a balance beyond what is written on it.',
    'Keep heavy masses away from the bench’s edge, and from your toes.',
    LOCAL_RULES,
  ],
  options: [],
  dimensions: [
    cases(
      'balance',
      'Balance',
      [
        { id: 'hundredth', name: '0.01 g balance', tool: 'digital-balance-hundredth' },
        { id: 'tenth', name: '0.1 g balance', tool: 'digital-balance-tenth' },
      ],
      { choose: { least: 1, most: 4 }, tools: ['balances'] },
    ),
    cases('load', 'Load', { light: '20 g', middle: '50 g', heavy: '100 g' }),
    cases('way', 'Way', { up: 'upwards', down: 'downwards' }),
  ],
  quantities: [
    given('standard', 'Standard mass', 'm_s', 'g', ['load'], { halfWidth: 0.002, step: 'set' }),
    read('shown', 'Shown', 'm', 'g', ['balance', 'load', 'way'], { member: 'balance' }, { step: 'load' }),
    computed('error', 'Error', 'E', 'g', ['balance', 'load', 'way'], 'shown - standard'),
    computed('upDown', 'Up less down', '\\Delta', 'g', ['balance', 'load'], 'shown[up] - shown[down]'),
    computed('largest', 'Largest error', 'E_{max}', 'g', ['balance'], 'max(abs(error) over load, way)'),
    computed('meanError', 'Mean error', '\\bar{E}', 'g', ['balance'], 'mean(error over load, way)'),
  ],
  results: [{ quantity: 'largest' }, { quantity: 'meanError' }],
  comparisons: [{ kind: 'rank', id: 'best', name: 'By largest error', quantity: 'largest', over: 'balance' }],
  checks: [{ check: 'balance-fit', of: { error: 'largest', tool: 'balance' } }],
  steps: [
    step('set', 'The standards', 'Write what stands on each standard mass.', 2),
    step(
      'load',
      'Up and down',
      'Tare the balance once. Put the masses on from the lightest to the heaviest, and read each. Then go down again the same way, without taring.',
      10,
    ),
    step(
      'judge',
      'Fit, watch, or out of use?',
      'Look at the largest error of each balance. What you find goes into the cabinet.',
      4,
    ),
  ],
  statements: [
    isFalse(
      'tare-between',
      'The balance is tared between two masses.',
      [
        'It is tared once: what creeps in between belongs to what you want to see.',
        'It is tared before every mass.',
        'It is tared on the way down only.',
      ],
      'Taring would wipe away the drift that the check is for.',
    ),
    holdsTrue(
      'down',
      'Going down again shows whether a balance hangs behind.',
      'Friction or a tired spring makes it show more on the way down than on the way up.',
    ),
    isFalse(
      'digits',
      'A balance with more digits is more accurate.',
      [
        'More digits show finer differences; they can all be off together.',
        'It is, from three decimals on.',
        'It is, if it is new.',
      ],
      'Only a standard mass tells whether what is shown is true.',
    ),
    holdsTrue(
      'fingers',
      'Standard masses are not touched with bare fingers.',
      'Grease and moisture add mass, and eat into the metal.',
    ),
  ],
  questions: [
    { id: 'which', text: 'Which balance is fit, which would you watch, and which would you take out of use?' },
    {
      id: 'largest',
      text: 'What is the largest error of your first balance?',
      answer: { kind: 'number', quantity: 'largest' },
    },
    { id: 'cause', text: 'Are the errors alike for all loads, or do they grow with the load? What could that mean?' },
  ],
  byStudent: ['meanError'],
  samples: [
    {
      members: { balance: ['hundredth', 'tenth'] },
      entries: {
        standard: { light: '20.000', middle: '50.000', heavy: '100.000' },
        shown: {
          hundredth: {
            light: { up: '20.00', down: '20.01' },
            middle: { up: '50.01', down: '50.01' },
            heavy: { up: '100.02', down: '100.02' },
          },
          tenth: {
            light: { up: '20.0', down: '20.1' },
            middle: { up: '50.2', down: '50.2' },
            heavy: { up: '100.3', down: '100.3' },
          },
        },
      },
    },
  ],
};
