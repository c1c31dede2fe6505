/** Specific heat capacity of water, in J/(g·K): 4.18 from 20 to 80 °C (CRC Handbook of Chemistry and Physics). A millilitre is taken as a gram. */
const SPECIFIC_HEAT = 4.18;
/** About what a hot plate gives to water in a beaker, in W. An estimate of our own; the teacher’s plates may differ, and then it is changed. */
export const HOT_PLATE_WATTS = 140;
/** About what an open beaker gives to the air, in W/(m²·K), by convection, radiation and steam together. An estimate of our own. */
const TO_THE_AIR = 15;

/** Water that is brought from one temperature to another. In mL and °C. */
interface WaterChange {
  readonly millilitres: number;
  readonly from: number;
  readonly to: number;
}

/** How the room and its plates are. */
interface Surroundings {
  /** What a hot plate gives to the water, in W. */
  readonly watts: number;
  /** Of the room, in °C. */
  readonly room: number;
}

/** The surface of a beaker as high as it is wide that holds so much, its bottom, wall and opening, in m². */
function surfaceOf(millilitres: number): number {
  const diameter = ((4e-6 * millilitres) / Math.PI) ** (1 / 3);
  return 1.5 * Math.PI * diameter ** 2;
}

/**
 * How long water takes to be heated, m·c·ΔT ÷ P, or to cool in the air, (m·c ÷ hA)·ln((from − room) ÷ (to − room)) by Newton’s law of
 * cooling (Philos. Trans. 22 (1701) 824).
 * @returns whole minutes, rounded up, at least 1; null where it never gets there: water does not cool below the room by itself.
 */
export function minutesFor({ millilitres, from, to }: WaterChange, { watts, room }: Surroundings): number | null {
  const perKelvin = millilitres * SPECIFIC_HEAT;
  if (to >= from) return watts > 0 ? Math.max(1, Math.ceil((perKelvin * (to - from)) / watts / 60 - 1e-9)) : null;
  if (to <= room) return null;
  const seconds = (perKelvin / (TO_THE_AIR * surfaceOf(millilitres))) * Math.log((from - room) / (to - room));
  return Math.max(1, Math.ceil(seconds / 60 - 1e-9));
}
