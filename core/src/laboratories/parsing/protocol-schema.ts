import {
  array,
  boolean,
  lazy,
  mixed,
  number,
  object,
  string,
  type BooleanSchema,
  type NumberSchema,
  type Schema,
  type StringSchema,
} from 'yup';
import { RULE_CHOICES } from '../../rules/house-rules.ts';
import { PROTOCOL_CHECKS } from '../checks/protocol-checks.ts';
import { AGGREGATES } from '../formulas/formula.ts';
import { FUNCTION_NAMES } from '../../calculations/expression/expression.ts';
import { LOOK_UPS } from '../look-ups.ts';
import { isToolKind } from '../run/tool-in-run.ts';

/* The shape of a protocol from outside. What hangs together in it is checked once the shape is right. */

const words = (): StringSchema => string().strict().typeError('is not text');
const numeric = (): NumberSchema => number().strict().typeError('is not a number');
const yesOrNo = (): BooleanSchema => boolean().strict().typeError('is not true or false');

/** Any schema; what it makes is checked by what it is used for. */
type Shape = Schema<unknown>;

const RESERVED: readonly string[] = [...FUNCTION_NAMES, ...AGGREGATES, 'previous', 'u', 'pi', 'exact', 'over'];
const MOST = 200;

const text = (most: number): StringSchema<string> =>
  words().matches(/\S/, 'is empty').max(most, `has more than ${most} characters`).required('is missing');

const plainId = words()
  .required('is missing')
  .matches(/^[A-Za-z][A-Za-z0-9_]{0,39}$/, 'is a letter, then letters, digits and underscores, at most 40');

/** An id that formulas can name. */
const id = plainId.test('reserved', 'is the name of a function', (value) => !RESERVED.includes(value));

const slug = words()
  .required('is missing')
  .matches(/^[a-z][a-z0-9-]{0,59}$/, 'is small letters, digits and hyphens, at most 60');

const list = (of: Shape, least = 0): Shape =>
  array()
    .strict()
    .typeError('is not a list')
    .of(of)
    .min(least, `needs at least ${least}`)
    .max(MOST, `has more than ${MOST}`)
    .required('is missing');

/** An object of named things, each of one kind. */
const byName = (of: Shape): Shape =>
  lazy((value: unknown) => {
    const names = typeof value === 'object' && value !== null && !Array.isArray(value) ? Object.keys(value) : [];
    return object(Object.fromEntries(names.slice(0, MOST).map((name) => [name, of])))
      .strict()
      .noUnknown('has more than 200 names')
      .typeError('is not an object');
  }) as unknown as Shape;

const shape = (fields: Record<string, unknown>): Shape =>
  object(fields as Record<string, Shape>)
    .strict()
    .noUnknown(({ unknown }) => `has something that is not known here: ${String(unknown)}`)
    .typeError('is not an object')
    .required('is missing');

/** It may be left out. */
const optional = (schema: Shape): Shape => schema.optional() as Shape;

const named = shape({ id: plainId, name: text(80) });
const when = optional(byName(list(words().required(), 1)));
const members = byName(words().required());
const count = (least: number, most: number): Shape =>
  numeric()
    .integer('is not a whole number')
    .min(least, `is below ${least}`)
    .max(most, `is above ${most}`)
    .required('is missing');

const toolKind = words().test(
  'tool',
  ({ value }) => `“${String(value).slice(0, 40)}” is no kind of tool`,
  (value) => value === undefined || isToolKind(value),
);

const tools = lazy((value: { by?: unknown; member?: unknown; sameAs?: unknown } | null) => {
  if (value?.by !== undefined) return shape({ by: id, of: byName(list(toolKind, 1)) });
  if (value?.member !== undefined) return shape({ member: id });
  if (value?.sameAs !== undefined) return shape({ sameAs: id });
  return shape({ kinds: list(toolKind, 1) });
});

const step = lazy((value: unknown) =>
  optional(typeof value === 'object' ? shape({ by: id, of: byName(plainId) }) : plainId),
);

const column = {
  id,
  name: text(80),
  over: list(id),
  only: optional(byName(list(words().required(), 1))),
  step,
  optional: yesOrNo().optional(),
  when,
};

const measurable = {
  ...column,
  symbol: text(60),
  unit: words().max(40).defined('is missing'),
  usual: words().max(40).optional(),
};

const width = numeric().min(0, 'is below 0').max(1e9, 'is above a milliard');

const QUANTITIES: Readonly<Record<string, Shape>> = {
  read: shape({ kind: mixed(), ...measurable, tools, zeroOf: optional(list(id, 1)), container: yesOrNo().optional() }),
  counted: shape({ kind: mixed(), ...measurable, halfWidth: width.required('is missing') }),
  timed: shape({
    kind: mixed(),
    ...measurable,
    as: words().oneOf(['time-of-day', 'duration'], 'is not time-of-day or duration').required('is missing'),
    halfWidth: width.required('is missing'),
  }),
  observed: shape({ kind: mixed(), ...column, choices: list(named, 2) }),
  given: shape({
    kind: mixed(),
    ...measurable,
    value: words().max(40).optional(),
    halfWidth: width.optional(),
  }),
  'looked-up': shape({
    kind: mixed(),
    ...measurable,
    lookUp: words().oneOf(Object.keys(LOOK_UPS), 'is no look-up known here').required('is missing'),
    of: list(id),
  }),
  computed: shape({ kind: mixed(), ...measurable, formula: text(1000), pooledOver: optional(list(id, 1)) }),
  predicted: shape({ kind: mixed(), ...measurable, of: id, at: optional(members) }),
};

/** One of several shapes, by a field that says which. */
const byKind = (shapes: Readonly<Record<string, Shape>>): Shape =>
  lazy((value: { kind?: unknown } | null) => {
    const kind = String(value?.kind);
    return Object.hasOwn(shapes, kind)
      ? (shapes[kind] as Shape)
      : object({ kind: mixed().test('kind', `is not one of ${Object.keys(shapes).join(', ')}`, () => false) });
  }) as unknown as Shape;

const counted = {
  kind: mixed(),
  id,
  name: text(80),
  least: count(1, 50),
  most: count(1, 50),
  places: yesOrNo().optional(),
  when,
};

const dimension = byKind({
  repeat: shape(counted),
  sample: shape(counted),
  sequence: shape(counted),
  case: shape({
    kind: mixed(),
    id,
    name: text(80),
    members: list(shape({ id: plainId, name: text(80), tool: toolKind.optional() }), 1),
    choose: optional(shape({ least: count(1, MOST), most: count(1, MOST) })),
    tools: optional(list(toolKind, 1)),
    when,
  }),
});

const place = { quantity: id, at: optional(members) };
const comparison = { kind: mixed(), id: plainId, name: text(120), when };

const sampleEntries: Shape = lazy((value: unknown) => {
  if (typeof value === 'string') return words().max(80);
  return Array.isArray(value) ? list(words().max(80).defined()) : byName(sampleEntries);
}) as unknown as Shape;

/** The shape of a protocol. */
export const PROTOCOL_SCHEMA = shape({
  id: slug,
  version: count(1, 1_000_000),
  title: text(120),
  setting: text(200),
  purpose: text(600),
  kit: list(text(200)),
  cautions: list(text(400)),
  options: list(
    shape({
      id: plainId,
      name: text(120),
      choices: list(named, 2),
      rule: shape({
        name: words().oneOf(Object.keys(RULE_CHOICES), 'is no class rule').required('is missing'),
        choices: members,
      }).optional(),
    }),
  ),
  dimensions: list(dimension),
  quantities: list(byKind(QUANTITIES), 1),
  results: list(
    shape({
      quantity: id,
      accepted: byKind({
        material: shape({ kind: mixed() }),
        quantity: shape({ kind: mixed(), quantity: id }),
      }).optional(),
      goodPercentError: numeric().moreThan(0, 'is not above 0').max(100, 'is above 100').optional(),
      when,
    }),
    1,
  ),
  comparisons: list(
    byKind({
      agree: shape({ ...comparison, of: list(shape(place), 2) }),
      rank: shape({ ...comparison, quantity: id, over: id }),
      identify: shape({
        ...comparison,
        of: shape(place),
        among: list(words().oneOf(['solid', 'liquid'], 'is not solid or liquid').required(), 1),
      }),
    }),
  ),
  checks: list(
    shape({
      check: words().oneOf(Object.keys(PROTOCOL_CHECKS), 'is no check known here').required('is missing'),
      of: members,
      message: text(400).optional(),
      when,
    }),
  ),
  steps: list(
    shape({
      id: plainId,
      title: text(80),
      text: text(800),
      minutes: numeric().min(0, 'is below 0').max(600, 'is above 600').required('is missing'),
      attention: words().oneOf(['hands', 'waiting'], 'is not hands or waiting').required('is missing'),
      when,
    }),
  ),
  statements: list(
    shape({
      id: slug,
      text: text(300),
      holds: yesOrNo().required('is missing'),
      corrections: list(text(300)),
      because: text(400),
      when,
    }),
  ),
  questions: list(
    shape({
      id: slug,
      text: text(600),
      answer: byKind({
        number: shape({ kind: mixed(), ...place }),
        choice: shape({ kind: mixed(), choices: list(text(200), 2), right: text(200) }),
      }).optional(),
      when,
    }),
  ),
  byStudent: optional(list(id)),
  samples: list(
    shape({
      options: optional(members),
      members: optional(byName(list(words().required()))),
      accepted: words().max(80).optional(),
      entries: byName(sampleEntries),
    }),
    1,
  ),
});
