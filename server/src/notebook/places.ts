import { richTextFrom, type NewRunEvent } from '@green-beam/contract';
import {
  AddressError,
  cellKey,
  checkAddress,
  isLockedPrediction,
  chosenMembersFrom,
  linkFrom,
  ProtocolError,
  settingOf,
  type Address,
  type HouseRules,
  type Protocol,
  type RunEvent,
  type Setting,
} from '@green-beam/core';
import { Refusal } from '../refusal.ts';

/** Members a case dimension of this run has, where they are chosen. */
function chosenMembers({ layout, members }: Setting): Map<string, string[]> {
  return new Map(
    [...layout.dimensions.values()].flatMap((dimension) =>
      dimension.kind === 'case' && dimension.choose
        ? [[dimension.id, (members.get(dimension.id) ?? []).map(({ id }) => id)] as const]
        : [],
    ),
  );
}

function oneOf(text: string, choices: readonly string[]): void {
  if (text !== '' && !choices.includes(text))
    throw new Refusal(400, `“${text}” is none of ${choices.join(', ')}.`, 'text');
}

/** The members that are chosen for a run: as many as the laboratory wants, each one of its own or a tool. */
function checkMembers(setting: Setting, { dimension: id }: Extract<Address, { kind: 'members' }>, text: string): void {
  const dimension = setting.layout.dimensions.get(id);
  if (text === '' || dimension?.kind !== 'case' || !dimension.choose) return;
  const { least, most } = dimension.choose;
  const chosen = chosenMembersFrom(text);
  const ids = (chosen ?? []).map((member) => member.id);
  const own = dimension.members.map((member) => member.id);
  if (
    !chosen ||
    new Set(ids).size < ids.length ||
    chosen.some((member) => !own.includes(member.id) && (!dimension.tools || member.tool === undefined))
  )
    throw new Refusal(400, `That is no choice of ${dimension.name.toLowerCase()}.`, 'text');
  if (ids.length < least || ids.length > most)
    throw new Refusal(400, `Choose ${least} to ${most} for ${dimension.name.toLowerCase()}.`, 'text');
}

/** A reading that is said to be another one: that one exists, is read too, and is not itself. */
function checkLink(setting: Setting, address: Extract<Address, { kind: 'link' }>, text: string): void {
  if (text === '') return;
  const source = linkFrom(text);
  const quantity = source && setting.layout.quantities.get(source.quantity);
  const own = setting.layout.quantities.get(address.quantity);
  const isItself =
    source !== null && cellKey(source.quantity, source.members) === cellKey(address.quantity, address.members);
  if (!source || isItself || quantity?.kind !== 'read' || own?.kind !== 'read' || own.unit !== quantity.unit)
    throw new Refusal(400, 'That is no reading that could be taken over.', 'text');
  checkAddress(setting.layout, { kind: 'cell', ...source }, chosenMembers(setting));
}

/** What may be written at a place: anything, or one of a few choices. */
function checkText(setting: Setting, { address, text, reason }: NewRunEvent): void {
  const { protocol, quantities } = setting.layout;
  switch (address.kind) {
    case 'cell': {
      const quantity = quantities.get(address.quantity);
      if (quantity?.kind === 'observed')
        oneOf(
          text,
          quantity.choices.map(({ id }) => id),
        );
      return;
    }
    case 'option': {
      const option = protocol.options.find(({ id }) => id === address.option);
      oneOf(text, option?.choices.map(({ id }) => id) ?? []);
      return;
    }
    case 'statement': {
      const statement = protocol.statements.find(({ id }) => id === address.statement);
      oneOf(text, ['holds', 'fails', ...(statement?.corrections.map((_, i) => String(i)) ?? [])]);
      return;
    }
    case 'members':
      checkMembers(setting, address, text);
      return;
    case 'link':
      checkLink(setting, address, text);
      return;
    case 'adjustment':
      if (text !== '' && !reason) throw new Refusal(400, 'Say why something is added to the reading.', 'reason');
      return;
    case 'answer': {
      const answer = protocol.questions.find(({ id }) => id === address.question)?.answer;
      if (answer?.kind === 'choice') oneOf(text, answer.choices);
      return;
    }
    case 'report':
      if (text !== '' && !richTextFrom(text)) throw new Refusal(400, 'That is no text of a report.', 'text');
      return;
    case 'tool':
    case 'excluded':
    case 'shown':
    case 'accepted':
    case 'specimen':
      return;
  }
}

/** A prediction that was made stays as it is once what it is about has been read. */
function checkPrediction({ layout }: Setting, { id, address }: NewRunEvent, log: readonly RunEvent[]): void {
  const at = log.findIndex((event) => event.id === id);
  if (isLockedPrediction(layout, address, log.slice(0, at)))
    throw new Refusal(
      409,
      'What you predict has been read already, so the prediction stays as it is.',
      'address.quantity',
    );
}

/** Entries that are on their way into a log, as they will stand in it. */
function asStored(event: NewRunEvent, after: number): RunEvent {
  return { ...event, replaces: event.replaces ?? null, reason: event.reason ?? null, order: after };
}

/**
 * Whether the laboratory has the places that entries are for, with the options and members that the run then has.
 * @throws Refusal naming what of the address or the text is wrong.
 */
export function checkPlaces(
  protocol: Protocol,
  log: readonly RunEvent[],
  entries: readonly NewRunEvent[],
  rules: HouseRules,
): void {
  const last = log.at(-1)?.order ?? 0;
  const after = [...log, ...entries.map((entry, i) => asStored(entry, last + i + 1))];
  try {
    const setting = settingOf(protocol, { events: after }, rules);
    const chosen = chosenMembers(setting);
    for (const entry of entries) {
      checkAddress(setting.layout, entry.address, chosen);
      checkPrediction(setting, entry, after);
      checkText(setting, entry);
    }
  } catch (error) {
    if (error instanceof AddressError) throw new Refusal(400, error.message, `address.${error.field}`);
    if (error instanceof ProtocolError) throw new Refusal(400, 'These choices do not go together.', 'text');
    throw error;
  }
}
