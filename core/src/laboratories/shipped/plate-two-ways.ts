import type { Protocol } from '../protocol/protocol.ts';
import { LOCAL_RULES, cases, computed, holdsTrue, isFalse, observed, read, repeat, step } from './parts.ts';

export const PLATE_TWO_WAYS: Protocol = {
  id: 'plate-two-ways',
  version: 1,
  title: 'One plate, measured twice',
  setting: 'Slate tile',
  purpose:
    'Find the volume of one plate with coarse rulers and again with fine tools, and say what the better tools bought.',
  kit: [
    'a flat rectangular tile',
    'decimetre stick and half-centimetre rule (coarse)',
    'millimetre rule and caliper (fine)',
    'micrometer for the thickness',
    'a soft cloth',
  ],
  cautions: [
    'A dropped tile breaks into sharp pieces: keep it on the table, and its edges away from your fingers.',
    'Close the jaws until they touch; do not squeeze. Turn the micrometer only by its ratchet.',
    LOCAL_RULES,
  ],
  options: [],
  dimensions: [cases('method', 'Tools', { coarse: 'coarse', fine: 'fine' }), repeat('trial', 'Trial', 5, 10)],
  quantities: [
    observed('reader', 'Read by', ['trial'], { one: 'observer 1', two: 'observer 2' }, { optional: true }),
    read(
      'length',
      'Length',
      'L',
      'cm',
      ['method', 'trial'],
      {
        by: 'method',
        of: {
          coarse: ['ruler-decimetre', 'ruler-half-centimetre', 'ruler-centimetre'],
          fine: ['ruler-millimetre', 'caliper-fiftieth', 'caliper-twentieth', 'caliper-tenth', 'caliper-digital'],
        },
      },
      { step: { by: 'method', of: { coarse: 'coarse', fine: 'fine' } } },
    ),
    read(
      'width',
      'Width',
      'W',
      'cm',
      ['method', 'trial'],
      {
        by: 'method',
        of: {
          coarse: ['ruler-half-centimetre', 'ruler-decimetre', 'ruler-centimetre'],
          fine: ['caliper-twentieth', 'caliper-fiftieth', 'caliper-tenth', 'caliper-digital', 'ruler-millimetre'],
        },
      },
      { step: { by: 'method', of: { coarse: 'coarse', fine: 'fine' } } },
    ),
    read(
      'thickness',
      'Thickness',
      't',
      'mm',
      ['trial'],
      ['micrometer-hundredth', 'micrometer-thousandth', 'caliper-fiftieth', 'caliper-digital'],
      { step: 'thickness' },
    ),
    computed('meanLength', 'Mean length', '\\bar{L}', 'cm', ['method'], 'mean(length over trial)'),
    computed('meanWidth', 'Mean width', '\\bar{W}', 'cm', ['method'], 'mean(width over trial)'),
    computed('meanThickness', 'Mean thickness', '\\bar{t}', 'mm', [], 'mean(thickness over trial)'),
    computed('volume', 'Volume', 'V', 'cm^3', ['method'], 'meanLength * meanWidth * meanThickness'),
  ],
  results: [{ quantity: 'volume' }],
  comparisons: [
    {
      kind: 'agree',
      id: 'volumes',
      name: 'The two volumes',
      of: [
        { quantity: 'volume', at: { method: 'coarse' } },
        { quantity: 'volume', at: { method: 'fine' } },
      ],
    },
  ],
  checks: [],
  steps: [
    step(
      'coarse',
      'Coarse rulers',
      'Measure length and width five times, each time at another line across the tile. Observer 1 takes the first trials, observer 2 the others. Estimate between the marks as your class does.',
      8,
      { after: [] },
    ),
    step(
      'fine',
      'Fine tools',
      'Measure length and width again with the fine tools. Close the caliper on the clean edge and check its zero first.',
      10,
      { after: [] },
    ),
    step(
      'thickness',
      'Thickness',
      'Measure the thickness with the micrometer at five places, not at the edge. This one set is used for both volumes.',
      5,
      { after: [] },
    ),
    step(
      'compare',
      'Do they agree?',
      'Look at both volumes with their uncertainties, and say whether they agree and what the fine tools bought.',
      6,
      { after: ['coarse', 'fine', 'thickness'] },
    ),
  ],
  statements: [
    isFalse(
      'coarse-wrong',
      'The volume found with the coarse rulers is wrong.',
      [
        'It is less well known; it is right if it agrees within its uncertainty.',
        'It is wrong unless both volumes have the same digits.',
        'It is wrong because a stick has no millimetres.',
      ],
      'A coarse tool gives fewer digits. They can be as true as many digits.',
    ),
    isFalse(
      'fine-repeats',
      'Repeating the coarse reading a hundred times would make it as good as the caliper.',
      [
        'Repeating does not mend the coarse marks: the reading error is in every one of them.',
        'It takes a thousand times.',
        'It would, if two people took turns.',
      ],
      'The same tool and the same eye make the same kind of error each time, so its share does not average away.',
    ),
    holdsTrue(
      'two-observers',
      'Two observers show more of the scatter than one.',
      'Each hand places the tool a little differently. With one observer you never see that part.',
    ),
    isFalse(
      'jaws',
      'The caliper’s jaws should be pressed on firmly so that nothing slips.',
      [
        'They should just touch, square to the edge.',
        'They should be pressed on until they no longer move.',
        'They should leave a hair of light.',
      ],
      'Pressed jaws tilt or bend, and the reading comes out too small.',
    ),
  ],
  questions: [
    { id: 'known-fine', text: 'To how many percent is the fine volume known?' },
    {
      id: 'limits',
      text: 'Which reading limits the coarse volume?',
      answer: { kind: 'choice', choices: ['the length', 'the width', 'the thickness'], right: 'the length' },
    },
    { id: 'agree', text: 'Do the two volumes agree? Say how you know.' },
  ],
  byStudent: ['volume'],
  samples: [
    {
      entries: {
        reader: ['one', 'one', 'one', 'two', 'two'],
        length: { coarse: ['12', '11', '12', '12', '11'], fine: ['11.53', '11.55', '11.54', '11.54', '11.53'] },
        width: { coarse: ['6.5', '6.4', '6.4', '6.5', '6.4'], fine: ['6.425', '6.430', '6.425', '6.435', '6.430'] },
        thickness: ['4.213', '4.218', '4.211', '4.216', '4.214'],
      },
    },
  ],
};
