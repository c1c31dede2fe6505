import type { Protocol } from '../protocol/protocol.ts';
import { BROKEN_GLASS, LOCAL_RULES, computed, holdsTrue, isFalse, read, repeat, sequence, step } from './parts.ts';

export const LIQUID_BY_INCREMENTS: Protocol = {
  id: 'liquid-by-increments',
  version: 1,
  title: 'Density of a liquid, fill by fill',
  setting: 'An unmarked bottle from the harbour kit',
  purpose:
    'Find the density of a liquid from several fills of one cylinder, and from the line through them, and say which liquid it could be.',
  kit: ['25 mL of the liquid', 'cylinder', '0.01 g balance', 'dropper for the last drops', 'paper towel'],
  cautions: [
    'Wear eye protection. Some liquids burn or are harmful: no flame nearby, and read the label and the safety sheet.',
    'Do not smell or taste the liquid, and wash your hands afterwards.',
    BROKEN_GLASS,
    'Used liquid goes into the labelled bottle, not into the sink, unless your school says otherwise.',
    LOCAL_RULES,
  ],
  options: [],
  dimensions: [repeat('weighing', 'Weighing', 3, 5), sequence('fill', 'Fill', 3, 10)],
  quantities: [
    read('empty', 'Empty cylinder', 'm_0', 'g', ['weighing'], ['balances'], { container: true, step: 'empty' }),
    read('volume', 'Volume in it', 'V', 'mL', ['fill'], ['cylinder-25', 'graduated-glass', 'burettes'], {
      step: 'fills',
    }),
    read('mass', 'Mass with liquid', 'm', 'g', ['fill'], { sameAs: 'empty' }, { step: 'fills' }),
    computed('meanEmpty', 'Mean empty mass', '\\bar{m}_0', 'g', [], 'mean(empty over weighing)'),
    computed('liquid', 'Mass of liquid', 'm_l', 'g', ['fill'], 'mass - meanEmpty'),
    computed('density', 'Density', '\\rho', 'g/mL', ['fill'], 'liquid / volume'),
    computed('meanDensity', 'Mean of the fills', '\\bar{\\rho}', 'g/mL', [], 'mean(density over fill)'),
    computed('slopeDensity', 'Slope of the line', '\\rho_s', 'g/mL', [], 'slope(mass, volume over fill)'),
    computed('atNothing', 'Line at no liquid', 'm(0)', 'g', [], 'intercept(mass, volume over fill)'),
  ],
  results: [
    { quantity: 'meanDensity', accepted: { kind: 'material' } },
    { quantity: 'slopeDensity', accepted: { kind: 'material' } },
  ],
  comparisons: [
    {
      kind: 'agree',
      id: 'ways',
      name: 'Mean and slope',
      of: [{ quantity: 'meanDensity' }, { quantity: 'slopeDensity' }],
    },
    {
      kind: 'agree',
      id: 'emptyTwice',
      name: 'The line at no liquid and the empty cylinder',
      of: [{ quantity: 'atNothing' }, { quantity: 'meanEmpty' }],
    },
    { kind: 'identify', id: 'which', name: 'Which liquid?', of: { quantity: 'slopeDensity' }, among: ['liquid'] },
  ],
  checks: [
    {
      check: 'grows',
      of: { quantity: 'mass', over: 'fill', from: 'meanEmpty' },
      message: 'With more liquid in it the cylinder cannot weigh less than before.',
    },
    {
      check: 'grows',
      of: { quantity: 'volume', over: 'fill' },
      message: 'With more liquid in it the surface cannot stand lower than before.',
    },
  ],
  steps: [
    step(
      'empty',
      'Empty cylinder',
      'Weigh the dry, empty cylinder three times. Take it off and tare the balance in between.',
      4,
    ),
    step(
      'fills',
      'Fill by fill',
      'Add about 5 mL, read the volume at eye level, and weigh. Do not pour it out: the next fill goes on top.',
      15,
    ),
    step(
      'line',
      'Fills and line',
      'Look at the density of each fill, and at the line through all of them. Which fill lies worst?',
      6,
    ),
  ],
  statements: [
    isFalse(
      'small-fill',
      'The first, smallest fill gives the best density.',
      [
        'The largest fill does: the same reading error is a smaller part of it.',
        'All fills are equally good.',
        'It does, because the cylinder is still dry.',
      ],
      'Half a division, 0.25 mL, is a twentieth of 5 mL and only a hundredth of 25 mL.',
    ),
    holdsTrue(
      'slope-offset',
      'A wrong empty mass changes the density of every fill, but not the slope.',
      'It shifts all points up or down by the same amount, and the line stays as steep.',
    ),
    isFalse(
      'heavier-denser',
      'A fuller cylinder holds a denser liquid.',
      [
        'The density is the same: more mass goes with more volume.',
        'It is denser at the bottom.',
        'It is denser once it is half full.',
      ],
      'Density belongs to the liquid, not to how much of it there is.',
    ),
    holdsTrue(
      'drops-on-wall',
      'Drops that cling above the surface make the density come out too high.',
      'They are weighed, and not read.',
    ),
  ],
  questions: [
    { id: 'worst', text: 'Which fill lies furthest from the line? What could have happened there?' },
    { id: 'why-line', text: 'Why does the line need no empty mass?' },
    {
      id: 'thirty',
      text: 'What mass of this liquid has a volume of 1 mL, by your line?',
      answer: { kind: 'number', quantity: 'slopeDensity' },
    },
  ],
  byStudent: ['liquid', 'density', 'meanDensity'],
  samples: [
    {
      accepted: 'brine',
      entries: {
        empty: ['38.52', '38.51', '38.52'],
        volume: ['5.2', '10.1', '15.3', '19.8', '24.6'],
        mass: ['44.17', '49.50', '55.12', '60.08', '65.28'],
      },
    },
  ],
};
