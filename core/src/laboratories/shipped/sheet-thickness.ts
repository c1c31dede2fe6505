import type { Protocol } from '../protocol/protocol.ts';
import { computed, given, holdsTrue, isFalse, LOCAL_RULES, read, repeat, sample, step } from './parts.ts';

export const SHEET_THICKNESS: Protocol = {
  id: 'sheet-thickness',
  version: 1,
  title: 'Too thin for a caliper',
  setting: 'Sheets of copper shim from the boat museum’s workshop',
  purpose:
    'Find the thickness of thin sheets from their mass, their sides and the density of copper, and compare it with what the maker says.',
  kit: [
    'three rectangular sheets of copper shim',
    'millimetre ruler',
    '0.001 g or 0.01 g balance',
    'two standard masses',
    'gloves',
  ],
  cautions: [
    'The sheets’ edges cut: wear gloves, lift them flat, and never run a finger along an edge.',
    'Lay them flat on the pan: a bent sheet touches the balance’s shield.',
    LOCAL_RULES,
  ],
  options: [],
  dimensions: [sample('sheet', 'Sheet', 3, 10), repeat('observer', 'Observer', 2, 2)],
  quantities: [
    read('long', 'Long side', 'L', 'cm', ['sheet', 'observer'], ['ruler-millimetre'], { step: 'sides' }),
    read('short', 'Short side', 'W', 'cm', ['sheet', 'observer'], ['ruler-millimetre'], { step: 'sides' }),
    read('mass', 'Mass', 'm', 'g', ['sheet'], ['balances'], { step: 'mass' }),
    given('standard', 'Standard mass', 'm_s', 'g', [], {
      halfWidth: 0.001,
      step: 'standards',
      optional: true,
      usual: '1',
    }),
    read(
      'standardShown',
      'It shows',
      "m_s'",
      'g',
      [],
      { sameAs: 'mass' },
      { step: 'standards', optional: true, usual: '1' },
    ),
    given('metalDensity', 'Density of the metal', '\\rho', 'g/cm^3', [], { halfWidth: 0.01, step: 'density' }),
    given('maker', 'Thickness by the maker', 't_m', 'mm', [], { step: 'density' }),
    computed('corrected', 'Mass, corrected', 'm_c', 'g', ['sheet'], 'mass * standard / standardShown'),
    computed(
      'thickness',
      'Thickness',
      't',
      'mm',
      ['sheet'],
      'corrected / (mean(long over observer) * mean(short over observer) * metalDensity)',
    ),
    computed('meanThickness', 'Mean thickness', '\\bar{t}', 'mm', [], 'mean(thickness over sheet)'),
  ],
  results: [{ quantity: 'meanThickness', accepted: { kind: 'quantity', quantity: 'maker' }, goodPercentError: 10 }],
  comparisons: [],
  checks: [
    {
      check: 'above',
      of: { more: 'long', less: 'short' },
      message: 'The long side cannot be shorter than the short one.',
    },
  ],
  steps: [
    step(
      'sides',
      'Sides',
      'Measure both sides of each sheet with the ruler. A second observer measures them again without seeing the first numbers.',
      10,
      { after: [] },
    ),
    step(
      'standards',
      'Is the balance right?',
      'Weigh a standard mass of about the sheets’ mass, and write what is shown.',
      4,
      { after: [] },
    ),
    step('mass', 'Masses', 'Weigh each sheet, flat on the pan.', 5, { after: ['standards'] }),
    step(
      'density',
      'Look up',
      'Write the density of copper from the table, and the thickness that the maker states.',
      3,
      { after: [] },
    ),
    step(
      'judge',
      'How thick?',
      'Look at the thickness of each sheet and at their mean. Compare it with the maker’s.',
      5,
      { after: ['sides', 'mass', 'density'] },
    ),
  ],
  statements: [
    isFalse(
      'caliper',
      'A caliper would give the thickness better than the balance.',
      [
        'Its smallest division is a large part of a tenth of a millimetre; the mass is known to a thousandth.',
        'It would, if pressed hard.',
        'It would, if the sheet were folded once.',
      ],
      'A caliper reads to 0.02 mm: a fifth of such a sheet.',
    ),
    holdsTrue(
      'stack',
      'Several sheets stacked could be measured with a caliper.',
      'The division is then shared by all of them. Air between them adds to it.',
    ),
    isFalse(
      'dust',
      'Fingerprints on a sheet do no harm.',
      [
        'They weigh something, and the balance sees it.',
        'They matter only on glass.',
        'They make the sheet thicker by as much as they weigh.',
      ],
      'A fingerprint weighs about a tenth of a milligram. On a light sheet the last digit can move.',
    ),
    holdsTrue(
      'second-observer',
      'A second observer should not see the first one’s numbers.',
      'Who knows a number tends to read it again.',
    ),
  ],
  questions: [
    { id: 'mean', text: 'How thick are the sheets?', answer: { kind: 'number', quantity: 'meanThickness' } },
    { id: 'good', text: 'Is the percent error below 10 %? What would make all sheets come out too thick together?' },
    { id: 'caliper', text: 'Why is no caliper used? Answer with numbers.' },
  ],
  byStudent: ['thickness', 'meanThickness'],
  samples: [
    {
      entries: {
        long: { '1': ['10.02', '10.03'], '2': ['9.98', '10.00'], '3': ['10.05', '10.04'] },
        short: { '1': ['5.01', '5.02'], '2': ['5.00', '4.99'], '3': ['4.98', '4.99'] },
        mass: ['4.53', '4.47', '4.50'],
        standard: '5.000',
        standardShown: '5.00',
        metalDensity: '8.96',
        maker: '0.100',
      },
    },
  ],
};
