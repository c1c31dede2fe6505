import { itself, spanOn } from '../slips/on-its-scale.ts';
import { scattered, type CountSlip } from '../slips/slip.ts';
import type { GlassIndication } from './glass-indication.ts';

export const otherScale: CountSlip<GlassIndication> = {
  id: 'other-scale',
  stage: 'count',
  name: 'The other scale',
  baseRate: 0.1,
  why: () =>
    'This tool has two scales. The one that counts downward tells how much you have poured out of a full cylinder, not how much is in it.',
  lookAt: () => 'the scale whose zero is at the bottom',
  counted: ({ tool, situation }, seen) => (situation.secondScale ? [scattered(tool.scale.to - seen)] : []),
  path: (indication) => spanOn(indication, (scale) => scale.to, itself, 'counted from the top'),
};
