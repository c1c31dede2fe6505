import { ValidationError } from 'yup';
import { PROTOCOL_CHECKS } from '../checks/protocol-checks.ts';
import { layoutOf, type Layout } from '../protocol/layout.ts';
import { ProtocolError } from '../protocol/protocol-error.ts';
import { PROTOCOL_SCHEMA } from './protocol-schema.ts';
import type { Place, Protocol, When } from '../protocol/protocol.ts';

const DEEPEST = 24;
const MOST_PARTS = 20_000;
const MOST_TEXT = 500_000;

/**
 * Refuses what is too deep or too large to be a protocol before anything else walks through it; without recursion, so that no depth
 * overflows the stack.
 */
function checkSize(json: unknown): void {
  const open: { readonly value: unknown; readonly depth: number }[] = [{ value: json, depth: 0 }];
  let [parts, letters] = [0, 0];
  for (let next = open.pop(); next; next = open.pop()) {
    const { value, depth } = next;
    parts += 1;
    if (typeof value === 'string') letters += value.length;
    if (depth > DEEPEST) throw new ProtocolError('', `A protocol is at most ${DEEPEST} levels deep.`);
    if (parts > MOST_PARTS) throw new ProtocolError('', `A protocol has at most ${MOST_PARTS} parts.`);
    if (letters > MOST_TEXT) throw new ProtocolError('', `A protocol has at most ${MOST_TEXT} letters.`);
    if (typeof value === 'object' && value !== null)
      for (const [name, inner] of Object.entries(value)) {
        if (!Array.isArray(value)) letters += name.length;
        open.push({ value: inner, depth: depth + 1 });
      }
  }
}

function checkShape(json: unknown): Protocol {
  try {
    return PROTOCOL_SCHEMA.validateSync(json, { abortEarly: true }) as Protocol;
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const path = error.path ?? '';
    throw new ProtocolError(path, `${path === '' ? 'The protocol ' : ''}${error.message}.`);
  }
}

function unique(list: readonly { readonly id: string }[], path: string): void {
  const seen = new Set<string>();
  list.forEach(({ id }, i) => {
    if (seen.has(id)) throw new ProtocolError(`${path}[${i}].id`, `“${id}” is there twice.`);
    seen.add(id);
  });
}

/** Every choice that a `when` names has to exist. */
function checkWhen(protocol: Protocol): void {
  const check = (when: When | undefined, path: string): void => {
    for (const [option, choices] of Object.entries(when ?? {})) {
      const found = protocol.options.find(({ id }) => id === option);
      if (!found) throw new ProtocolError(`${path}.when.${option}`, `“${option}” is not an option of this laboratory.`);
      const unknown = choices.find((choice) => !found.choices.some(({ id }) => id === choice));
      if (unknown !== undefined)
        throw new ProtocolError(`${path}.when.${option}`, `“${unknown}” is not one of its choices.`);
    }
  };
  for (const name of [
    'dimensions',
    'quantities',
    'results',
    'comparisons',
    'checks',
    'steps',
    'statements',
    'questions',
  ] as const)
    protocol[name].forEach((one, i) => check(one.when, `${name}[${i}]`));
}

const MOST_LAYOUTS = 600;

/** Every way in which the options can be chosen. */
function allChoices({ options }: Protocol): Record<string, string>[] {
  const count = options.reduce((product, { choices }) => product * choices.length, 1);
  if (count > MOST_LAYOUTS)
    throw new ProtocolError(
      'options',
      `Together they can be chosen in ${count} ways; at most ${MOST_LAYOUTS} are worked through.`,
    );
  return options.reduce<Record<string, string>[]>(
    (chosen, { id, choices }) => chosen.flatMap((before) => choices.map((choice) => ({ ...before, [id]: choice.id }))),
    [{}],
  );
}

/** What is named has to be a quantity under some choice of the options. */
class Named {
  constructor(
    private readonly protocol: Protocol,
    private readonly layouts: readonly Layout[],
  ) {}

  quantity(id: string, path: string): void {
    if (!this.layouts.some(({ quantities }) => quantities.has(id)))
      throw new ProtocolError(path, `“${id}” is not a quantity of this laboratory.`);
  }

  dimension(id: string, path: string): void {
    if (!this.protocol.dimensions.some((dimension) => dimension.id === id))
      throw new ProtocolError(path, `“${id}” is not a dimension of this laboratory.`);
  }

  place({ quantity, at = {} }: Place, path: string): void {
    this.quantity(quantity, `${path}.quantity`);
    for (const [dimension, member] of Object.entries(at)) {
      this.dimension(dimension, `${path}.at.${dimension}`);
      const known = this.protocol.dimensions.some(
        (one) =>
          one.id === dimension &&
          (one.kind === 'case' ? one.members.some(({ id }) => id === member) : /^[1-9]\d*$/.test(member)),
      );
      if (!known) throw new ProtocolError(`${path}.at.${dimension}`, `“${member}” is not one of its members.`);
    }
  }

  step(id: string, path: string): void {
    if (!this.protocol.steps.some((step) => step.id === id))
      throw new ProtocolError(path, `“${id}” is not a step of this laboratory.`);
  }
}

function checkQuantities(protocol: Protocol, named: Named): void {
  protocol.quantities.forEach((quantity, i) => {
    const path = `quantities[${i}]`;
    for (const dimension of Object.keys(quantity.only ?? {})) named.dimension(dimension, `${path}.only.${dimension}`);
    if (typeof quantity.step === 'string') named.step(quantity.step, `${path}.step`);
    else if (quantity.step)
      for (const [member, step] of Object.entries(quantity.step.of)) named.step(step, `${path}.step.of.${member}`);
    if (quantity.kind === 'read') {
      const { tools } = quantity;
      if ('sameAs' in tools) named.quantity(tools.sameAs, `${path}.tools.sameAs`);
      if ('by' in tools) named.dimension(tools.by, `${path}.tools.by`);
      if ('member' in tools) named.dimension(tools.member, `${path}.tools.member`);
      quantity.zeroOf?.forEach((id, k) => named.quantity(id, `${path}.zeroOf[${k}]`));
    }
    if (quantity.kind === 'predicted') {
      named.quantity(quantity.of, `${path}.of`);
      if (quantity.at) named.place({ quantity: quantity.of, at: quantity.at }, path);
    }
    if (quantity.kind === 'computed')
      quantity.pooledOver?.forEach((id, k) => named.dimension(id, `${path}.pooledOver[${k}]`));
  });
}

function checkJudgements(protocol: Protocol, named: Named): void {
  protocol.results.forEach(({ quantity, accepted }, i) => {
    named.quantity(quantity, `results[${i}].quantity`);
    if (accepted?.kind === 'quantity') named.quantity(accepted.quantity, `results[${i}].accepted.quantity`);
  });
  protocol.comparisons.forEach((comparison, i) => {
    const path = `comparisons[${i}]`;
    if (comparison.kind === 'agree') comparison.of.forEach((place, k) => named.place(place, `${path}.of[${k}]`));
    else if (comparison.kind === 'identify') named.place(comparison.of, `${path}.of`);
    else {
      named.quantity(comparison.quantity, `${path}.quantity`);
      named.dimension(comparison.over, `${path}.over`);
    }
  });
  protocol.checks.forEach(({ check, of }, i) => {
    const known = PROTOCOL_CHECKS[check];
    const [needs, takes] = [known?.needs ?? [], known?.takes ?? []];
    const missing = needs.find((need) => !Object.hasOwn(of, need));
    if (missing !== undefined) throw new ProtocolError(`checks[${i}].of`, `${check} needs ${missing}.`);
    const extra = Object.keys(of).find((name) => !needs.includes(name) && !takes.includes(name));
    if (extra !== undefined) throw new ProtocolError(`checks[${i}].of.${extra}`, `${check} has no use for it.`);
  });
  protocol.questions.forEach(({ answer }, i) => {
    if (answer?.kind === 'number') named.place(answer, `questions[${i}].answer`);
    if (answer?.kind === 'choice' && !answer.choices.includes(answer.right))
      throw new ProtocolError(`questions[${i}].answer.right`, 'is not one of the choices.');
  });
  protocol.byStudent?.forEach((id, i) => {
    if (!protocol.quantities.some((quantity) => quantity.id === id && quantity.kind === 'computed'))
      throw new ProtocolError(`byStudent[${i}]`, `“${id}” is not a computed quantity of this laboratory.`);
  });
  protocol.statements.forEach(({ holds, corrections }, i) => {
    if (!holds && corrections.length < 2)
      throw new ProtocolError(
        `statements[${i}].corrections`,
        'A false statement needs two corrections to choose from, or more.',
      );
  });
}

/**
 * Reads a protocol from outside: its shape, its names, and, with every choice of its options, its formulas, units and order.
 * @throws ProtocolError naming the path: `quantities[3].formula`.
 */
export function parseProtocol(json: unknown): Protocol {
  checkSize(json);
  const protocol = checkShape(json);
  for (const name of ['options', 'comparisons', 'steps', 'statements', 'questions'] as const)
    unique(protocol[name], name);
  protocol.dimensions.forEach((dimension, i) => {
    if (dimension.kind === 'case') unique(dimension.members, `dimensions[${i}].members`);
    else if (dimension.most < dimension.least)
      throw new ProtocolError(`dimensions[${i}].most`, `${dimension.most} is below the least, ${dimension.least}.`);
  });
  checkWhen(protocol);
  const named = new Named(
    protocol,
    allChoices(protocol).map((chosen) => layoutOf(protocol, chosen)),
  );
  checkQuantities(protocol, named);
  checkJudgements(protocol, named);
  return protocol;
}
