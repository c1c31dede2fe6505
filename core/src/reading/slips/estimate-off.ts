import { isEstimate } from '../indication/resolution.ts';
import type { Marked } from './on-its-scale.ts';
import type { CountSlip } from './slip.ts';

/** 84.6 → 84.2. By far the commonest wrong reading near the truth, so nothing rarer is named there without more to speak for it. */
export const estimateOff: CountSlip<Marked> = {
  id: 'estimate-off',
  stage: 'count',
  name: 'The estimated digit is too far off',
  baseRate: 0.9,
  why: () => 'You counted the marks correctly. Your estimate of the last part of a space is too far off.',
  lookAt: () => 'the space beyond the last mark passed: is it more than half, or less?',
  counted: ({ resolution }, seen) =>
    isEstimate(resolution.lastDigit) ? [{ value: seen, estimated: 'badly', part: 1 }] : [],
};
