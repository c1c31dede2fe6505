import type { Protocol } from '../protocol/protocol.ts';
import {
  BROKEN_GLASS,
  cases,
  computed,
  given,
  holdsTrue,
  isFalse,
  LOCAL_RULES,
  lookedUp,
  named,
  read,
  repeat,
  step,
} from './parts.ts';

const BY_ALTITUDE = { boiling: ['altitude'] } as const;
const BY_PRESSURE = { boiling: ['pressure'] } as const;

export const THERMOMETER_CHECK: Protocol = {
  id: 'thermometer-check',
  version: 1,
  title: 'Can the thermometer be believed?',
  setting: 'A spirit thermometer of the harbour kit, in ice, in boiling water and in the room',
  purpose:
    'Find what one thermometer is off at the ice point and at the boiling point, and correct its reading of the room by what lies between.',
  kit: [
    'one thermometer',
    'crushed ice with a little water, in a beaker',
    'water boiling gently on a hot plate, with boiling stones',
    'stand and clamp for the thermometer',
    'altitude of the school, or a barometer',
  ],
  preparation: [
    { text: 'Take the ice out of the freezer, and crush it', minutesBefore: 20 },
    { text: 'Fill the kettle, if the beakers are to begin with hot water', minutesBefore: 10 },
  ],
  cautions: [
    'Boiling water and steam scald: clamp the thermometer, keep your hand out of the steam, and sit away from the beaker.',
    'A hot plate stays hot long after it is off. Do not touch it, and keep its cable away.',
    'Wear eye protection. Let hot glass cool before you put it into ice.',
    BROKEN_GLASS,
    'If a thermometer with silver-coloured filling breaks, touch nothing, keep others away and call the adult: it can be mercury.',
    LOCAL_RULES,
  ],
  options: [
    {
      id: 'boiling',
      name: 'The boiling point comes from',
      choices: named({ altitude: 'the altitude', pressure: 'the pressure of the air' }),
    },
  ],
  dimensions: [
    cases('bath', 'Bath', { ice: 'melting ice', boiling: 'boiling water', room: 'the room' }),
    repeat('trial', 'Trial', 2, 6),
  ],
  quantities: [
    read('reading', 'Reading', 't', '°C', ['bath', 'trial'], ['thermometers'], {
      step: { by: 'bath', of: { ice: 'ice', boiling: 'boiling', room: 'room' } },
    }),
    given('altitude', 'Altitude', 'h', 'm', [], { halfWidth: 10, step: 'boiling', when: BY_ALTITUDE }),
    given('pressure', 'Pressure of the air', 'p', 'hPa', [], { halfWidth: 1, step: 'boiling', when: BY_PRESSURE }),
    given('iceReference', 'Ice point', 't_0', '°C', [], { value: 'exact(0.0)' }),
    lookedUp('boilingReference', 'Boiling point', 't_b', '°C', [], 'boiling-point-at-altitude', ['altitude'], {
      when: BY_ALTITUDE,
    }),
    lookedUp('boilingReference', 'Boiling point', 't_b', '°C', [], 'boiling-point-at-pressure', ['pressure'], {
      when: BY_PRESSURE,
    }),
    computed('meanReading', 'Mean reading', '\\bar{t}', '°C', ['bath'], 'mean(reading over trial)'),
    computed('atIce', 'Correction at the ice point', 'c_0', 'Δ°C', [], 'iceReference - meanReading[ice]'),
    computed(
      'atBoiling',
      'Correction at the boiling point',
      'c_b',
      'Δ°C',
      [],
      'boilingReference - meanReading[boiling]',
    ),
    computed(
      'atRoom',
      'Correction in the room',
      'c_r',
      'Δ°C',
      [],
      'atIce + (atBoiling - atIce) * (meanReading[room] - meanReading[ice]) / (meanReading[boiling] - meanReading[ice])',
    ),
    computed('room', 'Temperature of the room', 't_r', '°C', [], 'meanReading[room] + atRoom'),
    computed('kelvin', 'The same in kelvin', 'T_r', 'K', [], 'room'),
  ],
  results: [{ quantity: 'atIce' }, { quantity: 'atBoiling' }, { quantity: 'room' }],
  comparisons: [],
  checks: [
    {
      check: 'order-of-cases',
      of: { quantity: 'meanReading', over: 'bath', order: 'ice, room, boiling' },
      message: 'The room should lie between ice and boiling water.',
    },
  ],
  steps: [
    step(
      'ice',
      'Ice point',
      'Put the bulb deep into crushed ice with a little water, stir, and wait until the thread stands still. Read it in the ice.',
      6,
      { after: [] },
    ),
    step(
      'heat',
      'Heat the water',
      'Heat water with boiling stones until large bubbles rise all through it. Small bubbles on the wall are air, and come long before.',
      10,
      { waiting: true, after: [], apparatus: ['hot plate'], water: { millilitres: 250, from: 20, to: 100 } },
    ),
    step(
      'boiling',
      'Boiling point',
      'Hold the bulb in the boiling water without touching the beaker. Wait until the thread stands still, and read it there.',
      6,
      { after: [], follows: 'heat', apparatus: ['hot plate'] },
    ),
    step('room', 'Room', 'Let the thermometer cool and dry, hang it in the room out of the sun, and read it.', 6, {
      after: ['ice', 'boiling'],
    }),
    step('judge', 'Correct it', 'Look at both corrections, and at what they make of the room’s temperature.', 5),
  ],
  statements: [
    isFalse(
      'small-bubbles',
      'Water boils as soon as bubbles appear on the wall.',
      [
        'Those are air; it boils when large bubbles rise all through it.',
        'It boils when it steams.',
        'It boils when it begins to sing.',
      ],
      'Warm water holds less dissolved air, and lets it out long before it boils.',
    ),
    isFalse(
      'take-out',
      'A thermometer is taken out of the bath to be read.',
      ['It is read in the bath.', 'It is taken out and read within ten seconds.', 'It is taken out and dried first.'],
      'In the air the thread moves at once.',
    ),
    isFalse(
      'percent-of-zero',
      'At the ice point an error of 0.4 °C is an error of 0.4 %.',
      [
        'A percent error has no meaning where the accepted value is 0.',
        'It is an error of 40 %.',
        'It is an error of 4 %.',
      ],
      'You cannot divide by zero, and 0 °C is zero only by agreement.',
    ),
    holdsTrue(
      'higher-lower',
      'On a mountain water boils at a lower temperature.',
      'There is less air above it to hold the bubbles down.',
    ),
    holdsTrue(
      'kelvin-change',
      'A change of 1 °C is a change of 1 K.',
      'The two scales have the same step; only their zeros differ.',
    ),
  ],
  questions: [
    {
      id: 'room',
      text: 'What is the temperature of the room, corrected?',
      answer: { kind: 'number', quantity: 'room' },
    },
    { id: 'percent', text: 'Why can no percent error be given at the ice point?' },
    { id: 'changes', text: 'Are the corrections the same at both points? What does it mean for readings in between?' },
  ],
  byStudent: ['atIce', 'atBoiling', 'atRoom', 'room', 'kelvin'],
  samples: [
    {
      entries: {
        reading: { ice: ['0.6', '0.5', '0.6'], boiling: ['99.2', '99.3', '99.2'], room: ['21.8', '21.8', '21.7'] },
        altitude: '120',
      },
    },
    {
      options: { boiling: 'pressure' },
      entries: {
        reading: { ice: ['0.6', '0.5', '0.6'], boiling: ['99.2', '99.3', '99.2'], room: ['21.8', '21.8', '21.7'] },
        pressure: '1004',
      },
    },
  ],
};
