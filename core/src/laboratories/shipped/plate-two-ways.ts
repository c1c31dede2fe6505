import type { Protocol } from '../protocol/protocol.ts';

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
    'Follow your school’s and local rules, and ask the responsible adult.',
  ],
  options: [],
  dimensions: [
    {
      id: 'method',
      name: 'Tools',
      kind: 'case',
      members: [
        { id: 'coarse', name: 'coarse' },
        { id: 'fine', name: 'fine' },
      ],
    },
    { id: 'trial', name: 'Trial', kind: 'repeat', least: 5, most: 10 },
  ],
  quantities: [
    {
      kind: 'observed',
      id: 'reader',
      name: 'Read by',
      over: ['trial'],
      optional: true,
      choices: [
        { id: 'one', name: 'observer 1' },
        { id: 'two', name: 'observer 2' },
      ],
    },
    {
      kind: 'read',
      id: 'length',
      name: 'Length',
      symbol: 'L',
      unit: 'cm',
      over: ['method', 'trial'],
      step: { by: 'method', of: { coarse: 'coarse', fine: 'fine' } },
      tools: {
        by: 'method',
        of: {
          coarse: ['ruler-decimetre', 'ruler-half-centimetre', 'ruler-centimetre'],
          fine: ['ruler-millimetre', 'caliper-fiftieth', 'caliper-twentieth', 'caliper-tenth', 'caliper-digital'],
        },
      },
    },
    {
      kind: 'read',
      id: 'width',
      name: 'Width',
      symbol: 'W',
      unit: 'cm',
      over: ['method', 'trial'],
      step: { by: 'method', of: { coarse: 'coarse', fine: 'fine' } },
      tools: {
        by: 'method',
        of: {
          coarse: ['ruler-half-centimetre', 'ruler-decimetre', 'ruler-centimetre'],
          fine: ['caliper-twentieth', 'caliper-fiftieth', 'caliper-tenth', 'caliper-digital', 'ruler-millimetre'],
        },
      },
    },
    {
      kind: 'read',
      id: 'thickness',
      name: 'Thickness',
      symbol: 't',
      unit: 'mm',
      over: ['trial'],
      step: 'thickness',
      tools: { kinds: ['micrometer-hundredth', 'micrometer-thousandth', 'caliper-fiftieth', 'caliper-digital'] },
    },
    {
      kind: 'computed',
      id: 'meanLength',
      name: 'Mean length',
      symbol: '\\bar{L}',
      unit: 'cm',
      over: ['method'],
      formula: 'mean(length over trial)',
    },
    {
      kind: 'computed',
      id: 'meanWidth',
      name: 'Mean width',
      symbol: '\\bar{W}',
      unit: 'cm',
      over: ['method'],
      formula: 'mean(width over trial)',
    },
    {
      kind: 'computed',
      id: 'meanThickness',
      name: 'Mean thickness',
      symbol: '\\bar{t}',
      unit: 'mm',
      over: [],
      formula: 'mean(thickness over trial)',
    },
    {
      kind: 'computed',
      id: 'volume',
      name: 'Volume',
      symbol: 'V',
      unit: 'cm^3',
      over: ['method'],
      formula: 'meanLength * meanWidth * meanThickness',
    },
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
    {
      id: 'coarse',
      title: 'Coarse rulers',
      text: 'Measure length and width five times, each time at another line across the tile. Observer 1 takes the first trials, observer 2 the others. Estimate between the marks as your class does.',
      minutes: 8,
      attention: 'hands',
    },
    {
      id: 'fine',
      title: 'Fine tools',
      text: 'Measure length and width again with the fine tools. Close the caliper on the clean edge and check its zero first.',
      minutes: 10,
      attention: 'hands',
    },
    {
      id: 'thickness',
      title: 'Thickness',
      text: 'Measure the thickness with the micrometer at five places, not at the edge. This one set is used for both volumes.',
      minutes: 5,
      attention: 'hands',
    },
    {
      id: 'compare',
      title: 'Do they agree?',
      text: 'Look at both volumes with their uncertainties, and say whether they agree and what the fine tools bought.',
      minutes: 6,
      attention: 'hands',
    },
  ],
  statements: [
    {
      id: 'coarse-wrong',
      text: 'The volume found with the coarse rulers is wrong.',
      holds: false,
      corrections: [
        'It is less well known; it is right if it agrees within its uncertainty.',
        'It is wrong unless both volumes have the same digits.',
        'It is wrong because a stick has no millimetres.',
      ],
      because: 'A coarse tool gives fewer digits. They can be as true as many digits.',
    },
    {
      id: 'fine-repeats',
      text: 'Repeating the coarse reading a hundred times would make it as good as the caliper.',
      holds: false,
      corrections: [
        'Repeating does not mend the coarse marks: the reading error is in every one of them.',
        'It takes a thousand times.',
        'It would, if two people took turns.',
      ],
      because:
        'The same tool and the same eye make the same kind of error each time, so its share does not average away.',
    },
    {
      id: 'two-observers',
      text: 'Two observers show more of the scatter than one.',
      holds: true,
      corrections: [],
      because: 'Each hand places the tool a little differently. With one observer you never see that part.',
    },
    {
      id: 'jaws',
      text: 'The caliper’s jaws should be pressed on firmly so that nothing slips.',
      holds: false,
      corrections: [
        'They should just touch, square to the edge.',
        'They should be pressed on until they no longer move.',
        'They should leave a hair of light.',
      ],
      because: 'Pressed jaws tilt or bend, and the reading comes out too small.',
    },
  ],
  questions: [
    {
      id: 'known-fine',
      text: 'To how many percent is the fine volume known?',
    },
    {
      id: 'limits',
      text: 'Which reading limits the coarse volume?',
      answer: {
        kind: 'choice',
        choices: ['the length', 'the width', 'the thickness'],
        right: 'the length',
      },
    },
    {
      id: 'agree',
      text: 'Do the two volumes agree? Say how you know.',
    },
  ],
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
