import type { Protocol } from '../protocol/protocol.ts';
import { BURN_RATE } from './burn-rate.ts';
import { DELIVERED_VOLUME } from './delivered-volume.ts';
import { GLASSWARE_DELIVERY } from './glassware-delivery.ts';
import { HOLLOW_BODY } from './hollow-body.ts';
import { LIQUID_BY_INCREMENTS } from './liquid-by-increments.ts';
import { MASS_PER_ITEM } from './mass-per-item.ts';
import { PLATE_TWO_WAYS } from './plate-two-ways.ts';
import { SAME_MATERIAL } from './same-material.ts';
import { SOLID_BY_APPARENT_MASS } from './solid-by-apparent-mass.ts';
import { SOLID_BY_DIMENSIONS } from './solid-by-dimensions.ts';
import { SOLID_BY_DISPLACEMENT } from './solid-by-displacement.ts';
import { SOLID_TWO_WAYS } from './solid-two-ways.ts';
import { THERMOMETER_CHECK } from './thermometer-check.ts';

/** The laboratories that ship with the application. */
export const SHIPPED: readonly Protocol[] = [
  THERMOMETER_CHECK,
  GLASSWARE_DELIVERY,
  SOLID_BY_DIMENSIONS,
  SOLID_BY_DISPLACEMENT,
  SOLID_TWO_WAYS,
  SAME_MATERIAL,
  PLATE_TWO_WAYS,
  HOLLOW_BODY,
  SOLID_BY_APPARENT_MASS,
  LIQUID_BY_INCREMENTS,
  BURN_RATE,
  MASS_PER_ITEM,
  DELIVERED_VOLUME,
];
