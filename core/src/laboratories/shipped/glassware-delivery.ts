import type { Protocol } from '../protocol/protocol.ts';
import {
  BROKEN_GLASS,
  EYES,
  LOCAL_RULES,
  SPILLS,
  cases,
  computed,
  given,
  holdsTrue,
  isFalse,
  lookedUp,
  named,
  read,
  repeat,
  sequence,
  step,
} from './parts.ts';

export const GLASSWARE_DELIVERY: Protocol = {
  id: 'glassware-delivery',
  version: 1,
  title: 'Which glass delivers best?',
  setting: 'Water from the harbour kit’s glassware',
  purpose: 'Weigh what each piece of glassware really delivers, and say which is most accurate and which most precise.',
  kit: [
    'two to five pieces of glassware: beaker, cylinder, burette, pipettes',
    '0.01 g balance',
    'a small dry vessel with a lid',
    'water that has stood in the room',
    'thermometer',
    'pipette filler and burette stand',
    'paper towel',
  ],
  preparation: [
    { text: 'Fill a large vessel with water, so that it takes the temperature of the room', minutesBefore: 120 },
  ],
  cautions: [
    EYES,
    'Never suck on a pipette. Hold it near the end when you push it into the filler.',
    BROKEN_GLASS,
    SPILLS,
    LOCAL_RULES,
  ],
  options: [
    {
      id: 'vessel',
      name: 'Each delivery goes',
      choices: named({ fresh: 'into a freshly weighed vessel', onTop: 'on top of the last one' }),
      rule: { name: 'replicates', choices: { 'fresh-vessel': 'fresh', 'added-on-top': 'onTop' } },
    },
    {
      id: 'weighed',
      name: 'The water is weighed',
      choices: named({ delivered: 'after it was poured out', contained: 'in the glassware itself' }),
    },
    {
      id: 'accepted',
      name: 'Compare with',
      choices: named({
        nominal: 'the volume that the glassware should give',
        weighedVolume: 'the volume found by weighing',
      }),
    },
    {
      id: 'form',
      name: 'Volume from mass',
      choices: named({ simple: 'mass ÷ density', iso: 'with air and glass allowed for (ISO 4787)' }),
    },
    {
      id: 'temperatureTaken',
      name: 'Temperature of the water',
      choices: named({ once: 'once', perTool: 'for each piece of glassware' }),
    },
  ],
  dimensions: [
    cases(
      'tool',
      'Glassware',
      [
        { id: 'beaker', name: 'beaker', tool: 'beaker-100' },
        { id: 'cylinder', name: 'cylinder', tool: 'cylinder-50' },
        { id: 'burette', name: 'burette', tool: 'burette-50' },
        { id: 'graduatedPipette', name: 'graduated pipette', tool: 'graduated-pipette-10' },
        { id: 'volumetricPipette', name: 'one-mark pipette', tool: 'volumetric-pipette-25' },
      ],
      { choose: { least: 2, most: 5 }, tools: ['graduated-glass', 'burettes', 'rings'] },
    ),
    repeat('trial', 'Trial', 3, 10, { when: { vessel: ['fresh'] } }),
    sequence('trial', 'Delivery', 3, 10, { when: { vessel: ['onTop'] } }),
  ],
  quantities: [
    read('temperature', 'Water temperature', 't', '°C', [], ['thermometers'], {
      step: 'temperature',
      when: { temperatureTaken: ['once'] },
    }),
    read('temperature', 'Water temperature', 't', '°C', ['tool'], ['thermometers'], {
      step: 'temperature',
      when: { temperatureTaken: ['perTool'] },
    }),
    given('nominal', 'Nominal volume', 'V_n', 'mL', ['tool'], { step: 'deliver', when: { accepted: ['nominal'] } }),
    read(
      'scale',
      'Volume by its scale',
      'V_s',
      'mL',
      ['tool', 'trial'],
      { member: 'tool' },
      { step: 'deliver', when: { accepted: ['weighedVolume'] } },
    ),
    read('before', 'Mass before', 'm_1', 'g', ['tool', 'trial'], ['balances'], {
      container: true,
      step: 'deliver',
      when: { vessel: ['fresh'] },
    }),
    read(
      'after',
      'Mass after',
      'm_2',
      'g',
      ['tool', 'trial'],
      { sameAs: 'before' },
      { step: 'deliver', when: { vessel: ['fresh'] } },
    ),
    read('empty', 'Mass of the empty vessel', 'm_0', 'g', ['tool'], ['balances'], {
      container: true,
      step: 'deliver',
      when: { vessel: ['onTop'] },
    }),
    read(
      'running',
      'Mass so far',
      'm',
      'g',
      ['tool', 'trial'],
      { sameAs: 'empty' },
      { step: 'deliver', when: { vessel: ['onTop'] } },
    ),
    computed('mass', 'Mass of water', 'm_w', 'g', ['tool', 'trial'], 'after - before', { when: { vessel: ['fresh'] } }),
    computed('mass', 'Mass of water', 'm_w', 'g', ['tool', 'trial'], 'running - previous(running over trial, empty)', {
      when: { vessel: ['onTop'] },
    }),
    lookedUp('waterDensity', 'Density of water', '\\rho_w', 'g/mL', [], 'water-density', ['temperature'], {
      when: { form: ['simple'], temperatureTaken: ['once'] },
    }),
    lookedUp('waterDensity', 'Density of water', '\\rho_w', 'g/mL', ['tool'], 'water-density', ['temperature'], {
      when: { form: ['simple'], temperatureTaken: ['perTool'] },
    }),
    lookedUp(
      'volumePerMass',
      'Volume of one gram',
      'Z',
      'mL/g',
      ['tool'],
      'volume-per-mass-iso-4787',
      ['temperature', 'tool'],
      { when: { form: ['iso'] } },
    ),
    computed('volume', 'Volume by weighing', 'V', 'mL', ['tool', 'trial'], 'mass / waterDensity', {
      when: { form: ['simple'] },
    }),
    computed('volume', 'Volume by weighing', 'V', 'mL', ['tool', 'trial'], 'mass * volumePerMass', {
      when: { form: ['iso'] },
    }),
    computed('meanVolume', 'Mean volume', '\\bar{V}', 'mL', ['tool'], 'mean(volume over trial)', {
      when: { accepted: ['nominal'] },
    }),
    computed('meanVolume', 'Mean volume by the scale', '\\bar{V}_s', 'mL', ['tool'], 'mean(scale over trial)', {
      when: { accepted: ['weighedVolume'] },
    }),
    computed('error', 'Error', 'E', 'mL', ['tool'], 'meanVolume - nominal', { when: { accepted: ['nominal'] } }),
    computed('error', 'Error', 'E', 'mL', ['tool'], 'mean(scale - volume over trial)', {
      when: { accepted: ['weighedVolume'] },
    }),
    computed('percentError', 'Percent error', 'E_{\\%}', '%', ['tool'], 'error / nominal', {
      when: { accepted: ['nominal'] },
    }),
    computed('percentError', 'Percent error', 'E_{\\%}', '%', ['tool'], 'error / mean(volume over trial)', {
      when: { accepted: ['weighedVolume'] },
    }),
    computed('deviation', 'Average deviation', '\\bar{d}', 'mL', ['tool'], 'averageDeviation(volume over trial)'),
    computed('spread', 'Standard deviation', 's', 'mL', ['tool'], 'sd(volume over trial)'),
    computed('standardError', 'Standard error', 's_{\\bar{V}}', 'mL', ['tool'], 'se(volume over trial)'),
  ],
  results: [
    { quantity: 'meanVolume', accepted: { kind: 'quantity', quantity: 'nominal' }, when: { accepted: ['nominal'] } },
    { quantity: 'error', when: { accepted: ['weighedVolume'] } },
  ],
  comparisons: [
    { kind: 'rank', id: 'accuracy', name: 'By accuracy', quantity: 'error', over: 'tool' },
    { kind: 'rank', id: 'precision', name: 'By precision', quantity: 'spread', over: 'tool' },
  ],
  checks: [
    {
      check: 'rises',
      of: { earlier: 'before', later: 'after' },
      message: 'With water in it the vessel cannot weigh less than before.',
      when: { vessel: ['fresh'] },
    },
    {
      check: 'grows',
      of: { quantity: 'running', over: 'trial', from: 'empty' },
      message: 'With more water in it the vessel cannot weigh less than before.',
      when: { vessel: ['onTop'] },
    },
    { check: 'within-tolerance', of: { error: 'error', tool: 'tool' } },
  ],
  steps: [
    step(
      'temperature',
      'Temperature',
      'Leave the thermometer in the water until it no longer moves, and read it there.',
      3,
    ),
    step(
      'deliver',
      'Deliver and weigh',
      'Weigh the vessel, deliver the volume into it, and weigh again. Level the eye at each mark, and let a pipette drain against the wall.',
      20,
    ),
    step(
      'judge',
      'Accurate or precise?',
      'Rank the glassware twice: by how far its mean is off, and by how far its deliveries scatter.',
      8,
    ),
  ],
  statements: [
    isFalse(
      'bench',
      'A cylinder is read best when it is held up to the eye.',
      [
        'It stands on the bench, and the eye goes down to it.',
        'It is held at arm’s length.',
        'It is read from above, so that both edges are seen.',
      ],
      'In the hand it tilts, and its surface is no longer level with the marks.',
    ),
    isFalse(
      'last-drop',
      'The last drop must be blown out of a one-mark pipette.',
      [
        'The drop stays: the pipette was made to deliver without it.',
        'The drop is shaken off.',
        'The pipette is rinsed into the vessel.',
      ],
      'Its mark allows for the liquid that clings in the tip. Blown out, it delivers too much.',
    ),
    isFalse(
      'precise-accurate',
      'Glassware whose deliveries agree well is accurate.',
      [
        'It is precise; it is accurate if their mean is near the true volume.',
        'It is accurate if there are at least five deliveries.',
        'It is neither unless its makers say so.',
      ],
      'Deliveries can agree with each other and all be off by the same amount.',
    ),
    holdsTrue(
      'evaporation',
      'The vessel should be covered while it waits for the balance.',
      'Water evaporates, and what has left is not weighed.',
    ),
  ],
  questions: [
    { id: 'which', text: 'Which piece would you choose for 10 mL, and why?' },
    {
      id: 'tolerance',
      text: 'Is any piece further off than its maker allows? Could the water’s temperature explain it?',
    },
    { id: 'both', text: 'Is the most precise piece also the most accurate one? What does that tell you?' },
  ],
  byStudent: ['meanVolume', 'error', 'percentError'],
  samples: [
    {
      members: { tool: ['beaker', 'cylinder', 'burette'] },
      entries: {
        temperature: '21.0',
        nominal: { beaker: '50', cylinder: '20.0', burette: '20.00' },
        before: {
          beaker: ['61.24', '61.25', '61.22', '61.24'],
          cylinder: ['61.24', '61.23', '61.25', '61.22'],
          burette: ['61.23', '61.24', '61.22', '61.23'],
        },
        after: {
          beaker: ['109.86', '112.41', '108.97', '110.62'],
          cylinder: ['80.94', '81.03', '80.88', '80.97'],
          burette: ['81.18', '81.22', '81.17', '81.19'],
        },
      },
    },
    {
      options: { vessel: 'onTop' },
      members: { tool: ['beaker', 'cylinder', 'burette'] },
      entries: {
        temperature: '21.0',
        nominal: { beaker: '25', cylinder: '20.0', burette: '20.00' },
        empty: { beaker: '61.24', cylinder: '61.23', burette: '61.24' },
        running: {
          beaker: ['85.62', '110.24', '133.98', '158.66'],
          cylinder: ['80.93', '100.72', '120.37', '140.14'],
          burette: ['81.19', '101.17', '121.11', '141.08'],
        },
      },
    },
    {
      options: { accepted: 'weighedVolume', form: 'iso', temperatureTaken: 'perTool' },
      members: { tool: ['cylinder', 'graduatedPipette'] },
      entries: {
        temperature: { cylinder: '21.0', graduatedPipette: '21.2' },
        scale: { cylinder: ['20.1', '19.8', '20.0'], graduatedPipette: ['9.02', '8.98', '9.00'] },
        before: { cylinder: ['61.24', '61.23', '61.25'], graduatedPipette: ['61.22', '61.23', '61.23'] },
        after: { cylinder: ['81.03', '80.71', '80.95'], graduatedPipette: ['70.19', '70.17', '70.18'] },
      },
    },
  ],
};
