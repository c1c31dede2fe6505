import type { Protocol } from '../protocol/protocol.ts';
import { computed, holdsTrue, isFalse, LOCAL_RULES, named, read, repeat, step } from './parts.ts';

const SHAPE = (...shapes: string[]): { readonly shape: readonly string[] } => ({ shape: shapes });
const CALIPERS = ['calipers', 'micrometers', 'ruler-millimetre'];

/** One dimension of the body, read at several places with the zero of its tool taken off. */
function dimension(id: string, name: string, symbol: string, ...shapes: string[]): Protocol['quantities'] {
  return [
    read(id, name, symbol, 'mm', ['position'], CALIPERS, { step: 'dimensions', when: SHAPE(...shapes) }),
    read(
      `${id}Zero`,
      `Zero for ${name.toLowerCase()}`,
      `${symbol}_0`,
      'mm',
      [],
      { sameAs: id },
      {
        step: 'zero',
        optional: true,
        usual: '0',
        zeroOf: [id],
        when: SHAPE(...shapes),
      },
    ),
    computed(`${id}Mean`, `${name}, corrected`, `\\bar{${symbol}}`, 'mm', [], `mean(${id} over position) - ${id}Zero`, {
      when: SHAPE(...shapes),
    }),
  ];
}

function volume(shape: string, formula: string): Protocol['quantities'][number] {
  return computed('volume', 'Volume', 'V', 'cm^3', [], formula, { when: SHAPE(shape) });
}

export const SOLID_BY_DIMENSIONS: Protocol = {
  id: 'solid-by-dimensions',
  version: 1,
  title: 'Density from dimensions',
  setting: 'Slate tile, acrylic rod, glass float, brass bush, hexagonal bar or beeswax cone',
  purpose:
    'Find the volume of a regular body from its dimensions, its density from that and its mass, and say which reading limits it.',
  kit: ['a regular body, dry and clean', 'caliper, and a micrometer for what is thin', '0.01 g balance', 'soft cloth'],
  cautions: [
    'Caliper jaws are pointed: keep them away from your eyes, and close them when you put the tool down.',
    'Glass and slate break: keep them on the table. Broken pieces are swept up, never picked up by hand.',
    LOCAL_RULES,
  ],
  options: [
    {
      id: 'shape',
      name: 'The body is',
      choices: named({
        block: 'a block',
        cylinder: 'a cylinder',
        sphere: 'a sphere',
        tube: 'a tube',
        hexagon: 'a hexagonal bar with a bore',
        cone: 'a cone',
      }),
    },
  ],
  dimensions: [repeat('position', 'Position', 3, 8)],
  quantities: [
    ...dimension('length', 'Length', 'L', 'block'),
    ...dimension('width', 'Width', 'W', 'block'),
    ...dimension('height', 'Height', 'h', 'block', 'cylinder', 'tube', 'hexagon', 'cone'),
    ...dimension('diameter', 'Diameter', 'd', 'cylinder', 'sphere', 'cone'),
    ...dimension('outer', 'Outer diameter', 'D', 'tube'),
    ...dimension('flats', 'Across the flats', 's', 'hexagon'),
    ...dimension('bore', 'Bore', 'b', 'tube', 'hexagon'),
    read('mass', 'Mass', 'm', 'g', ['position'], ['balances'], { step: 'mass' }),
    volume('block', 'lengthMean * widthMean * heightMean'),
    volume('cylinder', 'pi / 4 * diameterMean^2 * heightMean'),
    volume('sphere', 'pi / 6 * diameterMean^3'),
    volume('tube', 'pi / 4 * (outerMean^2 - boreMean^2) * heightMean'),
    volume('hexagon', '(sqrt(3) / 2 * flatsMean^2 - pi / 4 * boreMean^2) * heightMean'),
    volume('cone', 'pi / 12 * diameterMean^2 * heightMean'),
    computed('meanMass', 'Mean mass', '\\bar{m}', 'g', [], 'mean(mass over position)'),
    computed('density', 'Density', '\\rho', 'g/cm^3', [], 'meanMass / volume'),
  ],
  results: [{ quantity: 'volume' }, { quantity: 'density', accepted: { kind: 'material' } }],
  comparisons: [
    { kind: 'identify', id: 'which', name: 'Which material?', of: { quantity: 'density' }, among: ['solid'] },
  ],
  checks: [
    {
      check: 'above',
      of: { more: 'outer', less: 'bore' },
      message: 'The bore cannot be wider than the tube.',
      when: SHAPE('tube'),
    },
    {
      check: 'above',
      of: { more: 'flats', less: 'bore' },
      message: 'The bore cannot be wider than the bar.',
      when: SHAPE('hexagon'),
    },
  ],
  steps: [
    step('zero', 'Zero', 'Close the empty jaws and read. What stands there is taken off every reading.', 3),
    step(
      'dimensions',
      'Dimensions',
      'Measure each dimension at three places or more. Turn a round body by a right angle between readings: it may be oval.',
      12,
    ),
    step('mass', 'Mass', 'Weigh the body, and weigh it again: tare the balance in between.', 4, { after: [] }),
    step(
      'density',
      'Density',
      'Look at the volume, the density, and the bars that say where the uncertainty comes from.',
      6,
      { after: ['dimensions', 'mass'] },
    ),
  ],
  statements: [
    isFalse(
      'one-place',
      'If the tool is fine enough, one place is enough.',
      [
        'Several places show whether the body is the same everywhere.',
        'Two places are always enough.',
        'One place is enough if it is the middle.',
      ],
      'A fine tool reads one place well. It cannot tell you that the next place is thicker.',
    ),
    isFalse(
      'zero-small',
      'A zero error of 0.04 mm does not matter.',
      [
        'It matters when it is a large part of the dimension, or of its uncertainty.',
        'It matters only for balances.',
        'It cancels by itself in a single reading.',
      ],
      'It is in every reading, so no repeating shows it, and a thin sheet is off by a lot.',
    ),
    holdsTrue(
      'cube',
      'An error of 1 % in a sphere’s diameter makes 3 % in its volume.',
      'The diameter enters three times.',
    ),
    holdsTrue(
      'flats',
      'Across the flats is the shorter way across a hexagon; across the corners is the longer one.',
      'The formula with √3 ÷ 2 wants the shorter one.',
    ),
  ],
  questions: [
    { id: 'limits', text: 'Which reading limits your density? What would you measure better first?' },
    { id: 'volume', text: 'What is the volume of the body?', answer: { kind: 'number', quantity: 'volume' } },
    { id: 'material', text: 'What could it be made of? What would help you to tell the candidates apart?' },
  ],
  byStudent: [
    'lengthMean',
    'widthMean',
    'heightMean',
    'diameterMean',
    'outerMean',
    'flatsMean',
    'boreMean',
    'volume',
    'density',
  ],
  samples: [
    {
      accepted: 'slate',
      entries: {
        length: ['79.96', '80.02', '79.98'],
        width: ['40.04', '40.00', '40.02'],
        height: ['6.12', '6.18', '6.14'],
        lengthZero: '0.02',
        widthZero: '0.02',
        heightZero: '0.02',
        mass: ['54.02', '54.02', '54.01'],
      },
    },
    {
      options: { shape: 'cylinder' },
      accepted: 'acrylic',
      entries: {
        height: ['60.10', '60.12', '60.10'],
        diameter: ['24.98', '25.02', '25.00'],
        mass: ['34.92', '34.91', '34.92'],
      },
    },
    {
      options: { shape: 'sphere' },
      accepted: 'soda-glass',
      entries: { diameter: ['35.04', '34.92', '34.98', '35.02'], mass: ['55.82', '55.83', '55.82', '55.82'] },
    },
    {
      options: { shape: 'tube' },
      accepted: 'brass',
      entries: {
        height: ['20.04', '20.02', '20.04'],
        outer: ['18.02', '18.00', '18.02'],
        bore: ['12.04', '12.02', '12.06'],
        mass: ['24.14', '24.14', '24.15'],
      },
    },
    {
      options: { shape: 'hexagon' },
      accepted: 'brass',
      entries: {
        height: ['25.02', '25.04', '25.02'],
        flats: ['17.00', '16.98', '17.02'],
        bore: ['8.04', '8.02', '8.04'],
        mass: ['42.74', '42.75', '42.74'],
      },
    },
    {
      options: { shape: 'cone' },
      accepted: 'beeswax',
      entries: {
        height: ['48.2', '48.6', '48.4'],
        diameter: ['40.02', '40.10', '39.96'],
        mass: ['19.44', '19.44', '19.43'],
      },
    },
  ],
};
