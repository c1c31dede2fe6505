import type { Schema } from 'yup';
import { FUNCTION_NAMES } from '../../calculations/expression/expression.ts';
import { RULE_CHOICES } from '../../rules/house-rules.ts';
import { PROTOCOL_CHECKS } from '../checks/protocol-checks.ts';
import { AGGREGATES } from '../formulas/formula.ts';
import { LOOK_UPS } from '../look-ups.ts';
import { toolKinds } from '../run/tool-in-run.ts';
import {
  anyText,
  byKind,
  byName,
  defined,
  either,
  list,
  matching,
  matchingBut,
  numeric,
  oneOf,
  optional,
  positive,
  recursive,
  shape,
  text,
  whole,
  yesOrNo,
  type JsonSchema,
} from './shapes.ts';

/* The shape of a protocol from outside. What hangs together in it is checked once the shape is right. */

const RESERVED: readonly string[] = [...FUNCTION_NAMES, ...AGGREGATES, 'previous', 'u', 'pi', 'exact', 'over'];
const MOST = 200;
const ID = /^[A-Za-z][A-Za-z0-9_]{0,39}$/;
const ID_TOLD = 'is a letter, then letters, digits and underscores, at most 40';

const plainId = defined('id', matching(ID, ID_TOLD));
/** An id that formulas can name. */
const id = defined('nameInFormulas', matchingBut(ID, ID_TOLD, RESERVED, 'is the name of a function'));
const slug = matching(/^[a-z][a-z0-9-]{0,59}$/, 'is small letters, digits and hyphens, at most 60');
const word = text(80);

const named = shape({ id: plainId, name: text(80) });
const choices = defined('choices', byName(list(word, 1)));
const when = optional(choices);
const members = defined('members', byName(word));

const toolKind = defined(
  'toolKind',
  oneOf(toolKinds(), (kind) => `“${kind}” is no kind of tool`),
);

const TOOLS = {
  kinds: shape({ kinds: list(toolKind, 1) }),
  by: shape({ by: id, of: byName(list(toolKind, 1)) }),
  member: shape({ member: id }),
  sameAs: shape({ sameAs: id }),
};
const tools = either(Object.values(TOOLS), (value) => {
  const has = (name: string): boolean => typeof value === 'object' && value !== null && name in value;
  return has('by') ? TOOLS.by : has('member') ? TOOLS.member : has('sameAs') ? TOOLS.sameAs : TOOLS.kinds;
});

const stepBy = shape({ by: id, of: byName(plainId) });
const step = optional(
  either([plainId, stepBy], (value) =>
    value === undefined ? optional(plainId) : typeof value === 'object' ? stepBy : plainId,
  ),
);

const column = {
  id,
  name: text(80),
  over: list(id),
  only: optional(byName(list(word, 1))),
  step,
  optional: optional(yesOrNo()),
  when,
};

const measurable = { ...column, symbol: text(60), unit: anyText(40), usual: optional(anyText(40)) };

const width = numeric(0, 1e9, 'a milliard');

const quantity = byKind({
  read: { ...measurable, tools, zeroOf: optional(list(id, 1)), container: optional(yesOrNo()) },
  counted: { ...measurable, halfWidth: width },
  timed: {
    ...measurable,
    as: oneOf(['time-of-day', 'duration'], 'is not time-of-day or duration'),
    halfWidth: width,
  },
  observed: { ...column, choices: list(named, 2) },
  given: { ...measurable, value: optional(anyText(40)), halfWidth: optional(width) },
  'looked-up': { ...measurable, lookUp: oneOf(Object.keys(LOOK_UPS), 'is no look-up known here'), of: list(id) },
  computed: { ...measurable, formula: text(1000), pooledOver: optional(list(id, 1)) },
  predicted: { ...measurable, of: id, at: optional(members) },
});

const counted = {
  id,
  name: text(80),
  least: whole(1, 50),
  most: whole(1, 50),
  places: optional(yesOrNo()),
  when,
};

const dimension = byKind({
  repeat: counted,
  sample: counted,
  sequence: counted,
  case: {
    id,
    name: text(80),
    members: list(shape({ id: plainId, name: text(80), tool: optional(toolKind) }), 1),
    choose: optional(shape({ least: whole(1, MOST), most: whole(1, MOST) })),
    tools: optional(list(toolKind, 1)),
    when,
  },
});

const place = { quantity: id, at: optional(members) };
const comparison = { id: plainId, name: text(120), when };

const entry = anyText(80);
const entryList = list(entry);
const entries = recursive('entries', (self) => {
  const inner = byName(self);
  return either([entry, entryList, inner], (value) =>
    typeof value === 'string' ? entry : Array.isArray(value) ? entryList : inner,
  );
});

const protocol = shape({
  id: slug,
  version: whole(1, 1_000_000),
  title: text(120),
  setting: text(200),
  purpose: text(600),
  kit: list(text(200)),
  cautions: list(text(400)),
  preparation: optional(list(shape({ text: text(120), minutesBefore: numeric(0, 600) }))),
  options: list(
    shape({
      id: plainId,
      name: text(120),
      choices: list(named, 2),
      rule: optional(
        shape({
          name: oneOf(Object.keys(RULE_CHOICES), 'is no class rule'),
          choices: members,
        }),
      ),
    }),
  ),
  dimensions: list(dimension),
  quantities: list(quantity, 1),
  results: list(
    shape({
      quantity: id,
      accepted: optional(byKind({ material: {}, quantity: { quantity: id } })),
      goodPercentError: optional(positive(100)),
      when,
    }),
    1,
  ),
  comparisons: list(
    byKind({
      agree: { ...comparison, of: list(shape(place), 2) },
      rank: { ...comparison, quantity: id, over: id },
      identify: {
        ...comparison,
        of: shape(place),
        among: list(oneOf(['solid', 'liquid'], 'is not solid or liquid'), 1),
      },
    }),
  ),
  checks: list(
    shape({
      check: oneOf(Object.keys(PROTOCOL_CHECKS), 'is no check known here'),
      of: members,
      message: optional(text(400)),
      when,
    }),
  ),
  steps: list(
    shape({
      id: plainId,
      title: text(80),
      text: text(800),
      minutes: numeric(0, 600),
      attention: oneOf(['hands', 'waiting'], 'is not hands or waiting'),
      after: optional(list(plainId)),
      follows: optional(plainId),
      apparatus: optional(list(text(40))),
      water: optional(shape({ millilitres: numeric(1, 5000), from: numeric(0, 100), to: numeric(0, 100) })),
      when,
    }),
  ),
  statements: list(
    shape({
      id: slug,
      text: text(300),
      holds: yesOrNo(),
      corrections: list(text(300)),
      because: text(400),
      when,
    }),
  ),
  questions: list(
    shape({
      id: slug,
      text: text(600),
      answer: optional(
        byKind({
          number: place,
          choice: { choices: list(text(200), 2), right: text(200) },
        }),
      ),
      when,
    }),
  ),
  byStudent: optional(list(id)),
  samples: list(
    shape({
      options: optional(members),
      members: optional(byName(list(word))),
      accepted: optional(anyText(80)),
      entries: byName(entries),
    }),
    1,
  ),
});

/** The shape of a protocol. */
export const PROTOCOL_SCHEMA: Schema<unknown> = protocol.yup;

/**
 * The same as a JSON Schema (draft 2020-12). What hangs together in a protocol, such as names in formulas and their units, is beyond a
 * schema; `protocolFaults` finds it.
 */
export const PROTOCOL_JSON_SCHEMA: JsonSchema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'A laboratory',
  description: 'What is measured, over what, what is worked out from it, and what is judged.',
  ...protocol.json,
  $defs: Object.assign(
    {},
    ...[plainId, id, choices, members, toolKind, entries].map(({ definition }) => definition),
  ) as JsonSchema,
};
