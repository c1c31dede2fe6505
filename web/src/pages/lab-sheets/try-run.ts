import type { LabSheetDraft, RunPage } from '@green-beam/contract';
import {
  addressKey,
  BY_THE_BOOK,
  foldRun,
  sampleOfRun,
  sampleRun,
  workOut,
  type Address,
  type HouseRules,
  type Protocol,
  type RunEvent,
} from '@green-beam/core';

/** Who tries a lab sheet; nobody else is there. */
export const TRIER = 'me';

/** A laboratory that nobody has begun, as its page would be given it. */
export function triedPage(
  protocol: Protocol,
  events: readonly RunEvent[],
  { name, rules }: { readonly name: string; readonly rules: HouseRules },
): RunPage {
  return {
    id: 'tried',
    protocolId: protocol.id,
    title: protocol.title,
    specimen: protocol.setting,
    members: [],
    asked: [],
    startedAt: new Date(0).toISOString(),
    handedInAt: null,
    isBack: false,
    dueAt: null,
    openingId: null,
    isGiven: false,
    protocol,
    arrangement: { ...BY_THE_BOOK, ownWork: 'each-student' },
    rules,
    rulesName: name,
    people: { [TRIER]: { label: 'You', initials: 'you' } },
    group: [TRIER],
    events,
    newerRules: null,
    rulesChanges: [],
    showsMethods: true,
    sharesMethods: null,
    alike: [],
    mayWrite: true,
    handIns: [],
    returned: [],
    mayGiveBack: false,
    isPaired: false,
  };
}

/** The log of a sample, as somebody here would have written it. */
export function eventsOfSample(protocol: Protocol, index: number): readonly RunEvent[] {
  return sampleRun(protocol, protocol.samples[index]).events.map((event) => ({ ...event, person: TRIER }));
}

/** A log with one more entry; it strikes through what stands at its place. */
export function withEntry(
  events: readonly RunEvent[],
  address: Address,
  text: string,
  reason: string | null,
): readonly RunEvent[] {
  const before = foldRun({ events }).get(addressKey(address));
  if (before?.current.text === text || (!before && text === '')) return events;
  const order = events.length + 1;
  return [
    ...events,
    {
      id: `tried ${order}`,
      address,
      text,
      replaces: before?.current.id ?? null,
      reason,
      person: TRIER,
      deviceTime: new Date().toISOString(),
      order,
    },
  ];
}

/** A draft whose sample is what was tried. */
export function withSample(
  draft: LabSheetDraft,
  index: number,
  protocol: Protocol,
  events: readonly RunEvent[],
): LabSheetDraft {
  const sample = sampleOfRun(workOut(protocol, { events }));
  const samples = Array.isArray(draft['samples']) ? (draft['samples'] as readonly unknown[]) : [];
  return { ...draft, samples: samples.map((one, i) => (i === index ? sample : one)) };
}
