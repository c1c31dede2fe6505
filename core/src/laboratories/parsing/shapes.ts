import { array, boolean, lazy, mixed, number, object, string, type Schema, type StringSchema } from 'yup';

/* What data from outside may look like, said once: as what judges it here, and as a JSON Schema for other programs. */

/** JSON Schema (draft 2020-12), as far as it is used here. */
export interface JsonSchema {
  readonly [keyword: string]: unknown;
}

/** One shape, in both forms. */
export interface Shape {
  readonly yup: Schema<unknown>;
  readonly json: JsonSchema;
  /** It may be left out. */
  readonly isOptional?: true;
}

const MOST = 200;

const words = (): StringSchema => string().strict().typeError('is not text');

/** It may be left out. */
export function optional({ yup, json }: Shape): Shape {
  return { yup: yup.optional() as Schema<unknown>, json, isOptional: true };
}

/** Text that is not empty. */
export function text(most: number): Shape {
  return {
    yup: words().matches(/\S/, 'is empty').max(most, `has more than ${most} characters`).required('is missing'),
    json: { type: 'string', pattern: '\\S', maxLength: most },
  };
}

/** Text that may be empty. */
export function anyText(most: number): Shape {
  return {
    yup: words().max(most, `has more than ${most} characters`).defined('is missing'),
    json: { type: 'string', maxLength: most },
  };
}

/** Text of a form. @param told what it has to be, as a part of a sentence: `is a letter, then digits`. */
export function matching(pattern: RegExp, told: string): Shape {
  return {
    yup: words().required('is missing').matches(pattern, told),
    json: { type: 'string', pattern: pattern.source },
  };
}

/** As `matching`, but for some words. */
export function matchingBut(pattern: RegExp, told: string, reserved: readonly string[], why: string): Shape {
  const { yup, json } = matching(pattern, told);
  return {
    yup: yup.test('reserved', why, (value) => typeof value !== 'string' || !reserved.includes(value)),
    json: { ...json, not: { enum: reserved } },
  };
}

/** One of some words. @param told for any other word, as a part of a sentence. */
export function oneOf(known: readonly string[], told: string | ((word: string) => string)): Shape {
  const message = (word: string): string => (typeof told === 'string' ? told : told(word));
  return {
    yup: words()
      .required('is missing')
      .test(
        'known',
        ({ value }) => message(String(value).slice(0, 40)),
        (value?: string) => value === undefined || known.includes(value),
      ),
    json: { enum: known },
  };
}

export function yesOrNo(): Shape {
  return {
    yup: boolean().strict().typeError('is not true or false').required('is missing'),
    json: { type: 'boolean' },
  };
}

/** A number within bounds, both included. */
export function numeric(least: number, most: number, mostInWords = String(most)): Shape {
  return {
    yup: number()
      .strict()
      .typeError('is not a number')
      .min(least, `is below ${least}`)
      .max(most, `is above ${mostInWords}`)
      .required('is missing'),
    json: { type: 'number', minimum: least, maximum: most },
  };
}

/** A number above 0. */
export function positive(most: number): Shape {
  return {
    yup: number()
      .strict()
      .typeError('is not a number')
      .moreThan(0, 'is not above 0')
      .max(most, `is above ${most}`)
      .required('is missing'),
    json: { type: 'number', exclusiveMinimum: 0, maximum: most },
  };
}

export function whole(least: number, most: number): Shape {
  return {
    yup: number()
      .strict()
      .typeError('is not a number')
      .integer('is not a whole number')
      .min(least, `is below ${least}`)
      .max(most, `is above ${most}`)
      .required('is missing'),
    json: { type: 'integer', minimum: least, maximum: most },
  };
}

export function list(of: Shape, least = 0): Shape {
  return {
    yup: array()
      .strict()
      .typeError('is not a list')
      .of(of.yup)
      .min(least, `needs at least ${least}`)
      .max(MOST, `has more than ${MOST}`)
      .required('is missing'),
    json: { type: 'array', items: of.json, minItems: least, maxItems: MOST },
  };
}

/** An object of named things, each of one kind. */
export function byName(of: Shape): Shape {
  const yup = lazy((value: unknown) => {
    const names = typeof value === 'object' && value !== null && !Array.isArray(value) ? Object.keys(value) : [];
    return object(Object.fromEntries(names.slice(0, MOST).map((name) => [name, of.yup])))
      .strict()
      .noUnknown(`has more than ${MOST} names`)
      .typeError('is not an object')
      .required('is missing');
  });
  return {
    yup: yup as unknown as Schema<unknown>,
    json: { type: 'object', additionalProperties: of.json, maxProperties: MOST },
  };
}

/** An object with these fields, and no others. */
export function shape(fields: Readonly<Record<string, Shape>>): Shape {
  const each = Object.entries(fields);
  return {
    yup: object(Object.fromEntries(each.map(([name, field]) => [name, field.yup])))
      .strict()
      .noUnknown(({ unknown }) => `has something that is not known here: ${String(unknown)}`)
      .typeError('is not an object')
      .required('is missing'),
    json: {
      type: 'object',
      properties: Object.fromEntries(each.map(([name, field]) => [name, field.json])),
      required: each.flatMap(([name, field]) => (field.isOptional ? [] : [name])),
      additionalProperties: false,
    },
  };
}

/** One of several shapes. @param which the shape that a value is held against. */
export function either(shapes: readonly Shape[], which: (value: unknown) => Shape): Shape {
  return {
    yup: lazy((value: unknown) => which(value).yup) as unknown as Schema<unknown>,
    json: { anyOf: shapes.map(({ json }) => json) },
  };
}

/** One of several objects, by a field that says which. */
export function byKind(kinds: Readonly<Record<string, Readonly<Record<string, Shape>>>>): Shape {
  const shapes = Object.fromEntries(
    Object.entries(kinds).map(([kind, fields]) => [
      kind,
      shape({ kind: { yup: mixed().required(), json: { const: kind } }, ...fields }),
    ]),
  );
  const unknown: Shape = {
    yup: object({
      kind: mixed().test('kind', `is not one of ${Object.keys(kinds).join(', ')}`, () => false),
    })
      .typeError('is not an object')
      .required('is missing'),
    json: {},
  };
  return either(Object.values(shapes), (value) => {
    const kind = typeof value === 'object' && value !== null ? (value as { readonly kind?: unknown }).kind : undefined;
    return (typeof kind === 'string' && Object.hasOwn(shapes, kind) ? shapes[kind] : undefined) ?? unknown;
  });
}

/** A shape that the schema says once, under a name. */
interface DefinedShape extends Shape {
  readonly definition: Readonly<Record<string, JsonSchema>>;
}

export function defined(name: string, { yup, json }: Shape): DefinedShape {
  return { yup, json: { $ref: `#/$defs/${name}` }, definition: { [name]: json } };
}

/** As `defined`, for one that contains itself. */
export function recursive(name: string, make: (self: Shape) => Shape): DefinedShape {
  const made: Shape = make({
    yup: lazy(() => made.yup) as unknown as Schema<unknown>,
    json: { $ref: `#/$defs/${name}` },
  });
  return defined(name, made);
}
