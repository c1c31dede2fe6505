import { ValidationError } from 'yup';
import { PROTOCOL_CHECKS } from '../checks/protocol-checks.ts';
import { layoutWithFaults, type Layout } from '../protocol/layout.ts';
import { ProtocolError } from '../protocol/protocol-error.ts';
import type { Place, Protocol, When } from '../protocol/protocol.ts';
import { checkAddress, AddressError } from '../run/check-address.ts';
import { sampleRun } from '../run/run-from-rows.ts';
import { chosenMembersFrom } from '../engine/setting.ts';
import { PROTOCOL_SCHEMA } from './protocol-schema.ts';

const DEEPEST = 24;
const MOST_PARTS = 20_000;
const MOST_TEXT = 500_000;
const MOST_LAYOUTS = 600;
/** Quantities, each counted in every way in which options can be chosen. */
const MOST_WORK = 12_000;

/** What makes up a protocol, each list by its name. */
type Section = Exclude<keyof Protocol, 'id' | 'version' | 'title' | 'setting' | 'purpose'>;

const SWITCHED = [
  'dimensions',
  'quantities',
  'results',
  'comparisons',
  'checks',
  'steps',
  'statements',
  'questions',
] as const;

/** Everything that is wrong, each place once. */
class Faults {
  readonly all = new Map<string, ProtocolError>();

  add(path: string, reason: string): void {
    if (!this.all.has(path)) this.all.set(path, new ProtocolError(path, reason));
  }

  /** Whether the shape of these sections is right, so that they can be looked into. */
  isSound(...sections: readonly Section[]): boolean {
    return ![...this.all.keys()].some((path) => sections.some((section) => path.split(/[.[]/)[0] === section));
  }
}

/**
 * Refuses what is too deep or too large to be a protocol before anything else walks through it; without recursion, so that no depth
 * overflows the stack.
 */
function tooLarge(json: unknown): string | null {
  const open: { readonly value: unknown; readonly depth: number }[] = [{ value: json, depth: 0 }];
  let [parts, letters] = [0, 0];
  for (let next = open.pop(); next; next = open.pop()) {
    const { value, depth } = next;
    parts += 1;
    if (typeof value === 'string') letters += value.length;
    if (depth > DEEPEST) return `A protocol is at most ${DEEPEST} levels deep.`;
    if (parts > MOST_PARTS) return `A protocol has at most ${MOST_PARTS} parts.`;
    if (letters > MOST_TEXT) return `A protocol has at most ${MOST_TEXT} letters.`;
    if (typeof value === 'object' && value !== null)
      for (const [name, inner] of Object.entries(value)) {
        if (!Array.isArray(value)) letters += name.length;
        open.push({ value: inner, depth: depth + 1 });
      }
  }
  return null;
}

function checkShape(json: unknown, faults: Faults): void {
  try {
    PROTOCOL_SCHEMA.validateSync(json, { abortEarly: false });
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    for (const { path = '', message } of error.inner.length > 0 ? error.inner : [error])
      faults.add(path, `${path === '' ? 'The protocol ' : ''}${message}.`);
  }
}

function unique(list: readonly { readonly id: string }[], path: string, faults: Faults): void {
  const seen = new Set<string>();
  list.forEach(({ id }, i) => {
    if (seen.has(id)) faults.add(`${path}[${i}].id`, `“${id}” is there twice.`);
    seen.add(id);
  });
}

/** Every choice that a `when` names has to exist. */
function checkWhen(protocol: Protocol, faults: Faults): void {
  const check = (when: When | undefined, path: string): void => {
    for (const [option, choices] of Object.entries(when ?? {})) {
      const at = `${path}.when.${option}`;
      const found = protocol.options.find(({ id }) => id === option);
      if (!found) faults.add(at, `“${option}” is not an option of this laboratory.`);
      const unknown = found && choices.find((choice) => !found.choices.some(({ id }) => id === choice));
      if (unknown !== undefined) faults.add(at, `“${unknown}” is not one of its choices.`);
    }
  };
  for (const name of SWITCHED)
    if (faults.isSound('options', name)) protocol[name].forEach((one, i) => check(one.when, `${name}[${i}]`));
}

/** Every way in which the options can be chosen; none where there are too many. */
function allChoices({ options, quantities }: Protocol, faults: Faults): Record<string, string>[] {
  const count = options.reduce((product, { choices }) => product * choices.length, 1);
  if (count > MOST_LAYOUTS) {
    faults.add('options', `Together they can be chosen in ${count} ways; at most ${MOST_LAYOUTS} are worked through.`);
    return [];
  }
  if (count * quantities.length > MOST_WORK) {
    faults.add(
      'options',
      `They can be chosen in ${count} ways, and there are ${quantities.length} quantities: that is more than can be worked through.`,
    );
    return [];
  }
  return options.reduce<Record<string, string>[]>(
    (chosen, { id, choices }) => chosen.flatMap((before) => choices.map((choice) => ({ ...before, [id]: choice.id }))),
    [{}],
  );
}

/** What is named has to be there. */
class Named {
  private readonly quantities: ReadonlySet<string>;

  constructor(
    private readonly protocol: Protocol,
    private readonly faults: Faults,
  ) {
    this.quantities = new Set(protocol.quantities.map(({ id }) => id));
  }

  quantity(id: string, path: string): void {
    if (!this.quantities.has(id)) this.faults.add(path, `“${id}” is not a quantity of this laboratory.`);
  }

  dimension(id: string, path: string): boolean {
    const isThere = this.protocol.dimensions.some((dimension) => dimension.id === id);
    if (!isThere) this.faults.add(path, `“${id}” is not a dimension of this laboratory.`);
    return isThere;
  }

  place({ quantity, at = {} }: Place, path: string): void {
    this.quantity(quantity, `${path}.quantity`);
    for (const [dimension, member] of Object.entries(at)) {
      if (!this.dimension(dimension, `${path}.at.${dimension}`)) continue;
      const known = this.protocol.dimensions.some(
        (one) =>
          one.id === dimension &&
          (one.kind === 'case' ? one.members.some(({ id }) => id === member) : /^[1-9]\d*$/.test(member)),
      );
      if (!known) this.faults.add(`${path}.at.${dimension}`, `“${member}” is not one of its members.`);
    }
  }

  step(id: string, path: string): void {
    if (this.faults.isSound('steps') && !this.protocol.steps.some((step) => step.id === id))
      this.faults.add(path, `“${id}” is not a step of this laboratory.`);
  }
}

/** What a step comes after stands before it: so no two wait for each other. */
function checkSteps({ steps }: Protocol, faults: Faults): void {
  const followed = new Set<string>();
  steps.forEach(({ after = [], follows }, i) => {
    const earlier = new Set(steps.slice(0, i).map(({ id }) => id));
    after.forEach((id, j) => {
      if (!earlier.has(id)) faults.add(`steps[${i}].after[${j}]`, `“${id}” is no step before this one.`);
    });
    if (follows === undefined) return;
    if (!earlier.has(follows)) faults.add(`steps[${i}].follows`, `“${follows}” is no step before this one.`);
    if (followed.has(follows)) faults.add(`steps[${i}].follows`, `Another step follows “${follows}” already.`);
    followed.add(follows);
  });
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

function checkResults(protocol: Protocol, named: Named): void {
  protocol.results.forEach(({ quantity, accepted }, i) => {
    named.quantity(quantity, `results[${i}].quantity`);
    if (accepted?.kind === 'quantity') named.quantity(accepted.quantity, `results[${i}].accepted.quantity`);
  });
}

function checkComparisons(protocol: Protocol, named: Named): void {
  protocol.comparisons.forEach((comparison, i) => {
    const path = `comparisons[${i}]`;
    if (comparison.kind === 'agree') comparison.of.forEach((place, k) => named.place(place, `${path}.of[${k}]`));
    else if (comparison.kind === 'identify') named.place(comparison.of, `${path}.of`);
    else {
      named.quantity(comparison.quantity, `${path}.quantity`);
      named.dimension(comparison.over, `${path}.over`);
    }
  });
}

function checkChecks({ checks }: Protocol, faults: Faults): void {
  checks.forEach(({ check, of }, i) => {
    const known = PROTOCOL_CHECKS[check];
    const [needs, takes] = [known?.needs ?? [], known?.takes ?? []];
    const missing = needs.find((need) => !Object.hasOwn(of, need));
    if (missing !== undefined) faults.add(`checks[${i}].of`, `${check} needs ${missing}.`);
    const extra = Object.keys(of).find((name) => !needs.includes(name) && !takes.includes(name));
    if (extra !== undefined) faults.add(`checks[${i}].of.${extra}`, `${check} has no use for it.`);
  });
}

function checkQuestions(protocol: Protocol, named: Named, faults: Faults): void {
  protocol.questions.forEach(({ answer }, i) => {
    if (answer?.kind === 'number') named.place(answer, `questions[${i}].answer`);
    if (answer?.kind === 'choice' && !answer.choices.includes(answer.right))
      faults.add(`questions[${i}].answer.right`, 'is not one of the choices.');
  });
}

function checkStatements({ statements }: Protocol, faults: Faults): void {
  statements.forEach(({ holds, corrections }, i) => {
    if (!holds && corrections.length < 2)
      faults.add(`statements[${i}].corrections`, 'A false statement needs two corrections to choose from, or more.');
  });
}

function checkByStudent(protocol: Protocol, faults: Faults): void {
  protocol.byStudent?.forEach((id, i) => {
    if (!protocol.quantities.some((quantity) => quantity.id === id && quantity.kind === 'computed'))
      faults.add(`byStudent[${i}]`, `“${id}” is not a computed quantity of this laboratory.`);
  });
}

function checkDimensions({ dimensions }: Protocol, faults: Faults): void {
  dimensions.forEach((dimension, i) => {
    if (dimension.kind === 'case') unique(dimension.members, `dimensions[${i}].members`, faults);
    else if (dimension.most < dimension.least)
      faults.add(`dimensions[${i}].most`, `${dimension.most} is below the least, ${dimension.least}.`);
  });
}

/** Every entry of a sample has to have its place. @param layouts by their choices, as texts. */
function checkSamples(protocol: Protocol, layoutFor: (chosen: Record<string, string>) => Layout, faults: Faults): void {
  protocol.samples.forEach((sample, i) => {
    const path = `samples[${i}]`;
    const layout = layoutFor({ ...sample.options });
    const { events } = sampleRun(protocol, sample);
    const written = new Set(events.flatMap(({ address }) => (address.kind === 'cell' ? [address.quantity] : [])));
    for (const [quantity, entries] of Object.entries(sample.entries))
      if (!written.has(quantity) && Object.keys(entries).length > 0)
        faults.add(
          `${path}.entries.${quantity}`,
          `“${quantity}” is not a quantity of this laboratory, or does not stand over these members.`,
        );
    const chosenMembers = new Map(
      events.flatMap(({ address, text }) =>
        address.kind === 'members'
          ? [[address.dimension, (chosenMembersFrom(text) ?? []).map(({ id }) => id)] as const]
          : [],
      ),
    );
    for (const { address } of events)
      try {
        checkAddress(layout, address, chosenMembers);
      } catch (error) {
        if (!(error instanceof AddressError)) throw error;
        faults.add(
          address.kind === 'cell' ? `${path}.entries.${address.quantity}` : `${path}.${address.kind}`,
          error.message,
        );
      }
  });
}

/**
 * Everything that is wrong in a protocol from outside: its shape; then, as far as that is right, its names and, with every choice of its
 * options, its formulas, units and order. Each place is told once.
 */
export function protocolFaults(json: unknown): ProtocolError[] {
  const large = tooLarge(json);
  if (large !== null) return [new ProtocolError('', large)];
  const faults = new Faults();
  checkShape(json, faults);
  if (typeof json !== 'object' || json === null || Array.isArray(json)) return [...faults.all.values()];
  const protocol = json as Protocol;
  for (const name of ['options', 'comparisons', 'steps', 'statements', 'questions'] as const)
    if (faults.isSound(name)) unique(protocol[name], name, faults);
  if (faults.isSound('steps')) checkSteps(protocol, faults);
  if (faults.isSound('statements')) checkStatements(protocol, faults);
  checkWhen(protocol, faults);
  if (faults.isSound('checks')) checkChecks(protocol, faults);
  if (!faults.isSound('options', 'dimensions', 'quantities')) return [...faults.all.values()];
  const sound = new Set(
    (['results', 'comparisons', 'questions', 'byStudent', 'samples'] as const).filter((name) => faults.isSound(name)),
  );
  checkDimensions(protocol, faults);
  for (const chosen of allChoices(protocol, faults))
    for (const { path, reason } of layoutWithFaults(protocol, chosen).faults) faults.add(path, reason);
  const named = new Named(protocol, faults);
  checkQuantities(protocol, named);
  if (sound.has('results')) checkResults(protocol, named);
  if (sound.has('comparisons')) checkComparisons(protocol, named);
  if (sound.has('questions')) checkQuestions(protocol, named, faults);
  if (sound.has('byStudent')) checkByStudent(protocol, faults);
  // Where a quantity is wrong, so would be all that is entered for it.
  if (sound.has('samples') && faults.isSound('dimensions', 'quantities'))
    checkSamples(protocol, (chosen) => layoutWithFaults(protocol, chosen).layout, faults);
  return [...faults.all.values()];
}
