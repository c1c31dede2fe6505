import { Ajv2020 } from 'ajv/dist/2020.js';
import { describe, expect, it } from 'vitest';
import published from '../../../../docs/protocol.schema.json' with { type: 'json' };
import { SHIPPED } from '../shipped/shipped.ts';
import { PROTOCOL_JSON_SCHEMA, PROTOCOL_SCHEMA } from './protocol-schema.ts';

const validate = new Ajv2020({ allErrors: true, strict: true, strictTypes: false }).compile(PROTOCOL_JSON_SCHEMA);

type Json = Record<string, unknown>;

/** Every place in a value, as the way to it. */
function placesIn(value: unknown, path: readonly string[] = []): (readonly string[])[] {
  if (typeof value !== 'object' || value === null) return [path];
  return [path, ...Object.entries(value).flatMap(([name, inner]) => placesIn(inner, [...path, name]))];
}

/** A copy with something else at a place, or nothing. */
function withAt(json: unknown, path: readonly string[], value: unknown): unknown {
  const copy = JSON.parse(JSON.stringify(json)) as Json;
  const last = path.at(-1);
  if (last === undefined) return value;
  const parent = path.slice(0, -1).reduce<Json>((inner, name) => inner[name] as Json, copy);
  if (value === undefined && !Array.isArray(parent)) Reflect.deleteProperty(parent, last);
  else parent[last] = value ?? null;
  return copy;
}

describe('the published schema of a protocol', () => {
  it('is the one in docs', () => {
    expect(published, 'run: npm run schema').toEqual(JSON.parse(JSON.stringify(PROTOCOL_JSON_SCHEMA)));
  });

  it.each(SHIPPED)('takes $id', (protocol) => {
    expect(validate(JSON.parse(JSON.stringify(protocol))), JSON.stringify(validate.errors)).toBe(true);
  });

  it('takes and refuses the same as what protocols are read by, whatever is changed in one', () => {
    const changes: unknown[] = [undefined, 7, -1, 1.5, '', '  ', 'mean', 'Two words', true, [], {}, 'x'.repeat(2000)];
    const differing: string[] = [];
    let [taken, refused] = [0, 0];
    for (const protocol of SHIPPED.filter(({ id }) => id === 'glassware-delivery' || id === 'burn-rate')) {
      const json: unknown = JSON.parse(JSON.stringify(protocol));
      placesIn(json).forEach((path, i) => {
        const value = changes[i % changes.length];
        const changed = withAt(json, path, value);
        const [here, there] = [PROTOCOL_SCHEMA.isValidSync(changed), validate(changed)];
        if (here) taken += 1;
        else refused += 1;
        if (here !== there) differing.push(`${path.join('.')} = ${JSON.stringify(value)}: ${here ? 'here' : 'there'}`);
      });
    }
    expect(differing).toEqual([]);
    expect(taken).toBeGreaterThan(50);
    expect(refused).toBeGreaterThan(500);
  });
});
