import type { SightSlip, SlipIdentity } from './slip.ts';

/** Read while the tool was still on its way: the same habit at a thread and at a display. */
export const UNSETTLED = {
  id: 'unsettled',
  stage: 'sight',
  name: 'Read before it was at rest',
  baseRate: 0.4,
  needsTheTool: true,
} as const satisfies SlipIdentity & Pick<SightSlip, 'stage' | 'needsTheTool'>;
