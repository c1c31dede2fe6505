import type { Protocol } from '../protocol/protocol.ts';
import { computed, holdsTrue, isFalse, LOCAL_RULES, read, repeat, step } from './parts.ts';

const WHERE = { step: 'dimensions' } as const;

export const HOLLOW_BODY: Protocol = {
  id: 'hollow-body',
  version: 1,
  title: 'How much metal is in it?',
  setting: 'Brass bush with one closed end',
  purpose:
    'Find the volume of metal in a hollow body as outer volume less hollow, and compare the density that follows with the accepted one.',
  kit: ['a brass cup: a bush with one closed end', 'caliper with a depth rod', '0.01 g balance', 'soft cloth'],
  cautions: [
    'Caliper jaws and depth rod are pointed: keep them away from your eyes, and close them when you put the tool down.',
    'Do not force the inner jaws: they only touch the bore.',
    LOCAL_RULES,
  ],
  options: [],
  dimensions: [repeat('position', 'Position', 5, 10)],
  quantities: [
    read('outer', 'Outer diameter', 'D', 'mm', ['position'], ['calipers', 'micrometers'], WHERE),
    read('bore', 'Bore', 'd', 'mm', ['position'], ['calipers'], WHERE),
    read('length', 'Outer length', 'L', 'mm', ['position'], ['calipers'], WHERE),
    read('depth', 'Depth', 't', 'mm', ['position'], ['calipers'], WHERE),
    read('mass', 'Mass', 'm', 'g', ['position'], ['balances'], { step: 'mass' }),
    computed(
      'outerVolume',
      'Outer volume',
      'V_o',
      'cm^3',
      [],
      'pi / 4 * mean(outer over position)^2 * mean(length over position)',
    ),
    computed(
      'hollow',
      'Volume of the hollow',
      'V_h',
      'cm^3',
      [],
      'pi / 4 * mean(bore over position)^2 * mean(depth over position)',
    ),
    computed('metal', 'Volume of metal', 'V', 'cm^3', [], 'outerVolume - hollow'),
    computed('meanMass', 'Mean mass', '\\bar{m}', 'g', [], 'mean(mass over position)'),
    computed('density', 'Density', '\\rho', 'g/cm^3', [], 'meanMass / metal'),
  ],
  results: [
    { quantity: 'outerVolume' },
    { quantity: 'hollow' },
    { quantity: 'metal' },
    { quantity: 'density', accepted: { kind: 'material' } },
  ],
  comparisons: [],
  checks: [
    { check: 'above', of: { more: 'outer', less: 'bore' }, message: 'The bore cannot be wider than the body.' },
    {
      check: 'above',
      of: { more: 'length', less: 'depth' },
      message: 'The hollow cannot be deeper than the body is long.',
    },
  ],
  steps: [
    step(
      'dimensions',
      'Dimensions',
      'Measure outer diameter, bore, outer length and depth, each at five places. Turn the body a little further each time.',
      15,
      { after: [] },
    ),
    step('mass', 'Mass', 'Weigh the clean, dry body at least twice, and tare the balance in between.', 4, {
      after: [],
    }),
    step(
      'judge',
      'How much metal?',
      'Look at the outer volume, the hollow and the metal, and at how well each is known.',
      6,
      { after: ['dimensions', 'mass'] },
    ),
  ],
  statements: [
    isFalse(
      'subtract-u',
      'The uncertainty of the metal is the uncertainty of the outer volume less that of the hollow.',
      [
        'Both add to it, in quadrature or plainly, as your class does.',
        'It is the larger of the two.',
        'It is the smaller of the two.',
      ],
      'What you do not know of one volume is not mended by what you do not know of the other.',
    ),
    holdsTrue(
      'thin',
      'The thinner the wall, the worse the volume of metal is known.',
      'It is then a small difference of two large volumes.',
    ),
    isFalse(
      'jaws',
      'The bore is measured best with the outer jaws put inside.',
      [
        'The inner jaws are made for it: their edges touch the wall.',
        'A ruler laid across the rim is best.',
        'The depth rod is best.',
      ],
      'Wide jaws touch a round bore at their corners, and read too little.',
    ),
    holdsTrue(
      'oval',
      'Turning the body between readings shows whether it is oval.',
      'An oval has a long and a short way across.',
    ),
  ],
  questions: [
    {
      id: 'percent',
      text: 'To how many percent are outer volume, hollow and metal known? Why is the metal the worst?',
    },
    { id: 'metal', text: 'What is the volume of metal?', answer: { kind: 'number', quantity: 'metal' } },
    { id: 'density', text: 'Does the density agree with brass? If not, which reading would you take again?' },
  ],
  byStudent: ['outerVolume', 'hollow', 'metal', 'density'],
  samples: [
    {
      accepted: 'brass',
      entries: {
        outer: ['20.02', '20.00', '20.02', '20.04', '20.02'],
        bore: ['16.04', '16.02', '16.06', '16.04', '16.02'],
        length: ['30.10', '30.08', '30.10', '30.12', '30.10'],
        depth: ['26.02', '25.98', '26.04', '26.00', '26.02'],
        mass: ['36.06', '36.06', '36.07', '36.06', '36.06'],
      },
    },
  ],
};
