import type { LabSheetDraft } from '@green-beam/contract';
import type { Protocol } from '@green-beam/core';

/** What a new lab sheet begins as: one mass, weighed several times, and its mean. */
const BEGINNING: Protocol = {
  id: 'new',
  version: 1,
  title: 'A new laboratory',
  setting: 'A slate tile',
  purpose: 'Say what is to be found out.',
  kit: ['a balance'],
  cautions: ['Follow your school’s and local rules, and ask the responsible adult.'],
  options: [],
  dimensions: [{ kind: 'repeat', id: 'trial', name: 'Trial', least: 3, most: 5 }],
  quantities: [
    {
      kind: 'read',
      id: 'mass',
      name: 'Mass',
      symbol: 'm',
      unit: 'g',
      over: ['trial'],
      tools: { kinds: ['balances'] },
      step: 'weigh',
    },
    {
      kind: 'computed',
      id: 'meanMass',
      name: 'Mean mass',
      symbol: '\\bar{m}',
      unit: 'g',
      over: [],
      formula: 'mean(mass over trial)',
    },
  ],
  results: [{ quantity: 'meanMass' }],
  comparisons: [],
  checks: [],
  steps: [{ id: 'weigh', title: 'Weigh', text: 'Weigh it three times.', minutes: 5, attention: 'hands' }],
  statements: [],
  questions: [],
  samples: [{ entries: { mass: ['64.31', '64.32', '64.31'] } }],
};

const asDraft = (protocol: object): LabSheetDraft => JSON.parse(JSON.stringify(protocol)) as LabSheetDraft;

export const newSheet = (): LabSheetDraft => asDraft(BEGINNING);

/** A copy of a laboratory, under a title of its own. */
export function copyOf(protocol: object & { readonly title?: unknown }): LabSheetDraft {
  const title = typeof protocol.title === 'string' ? protocol.title : '';
  return asDraft({ ...protocol, title: `${title.slice(0, 100)} (changed)` });
}
