import type { Protocol } from '../protocol/protocol.ts';
import { BALANCE_CHECK } from './balance-check.ts';
import { BURN_RATE } from './burn-rate.ts';
import { CYLINDER_CHECK } from './cylinder-check.ts';
import { DELIVERED_VOLUME } from './delivered-volume.ts';
import { DROPS_PER_MILLILITRE } from './drops-per-millilitre.ts';
import { GLASSWARE_DELIVERY } from './glassware-delivery.ts';
import { HOLLOW_BODY } from './hollow-body.ts';
import { LENGTH_TWO_UNITS } from './length-two-units.ts';
import { LIQUID_BY_INCREMENTS } from './liquid-by-increments.ts';
import { MASS_PER_ITEM } from './mass-per-item.ts';
import { PLATE_TWO_WAYS } from './plate-two-ways.ts';
import { SAME_MATERIAL } from './same-material.ts';
import { SHEET_THICKNESS } from './sheet-thickness.ts';
import { SOLID_BY_APPARENT_MASS } from './solid-by-apparent-mass.ts';
import { SOLID_BY_DIMENSIONS } from './solid-by-dimensions.ts';
import { SOLID_BY_DISPLACEMENT } from './solid-by-displacement.ts';
import { SOLID_TWO_WAYS } from './solid-two-ways.ts';
import { THERMOMETER_CHECK } from './thermometer-check.ts';
import { VESSEL_CAPACITY } from './vessel-capacity.ts';

/** The laboratories that ship with the application, in the order in which a class meets them. */
export const SHIPPED: readonly Protocol[] = [
  LENGTH_TWO_UNITS,
  THERMOMETER_CHECK,
  BALANCE_CHECK,
  GLASSWARE_DELIVERY,
  SOLID_BY_DIMENSIONS,
  SOLID_BY_DISPLACEMENT,
  SOLID_TWO_WAYS,
  SAME_MATERIAL,
  PLATE_TWO_WAYS,
  HOLLOW_BODY,
  VESSEL_CAPACITY,
  CYLINDER_CHECK,
  SOLID_BY_APPARENT_MASS,
  LIQUID_BY_INCREMENTS,
  SHEET_THICKNESS,
  BURN_RATE,
  MASS_PER_ITEM,
  DROPS_PER_MILLILITRE,
  DELIVERED_VOLUME,
];
