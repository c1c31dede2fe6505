import { describe, expect, it } from 'vitest';
import { PLATE_TWO_WAYS } from '../shipped/plate-two-ways.ts';
import { SHIPPED } from '../shipped/shipped.ts';
import { parseProtocol } from './parse-protocol.ts';
import { protocolFaults } from './protocol-faults.ts';
import { ProtocolError } from '../protocol/protocol-error.ts';

type Json = Record<string, unknown>;

function asJson(protocol: unknown): Json {
  return JSON.parse(JSON.stringify(protocol)) as Json;
}

/** A protocol as JSON, with the part at a path replaced; `undefined` takes it away. */
function changed(path: string, value: unknown, protocol: unknown = PLATE_TWO_WAYS): Json {
  const json = asJson(protocol);
  const names = path.split(/[.[\]]+/).filter((name) => name !== '');
  const last = names.pop() ?? '';
  const parent = names.reduce<Json>((inner, name) => inner[name] as Json, json);
  if (value === undefined) Reflect.deleteProperty(parent, last);
  else parent[last] = value;
  return json;
}

function errorOf(json: unknown): ProtocolError {
  try {
    parseProtocol(json);
  } catch (error) {
    if (error instanceof ProtocolError) return error;
    throw error;
  }
  throw new Error('It was taken.');
}

describe('a protocol from outside', () => {
  it.each(SHIPPED)('takes $id as it travels', (protocol) => {
    expect(parseProtocol(asJson(protocol))).toEqual(asJson(protocol));
  });

  it.each<[string, unknown, RegExp]>([
    ['steps[0].after', ['fine'], /^steps\[0\]\.after\[0\]: .*no step before this one/],
    ['steps[3].after[1]', 'polish', /^steps\[3\]\.after\[1\]: .*no step before this one/],
    ['steps[1].follows', 'thickness', /^steps\[1\]\.follows: .*no step before this one/],
    ['steps[1].water', { millilitres: 0, from: 20, to: 100 }, /^steps\[1\]\.water\.millilitres/],
    ['steps[1].apparatus', 'hot plate', /^steps\[1\]\.apparatus/],
    ['preparation', [{ text: 'Kettle on', minutesBefore: -5 }], /^preparation\[0\]\.minutesBefore/],
    ['title', undefined, /is missing/],
    ['title', '   ', /is empty/],
    ['title', 'x'.repeat(121), /more than 120 characters/],
    ['version', '1', /is not a number/],
    ['title', 7, /is not text/],
    ['kit', 'a cup', /is not a list/],
    ['statements[0].holds', 'no', /is not true or false/],
    ['version', 1.5, /whole number/],
    ['id', 'Not a slug', /small letters/],
    ['dimensions[1].kind', 'often', /is not one of repeat, sample, sequence, case/],
    ['dimensions[1].least', 0, /is below 1/],
    ['dimensions[1].most', 3, /3 is below the least, 5/],
    ['dimensions[0].members', [], /needs at least 1/],
    ['quantities[1].kind', 'guessed', /is not one of read, counted/],
    ['quantities[1].id', '2nd', /a letter, then letters/],
    ['quantities[1].id', 'mean', /the name of a function/],
    ['quantities[1].id', 'width', /there twice/],
    ['quantities[1].unit', 'furlong', /is not a unit known here/],
    ['quantities[1].over', ['method', 'week'], /“week” is not a dimension/],
    ['quantities[1].tools.of.coarse', ['yardstick'], /no kind of tool/],
    ['quantities[1].step', 'polish', /“polish” is not a step/],
    ['quantities[4].formula', 'mean(lengths over trial)', /lengths is not a quantity/],
    ['quantities[4].formula', 'mean(length over weeks)', /weeks is not a dimension/],
    ['quantities[4].formula', 'length', /does not stand over trial/],
    ['quantities[4].formula', 'mean(length over trial', /not closed|parenthesis|end/i],
    ['quantities[7].formula', 'meanLength * meanWidth', /units of different kinds/],
    ['quantities[7].formula', 'volume * 1', /volume → volume is a circle/],
    ['quantities[4].formula', 'volume / meanWidth / meanThickness', /meanLength → volume → meanLength is a circle/],
    ['results[0].quantity', 'area', /“area” is not a quantity/],
    ['results[0].goodPercentError', 0, /is not above 0/],
    ['comparisons[0].of[0].at.method', 'rough', /“rough” is not one of its members/],
    ['checks', [{ check: 'smells', of: {} }], /no check known here/],
    ['checks', [{ check: 'rises', of: { earlier: 'width' } }], /rises needs later/],
    ['checks', [{ check: 'rises', of: { earlier: 'width', later: 'length', at: 'noon' } }], /has no use for it/],
    ['steps[0].minutes', -1, /is below 0/],
    ['steps[0].when', { weather: ['fine'] }, /“weather” is not an option/],
    ['statements[0].corrections', [], /two corrections/],
    ['questions[1].answer.right', 'the colour', /not one of the choices/],
    ['colour', 'green', /not known here: colour/],
  ])('says what is wrong at %s: %j', (path, value, message) => {
    const error = errorOf(changed(path, value));
    expect(error.message).toMatch(message);
    const start = path
      .split('.')
      .slice(0, 1)
      .join('')
      .replace(/\[\d+\].*/, '');
    if (path !== 'colour') expect(error.path).toContain(start);
  });

  it('names the quantity whose formula is wrong', () => {
    expect(errorOf(changed('quantities[4].formula', 'mean(lengths over trial)')).path).toBe('quantities[4].formula');
  });

  it('tells everything that is wrong, each place once', () => {
    const faulty = asJson(PLATE_TWO_WAYS) as Record<string, Json[]>;
    Object.assign(faulty['quantities']![1]!, { unit: 'furlong' });
    Object.assign(faulty['quantities']![4]!, { formula: 'mean(lengths over trial)' });
    Object.assign(faulty['quantities']![5]!, { formula: 'mean(width over trial' });
    Object.assign(faulty['steps']![0]!, { minutes: -1 });
    Object.assign(faulty['results']![0]!, { quantity: 'area' });
    Object.assign(faulty['questions']![0]!, { text: '' });
    expect(protocolFaults(faulty).map(({ path }) => path)).toEqual([
      'steps[0].minutes',
      'questions[0].text',
      'quantities[1].unit',
      'quantities[4].formula',
      'quantities[5].formula',
      'results[0].quantity',
    ]);
  });

  it('names the place of an entry of a sample that is not there', () => {
    const faulty = changed(
      'samples[0].entries.thickness',
      Array.from({ length: 40 }, () => '2.0'),
    );
    expect(protocolFaults(faulty).map(({ path }) => path)).toEqual(['samples[0].entries.thickness']);
    const unknown = changed('samples[0].entries.weight', ['1.0']);
    expect(protocolFaults(unknown).map(({ path }) => path)).toEqual(['samples[0].entries.weight']);
    const outside = changed('samples[0].options', { shape: 'round' });
    expect(protocolFaults(outside).map(({ path }) => path)).toEqual(['samples[0].option']);
  });

  it('refuses what nests ten thousand deep', () => {
    let deep: unknown = 'bottom';
    for (let i = 0; i < 10_000; i += 1) deep = [deep];
    expect(errorOf(deep).message).toContain('levels deep');
    expect(errorOf(changed('kit', deep)).message).toContain('levels deep');
  });

  it('refuses what is as large as fifty megabytes', () => {
    expect(errorOf(changed('purpose', 'x'.repeat(50_000_000))).message).toContain('letters');
    expect(
      errorOf(
        changed(
          'kit',
          Array.from({ length: 100_000 }, () => 'cup'),
        ),
      ).message,
    ).toContain('parts');
  });

  it('refuses options that can be chosen in too many ways', () => {
    const choices = ['a', 'b', 'c', 'd'].map((id) => ({ id, name: id }));
    const options = Array.from({ length: 6 }, (_, i) => ({ id: `option${i}`, name: 'Option', choices }));
    expect(errorOf(changed('options', options)).message).toContain('4096 ways');
  });

  it('refuses so many quantities in so many ways that they could not be worked through', () => {
    const choices = ['a', 'b'].map((id) => ({ id, name: id }));
    const options = Array.from({ length: 8 }, (_, i) => ({ id: `option${i}`, name: 'Option', choices }));
    const { quantities } = asJson(PLATE_TWO_WAYS) as { quantities: Json[] };
    const many = Array.from({ length: 60 }, (_, i) => ({ ...quantities[4]!, id: `c${i}` }));
    const json = { ...changed('options', options), quantities: [...quantities, ...many] };
    expect(errorOf(json).message).toMatch(/256 ways, and there are 68 quantities/);
    expect(parseProtocol(changed('options', options)).options).toHaveLength(8);
  });

  it.each([null, undefined, 7, 'protocol', [], {}, { __proto__: null }, JSON.parse('{"__proto__": {"id": "x"}}')])(
    'is no protocol: %j',
    (json) => {
      expect(errorOf(json)).toBeInstanceOf(ProtocolError);
    },
  );

  it('is worked through without trouble where a chain of quantities is long', () => {
    const { quantities } = asJson(PLATE_TWO_WAYS) as { quantities: Json[] };
    const chain = Array.from({ length: 150 }, (_, i) => ({
      kind: 'computed',
      id: `c${i}`,
      name: `Step ${i}`,
      symbol: 'c',
      unit: 'mm',
      over: [],
      formula: i === 149 ? 'meanThickness' : `c${i + 1} + 0 * c${i + 1}`,
    }));
    expect(parseProtocol(changed('quantities', [...quantities, ...chain])).quantities).toHaveLength(158);
  });
});
