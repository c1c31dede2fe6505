import type { Protocol } from '../protocol/protocol.ts';

/** A protocol with nothing in it but what a test is about. */
export function smallProtocol(parts: Pick<Protocol, 'dimensions' | 'quantities'> & Partial<Protocol>): Protocol {
  return {
    id: 'small',
    version: 1,
    title: 'Small',
    setting: 'Slate tile',
    purpose: 'To be worked out in a test.',
    kit: [],
    cautions: [],
    options: [],
    results: [],
    comparisons: [],
    checks: [],
    steps: [],
    statements: [],
    questions: [],
    samples: [{ entries: {} }],
    ...parts,
  };
}
