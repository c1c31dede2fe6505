import { Decimal } from '../../numbers/decimal.ts';
import { Rational } from '../../numbers/rational.ts';
import { uncertaintyPlace, writtenAtPlace } from '../../numbers/rounding.ts';
import { MATERIALS, materialById } from '../../materials/materials.ts';
import { UnreadableEntryError } from '../../reading/judging/entry.ts';
import { parseEntry } from '../../reading/judging/parse-entry.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import { converted, parseUnit, sameKind } from '../../units/unit.ts';

/** A value and its uncertainty, both written to the place the uncertainty sets. */
export interface Quoted {
  readonly value: string;
  readonly uncertainty: string;
  readonly place: number;
}

/** Writes value ± uncertainty: the uncertainty to one figure or two by the class's rule, the value to the same place. */
export function quote(value: number | Rational, uncertainty: number, rules: HouseRules): Quoted | null {
  if (!(uncertainty > 0) || !Number.isFinite(uncertainty)) return null;
  const place = uncertaintyPlace(uncertainty, rules.uncertaintyFigures);
  return {
    value: writtenAtPlace(value, place, rules.rounding),
    uncertainty: writtenAtPlace(uncertainty, place, rules.rounding),
    place,
  };
}

/** The accepted value a result is compared with, in the result’s unit. */
export interface Accepted {
  readonly name: string;
  readonly least: number;
  readonly most: number;
  readonly middle: number;
  /** Power of ten of the last digit of a typed value; −Infinity for a range from the list, which limits nothing. */
  readonly place: number;
}

const MATERIAL_UNIT = parseUnit('g/cm^3');

/**
 * The accepted value chosen in a run: a material’s id or name, or a number typed, with or without its unit. Null when it is none of these.
 * @param unit of the result, which a number without one is taken to be in.
 */
export function acceptedFrom(chosen: string, unit: string): Accepted | null {
  const own = parseUnit(unit);
  const material =
    materialById(chosen.trim()) ??
    MATERIALS.find((candidate) => candidate.name.toLowerCase() === chosen.trim().toLowerCase());
  if (material) {
    if (!sameKind(own, MATERIAL_UNIT)) return null;
    const [least, most] = material.density.map((value) => converted(Rational.of(value), MATERIAL_UNIT, own)) as [
      Rational,
      Rational,
    ];
    const middle = least.plus(most).dividedBy(Rational.of(2));
    return {
      name: material.name,
      least: least.toNumber(),
      most: most.toNumber(),
      middle: middle.toNumber(),
      place: -Infinity,
    };
  }
  try {
    const { value, place, unit: written } = parseEntry(chosen, own);
    if (!(value > 0) || written === 'wrong') return null;
    return { name: 'the value you chose', least: value, most: value, middle: value, place };
  } catch (error) {
    if (error instanceof UnreadableEntryError) return null;
    throw error;
  }
}

/** How a result stands against an accepted value. */
export interface Compared {
  readonly accepted: Accepted;
  /** Percent of the accepted middle, signed or absolute by the class's rule, with the figures that the error has; null of an accepted 0. */
  readonly percentError: string | null;
  readonly good: boolean;
  readonly agrees: boolean;
}

/** A result with the place it is written to, and how far off it can be: two standard uncertainties, or a limit. */
export interface ResultToCompare {
  readonly value: number;
  readonly place: number;
  readonly furthest: number;
}

/** The percent error with as many figures as the difference has; as none is left, to the place where it would have its first. */
function writtenPercent(percent: number, error: number, place: number, accepted: number, rules: HouseRules): string {
  const magnitude = (number: number): number => new Decimal(number).abs().e;
  const figures =
    error === 0 ? 0 : magnitude(Number(writtenAtPlace(error, place, rules.rounding)) || error) - place + 1;
  const last = figures > 0 ? magnitude(percent) - figures + 1 : place + 2 - magnitude(accepted);
  return writtenAtPlace(percent, last, rules.rounding);
}

/** Compares a result with the accepted value: percent error from the middle, agreement within two uncertainties of the range. */
export function compareWith(
  { value, place, furthest }: ResultToCompare,
  accepted: Accepted,
  rules: HouseRules,
  goodPercentError = rules.goodPercentError,
): Compared {
  const error = value - accepted.middle;
  const outside = Math.max(0, accepted.least - value, value - accepted.most);
  const agrees = outside <= furthest;
  if (accepted.middle === 0) return { accepted, percentError: null, good: agrees, agrees };
  const percent = (error / Math.abs(accepted.middle)) * 100;
  const shown = rules.percentError === 'absolute' ? Math.abs(percent) : percent;
  return {
    accepted,
    percentError: writtenPercent(shown, error, Math.max(place, accepted.place), accepted.middle, rules),
    good: Math.abs(percent) <= goodPercentError,
    agrees,
  };
}
