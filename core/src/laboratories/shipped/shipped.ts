import type { Protocol } from '../protocol/protocol.ts';
import { BURN_RATE } from './burn-rate.ts';
import { GLASSWARE_DELIVERY } from './glassware-delivery.ts';
import { LIQUID_BY_INCREMENTS } from './liquid-by-increments.ts';
import { PLATE_TWO_WAYS } from './plate-two-ways.ts';
import { SOLID_BY_APPARENT_MASS } from './solid-by-apparent-mass.ts';

/** The laboratories that ship with the application. */
export const SHIPPED: readonly Protocol[] = [
  PLATE_TWO_WAYS,
  GLASSWARE_DELIVERY,
  LIQUID_BY_INCREMENTS,
  SOLID_BY_APPARENT_MASS,
  BURN_RATE,
];
