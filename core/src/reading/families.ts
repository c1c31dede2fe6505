import type { FamilyId, Instrument } from '../instruments/instrument.ts';
import { BEAM_BALANCES_FAMILY } from './beam-balances/beam-balances.ts';
import { BURETTES_FAMILY } from './burettes/burettes.ts';
import { CALIPERS_FAMILY } from './calipers/calipers.ts';
import { CLOCKS_FAMILY } from './clocks/clocks.ts';
import { DIGITAL_BALANCES_FAMILY } from './digital-balances/digital-balances.ts';
import { DIGITAL_CALIPERS_FAMILY } from './digital-calipers/digital-calipers.ts';
import type { Family } from './family.ts';
import { GRADUATED_GLASS_FAMILY } from './graduated-glass/graduated-glass.ts';
import { HYDROMETERS_FAMILY } from './hydrometers/hydrometers.ts';
import { MICROMETERS_FAMILY } from './micrometers/micrometers.ts';
import { RINGS_FAMILY } from './rings/rings.ts';
import { RULERS_FAMILY } from './rulers/rulers.ts';
import type { Slip } from './slips/slip.ts';
import { THERMOMETERS_FAMILY } from './thermometers/thermometers.ts';

/** Every family by its id, one line each; slips that only one family has are listed in this order. */
const FAMILIES = {
  'graduated-glass': GRADUATED_GLASS_FAMILY,
  burettes: BURETTES_FAMILY,
  rings: RINGS_FAMILY,
  thermometers: THERMOMETERS_FAMILY,
  hydrometers: HYDROMETERS_FAMILY,
  rulers: RULERS_FAMILY,
  calipers: CALIPERS_FAMILY,
  micrometers: MICROMETERS_FAMILY,
  'beam-balances': BEAM_BALANCES_FAMILY,
  'digital-balances': DIGITAL_BALANCES_FAMILY,
  'digital-calipers': DIGITAL_CALIPERS_FAMILY,
  clocks: CLOCKS_FAMILY,
};

type Families = typeof FAMILIES;

/** The situation a tool of each family can be in. */
export type SituationOf<F extends FamilyId> = Parameters<Families[F]['laid']>[0];

/** What is seen of a tool of each family. */
export type PictureOf<F extends FamilyId> = Parameters<Families[F]['describe']>[0];

/** A tool’s family. What a family is given is always of its own kind: the tool says which. */
export function familyOf({ family }: Pick<Instrument, 'family'>): Family {
  return FAMILIES[family];
}

/** The slips of all families, family by family. */
export const FAMILY_SLIPS: readonly Slip[] = Object.values<Family>(FAMILIES).flatMap(({ slips }) => slips);
