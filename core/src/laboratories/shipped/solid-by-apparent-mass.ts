import type { Protocol } from '../protocol/protocol.ts';
import { LOCAL_RULES, cases, computed, holdsTrue, isFalse, named, predicted, read, repeat, step } from './parts.ts';

export const SOLID_BY_APPARENT_MASS: Protocol = {
  id: 'solid-by-apparent-mass',
  version: 1,
  title: 'Weighed in a liquid',
  setting: 'Brass bush, or beeswax with a sinker',
  purpose:
    'Find the density of a solid from its mass in air and its apparent mass in a liquid, and predict what it will weigh in a second one.',
  kit: [
    'brass bush (sinks), or a piece of beeswax and a brass sinker',
    'balance with a hook or a platform for the beaker',
    'thin thread',
    'three beakers: water, brine, lamp oil',
    'hydrometer and a tall cylinder',
    'paper towel',
  ],
  preparation: [{ text: 'Stir the brine until all salt has dissolved, and let it stand', minutesBefore: 60 }],
  cautions: [
    'Lamp oil burns and is harmful if swallowed: no flame nearby, wear eye protection, and read its safety sheet.',
    'Wipe spills at once. Brine rusts the balance, and oil makes the floor slippery.',
    'Used liquids go back into their bottles, not into the sink, unless your school says otherwise.',
    'Broken glass, and a broken hydrometer, are swept up, never picked up by hand.',
    LOCAL_RULES,
  ],
  options: [
    {
      id: 'body',
      name: 'In the liquids the body',
      choices: named({ sinks: 'sinks by itself', floats: 'floats, and needs a sinker' }),
    },
  ],
  dimensions: [
    cases('liquid', 'Liquid', { water: 'water', brine: 'brine', oil: 'lamp oil' }),
    repeat('trial', 'Trial', 3, 8),
  ],
  quantities: [
    read(
      'liquidDensity',
      'Density of the liquid',
      '\\rho_L',
      'g/cm^3',
      ['liquid'],
      {
        by: 'liquid',
        of: {
          water: ['hydrometer-0900', 'hydrometers'],
          brine: ['hydrometer-1000', 'hydrometers'],
          oil: ['hydrometer-0800', 'hydrometers'],
        },
      },
      { step: 'hydrometer' },
    ),
    read('mass', 'Mass in air', 'm', 'g', [], ['balances'], { step: 'air' }),
    read(
      'apparent',
      'Apparent mass',
      "m'",
      'g',
      ['liquid', 'trial'],
      { sameAs: 'mass' },
      { only: { liquid: ['water', 'brine'] }, step: 'liquids', when: { body: ['sinks'] } },
    ),
    read(
      'sinker',
      'Sinker alone',
      "s'",
      'g',
      ['liquid', 'trial'],
      { sameAs: 'mass' },
      { only: { liquid: ['water', 'brine'] }, step: 'liquids', when: { body: ['floats'] } },
    ),
    read(
      'both',
      'Body and sinker',
      "b'",
      'g',
      ['liquid', 'trial'],
      { sameAs: 'mass' },
      { only: { liquid: ['water', 'brine'] }, step: 'liquids', when: { body: ['floats'] } },
    ),
    computed('lift', 'Apparent loss of mass', '\\Delta m', 'g', ['liquid'], 'mass - mean(apparent over trial)', {
      only: { liquid: ['water', 'brine'] },
      when: { body: ['sinks'] },
    }),
    computed(
      'lift',
      'Apparent loss of mass',
      '\\Delta m',
      'g',
      ['liquid'],
      'mass + mean(sinker over trial) - mean(both over trial)',
      { only: { liquid: ['water', 'brine'] }, when: { body: ['floats'] } },
    ),
    computed('density', 'Density of the body', '\\rho', 'g/cm^3', ['liquid'], 'mass * liquidDensity / lift', {
      only: { liquid: ['water', 'brine'] },
    }),
    predicted('prediction', 'Your prediction in brine', "m'_p", 'g', [], 'apparent', {
      at: { liquid: 'brine' },
      step: 'predict',
      optional: true,
      when: { body: ['sinks'] },
    }),
    computed(
      'expected',
      'Expected in brine, from the water',
      "m'_e",
      'g',
      [],
      'mass - mass * liquidDensity[brine] / density[water]',
      { when: { body: ['sinks'] } },
    ),
    computed('weighed', 'Weighed in brine', "\\bar{m}'", 'g', [], 'mean(apparent[brine] over trial)', {
      when: { body: ['sinks'] },
    }),
  ],
  results: [{ quantity: 'density', accepted: { kind: 'material' } }],
  comparisons: [
    {
      kind: 'agree',
      id: 'liquids',
      name: 'The two densities',
      of: [
        { quantity: 'density', at: { liquid: 'water' } },
        { quantity: 'density', at: { liquid: 'brine' } },
      ],
    },
    {
      kind: 'agree',
      id: 'predicted',
      name: 'Prediction and weighing',
      of: [{ quantity: 'expected' }, { quantity: 'weighed' }],
      when: { body: ['sinks'] },
    },
  ],
  checks: [
    {
      check: 'above',
      of: { more: 'mass', less: 'apparent' },
      message: 'In a liquid the body cannot seem heavier than in air.',
      when: { body: ['sinks'] },
    },
    {
      check: 'above',
      of: { more: 'sinker', less: 'both' },
      message: 'A body that floats makes the pair seem lighter than the sinker alone.',
      when: { body: ['floats'] },
    },
  ],
  steps: [
    step(
      'hydrometer',
      'Three liquids',
      'Float the hydrometer in each liquid. Spin it gently so that it does not cling to the wall, level the eye, and read.',
      8,
      { after: [] },
    ),
    step('air', 'In air', 'Weigh the dry body in air, on its thread.', 3, { after: [] }),
    step(
      'predict',
      'Predict',
      'Will it seem heavier in brine or in water? Write the mass you expect in brine before you weigh it there.',
      4,
      { when: { body: ['sinks'] } },
    ),
    step(
      'liquids',
      'In the liquids',
      'Hang it in water so that it is covered and touches nothing. Shake off bubbles, weigh, take it out, dry it, and repeat. Then the same in brine.',
      14,
      { after: ['air', 'predict'] },
    ),
    step(
      'judge',
      'Do the liquids agree?',
      'The density of the body must come out the same from both liquids. Does it, within the uncertainties?',
      5,
      { after: ['hydrometer', 'liquids'] },
    ),
  ],
  statements: [
    isFalse(
      'lighter',
      'In a liquid a body loses part of its mass.',
      [
        'Its mass stays; the liquid carries part of its weight.',
        'It loses mass until it touches the bottom.',
        'It loses mass only if it floats.',
      ],
      'Out of the liquid it weighs what it did before.',
    ),
    holdsTrue(
      'denser-liquid',
      'The denser the liquid, the smaller the apparent mass.',
      'The liquid carries as much as the liquid pushed aside weighs.',
    ),
    isFalse(
      'touching',
      'It does no harm if the body rests on the bottom of the beaker.',
      [
        'It must hang free: what the bottom carries is missing on the balance.',
        'It does harm only in brine.',
        'It must rest on the bottom, so that it hangs still.',
      ],
      'The balance then shows too little, and the density comes out too small.',
    ),
    holdsTrue(
      'bubbles',
      'Bubbles on the body make it seem lighter.',
      'They push aside liquid and weigh next to nothing.',
    ),
  ],
  questions: [
    {
      id: 'loss',
      text: 'By how much did the body seem lighter in water?',
      answer: { kind: 'number', quantity: 'lift', at: { liquid: 'water' } },
    },
    {
      id: 'prediction',
      text: 'How far off was your prediction? Is that within the uncertainty?',
      when: { body: ['sinks'] },
    },
    { id: 'oil', text: 'What would the body weigh in lamp oil? Use your own numbers.' },
  ],
  byStudent: ['lift', 'density', 'expected'],
  samples: [
    {
      accepted: 'brass',
      entries: {
        liquidDensity: { water: '0.998', brine: '1.072', oil: '0.801' },
        mass: '61.48',
        apparent: { water: ['54.28', '54.26', '54.29'], brine: ['53.75', '53.73', '53.74'] },
        prediction: '53.7',
      },
    },
    {
      options: { body: 'floats' },
      accepted: 'beeswax',
      entries: {
        liquidDensity: { water: '0.998', brine: '1.072', oil: '0.801' },
        mass: '6.12',
        sinker: { water: ['54.28', '54.26', '54.29'], brine: ['53.75', '53.73', '53.74'] },
        both: { water: ['54.02', '54.04', '54.03'], brine: ['53.04', '53.06', '53.03'] },
      },
    },
  ],
};
