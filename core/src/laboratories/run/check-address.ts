import type { Layout } from '../protocol/layout.ts';
import type { Dimension, Quantity } from '../protocol/protocol.ts';
import { REPORT_SECTIONS, type Address, type Members } from './address.ts';

/** An entry belongs nowhere in the laboratory; `field` says what of its address is wrong. */
export class AddressError extends Error {
  override readonly name = 'AddressError';
  constructor(
    readonly field: string,
    reason: string,
  ) {
    super(`${field}: ${reason}`);
  }
}

/** Looks whether an address exists in a laboratory with its options chosen. */
class AddressCheck {
  /** @param chosenMembers the members of the dimensions whose members a run chooses. */
  constructor(
    private readonly layout: Layout,
    private readonly chosenMembers: ReadonlyMap<string, readonly string[]>,
  ) {}

  quantity(id: string, kinds: readonly Quantity['kind'][]): Quantity {
    const quantity = this.layout.quantities.get(id);
    if (!quantity) throw new AddressError('quantity', `“${id}” is not a quantity of this laboratory.`);
    if (!kinds.includes(quantity.kind))
      throw new AddressError('quantity', `Nothing is entered for ${quantity.name.toLowerCase()} there.`);
    return quantity;
  }

  dimension(id: string): Dimension {
    const dimension = this.layout.dimensions.get(id);
    if (!dimension) throw new AddressError('dimension', `“${id}” is not a dimension of this laboratory.`);
    return dimension;
  }

  member(dimension: Dimension, member: string, field: string): void {
    const chosen = this.chosenMembers.get(dimension.id);
    const exists = chosen
      ? chosen.includes(member)
      : dimension.kind === 'case'
        ? dimension.members.some(({ id }) => id === member)
        : /^[1-9]\d{0,2}$/.test(member) && Number(member) <= dimension.most;
    if (!exists) throw new AddressError(field, `“${member}” is not one of ${dimension.name.toLowerCase()}.`);
  }

  /** A member of each of these dimensions, and of no other. */
  members(members: Members, over: readonly string[], only: Quantity['only'] = {}): void {
    for (const id of over) {
      const member = members[id];
      const field = `members.${id}`;
      if (member === undefined) throw new AddressError(field, 'is missing.');
      this.member(this.dimension(id), member, field);
      if (only[id]?.includes(member) === false)
        throw new AddressError(field, `There is nothing to be entered at “${member}”.`);
    }
    const extra = Object.keys(members).find((id) => !over.includes(id));
    if (extra !== undefined) throw new AddressError(`members.${extra}`, 'The quantity does not stand over it.');
  }

  /** Members of some of these dimensions. */
  some(members: Members): void {
    for (const [id, member] of Object.entries(members)) this.member(this.dimension(id), member, `within.${id}`);
  }
}

const ENTERED: readonly Quantity['kind'][] = ['read', 'counted', 'timed', 'observed', 'given', 'predicted'];

/**
 * Looks whether an entry’s address is one that the laboratory has.
 * @param chosenMembers of the dimensions whose members a run chooses, those of this run.
 * @throws AddressError naming the field.
 */
export function checkAddress(
  layout: Layout,
  address: Address,
  chosenMembers: ReadonlyMap<string, readonly string[]> = new Map(),
): void {
  const check = new AddressCheck(layout, chosenMembers);
  const { protocol } = layout;
  const among = (list: readonly { readonly id: string }[], id: string, field: string): void => {
    if (!list.some((one) => one.id === id)) throw new AddressError(field, `“${id}” is not one of this laboratory.`);
  };
  switch (address.kind) {
    case 'cell': {
      const kinds: readonly Quantity['kind'][] = address.author === undefined ? ENTERED : ['computed'];
      const quantity = check.quantity(address.quantity, kinds);
      if (quantity.kind === 'given' && quantity.value !== undefined)
        throw new AddressError('quantity', `${quantity.name} is stated by the laboratory.`);
      check.members(address.members, quantity.over, quantity.only);
      return;
    }
    case 'shown': {
      const quantity = check.quantity(address.quantity, ['computed']);
      check.members(address.members, quantity.over, quantity.only);
      return;
    }
    case 'adjustment':
    case 'link': {
      const quantity = check.quantity(address.quantity, ['read']);
      check.members(address.members, quantity.over, quantity.only);
      return;
    }
    case 'tool': {
      const quantity = check.quantity(address.quantity, ['read']);
      const tools = quantity.kind === 'read' ? quantity.tools : { kinds: [] };
      if ('sameAs' in tools || 'member' in tools)
        throw new AddressError('quantity', `The tool of ${quantity.name.toLowerCase()} is chosen elsewhere.`);
      check.members(address.members, 'by' in tools ? [tools.by] : []);
      return;
    }
    case 'option': {
      among(protocol.options, address.option, 'option');
      return;
    }
    case 'members': {
      const dimension = check.dimension(address.dimension);
      if (dimension.kind !== 'case' || !dimension.choose)
        throw new AddressError('dimension', `The members of ${dimension.name.toLowerCase()} are not chosen.`);
      return;
    }
    case 'excluded': {
      const dimension = check.dimension(address.dimension);
      if (dimension.kind === 'case')
        throw new AddressError('dimension', `${dimension.name} has no repeats that could be left out.`);
      check.member(dimension, address.member, 'member');
      check.some(address.within);
      return;
    }
    case 'answer': {
      among(protocol.questions, address.question, 'question');
      return;
    }
    case 'statement': {
      among(protocol.statements, address.statement, 'statement');
      return;
    }
    case 'report': {
      among(
        REPORT_SECTIONS.map((id) => ({ id })),
        address.section,
        'section',
      );
      return;
    }
    case 'accepted':
    case 'specimen':
      return;
  }
}
