import { Rational } from '../../numbers/rational.ts';
import { parseWrittenNumber, UnreadableNumberError } from '../../numbers/written-number.ts';
import type { Instrument } from '../../instruments/instrument.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import { unambiguousAtPlace } from '../../numbers/rounding.ts';
import { conversionFactor, converted, parseUnit } from '../../units/unit.ts';
import { readingStep } from '../expected-reading.ts';
import { SLIPS } from '../slips.ts';
import { readingParts, type ReadingPart } from './reading-parts.ts';

/** A part as somebody read it. */
export interface PartRead {
  readonly part: ReadingPart;
  readonly text: string;
  readonly value: Rational;
}

/** What the parts of a reading say. */
export interface PartsJudged {
  readonly parts: readonly PartRead[];
  /** What they add up to, in the unit of the tool. */
  readonly sum: Rational;
  /** The slip behind the reading, by the parts it was taken in; null where there is none, or none is known. */
  readonly slip: string | null;
  /** What is wrong, in words; null where the parts fit the tool and add up to the reading. */
  readonly remark: string | null;
}

const PART = /^([a-z]+\d?) +(\S+)$/i;

/** The parts written in front of a reading: `sleeve 5.5 + thimble 32 = 5.82`; none where it was read at once, or they are not the tool’s. */
export function partsIn(text: string, tool: Instrument, rules: HouseRules): PartRead[] {
  const at = text.lastIndexOf('=');
  if (at < 0) return [];
  const known = readingParts(tool, rules);
  const read = text
    .slice(0, at)
    .split('+')
    .flatMap((written): PartRead[] => {
      const [, id = '', number = ''] = PART.exec(written.trim()) ?? [];
      const part = known.find((one) => one.id === id.toLowerCase());
      if (!part) return [];
      try {
        return [{ part, text: number, value: parseWrittenNumber(number).value }];
      } catch (error) {
        if (error instanceof UnreadableNumberError) return [];
        throw error;
      }
    });
  return read.length === known.length ? read : [];
}

const of = (number: number): Rational => Rational.of(number);

function added(parts: readonly PartRead[], worthOf: (part: ReadingPart) => Rational): Rational {
  return parts.reduce((sum, { part, value }) => sum.plus(value.times(worthOf(part))), Rational.ZERO);
}

const worth = (part: ReadingPart): Rational => of(part.worth);

/** A part that the tool cannot show. */
function impossible({ part: { name, step, most, unit }, value, text }: PartRead): string | null {
  const shown = unit === '' ? '' : ` ${unit}`;
  if (value.compare(Rational.ZERO) < 0 || value.compare(of(most)) > 0)
    return `${capital(name)}: it goes from 0 to ${most}${shown}, so ${text} cannot be read there.`;
  return value.dividedBy(of(step)).isInteger()
    ? null
    : `${capital(name)}: it is read in steps of ${step}${shown}, so ${text} cannot be read there.`;
}

function capital(name: string): string {
  return name.charAt(0).toUpperCase() + name.slice(1);
}

/** Sizes that a division is taken for. */
const SIZES = [0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10];

/** Readings that slips make of the same parts, by the slip. */
function mistaken(tool: Instrument, parts: readonly PartRead[]): [slip: string, reading: Rational][] {
  const [first] = parts;
  const with_ = (id: string, size: number): Rational =>
    added(parts, (part) => (part.id === id ? of(size) : worth(part)));
  switch (tool.family) {
    case 'calipers':
      return [0.1, 0.01].map((size) => ['vernier-count-as-tenths', with_('line', size)]);
    case 'micrometers':
      return [
        ['thimble-as-tenths', with_('thimble', 0.1)],
        ['sleeve-only', first?.value ?? Rational.ZERO],
        ['thimble-only', added(parts.slice(1), worth)],
      ];
    case 'beam-balances':
      return parts.map((left) => [
        'beam-omitted',
        added(
          parts.filter((part) => part !== left),
          worth,
        ),
      ]);
    case 'rulers':
    case 'graduated-glass':
    case 'burettes':
    case 'thermometers':
    case 'hydrometers':
      return SIZES.map((size) => ['division-miscounted', with_('marks', size)]);
    case 'rings':
    case 'digital-balances':
    case 'digital-calipers':
    case 'clocks':
      return [];
  }
}

/**
 * What parts add up to, as the class writes a reading on the tool.
 * @param unit of the heading, in which the reading is written.
 */
export function partsAdded(tool: Instrument, parts: readonly PartRead[], unit: string, rules: HouseRules): string {
  const sum = converted(added(parts, worth), parseUnit(tool.unit), parseUnit(unit));
  const shift = conversionFactor(parseUnit(tool.unit), parseUnit(unit)).magnitude();
  return unambiguousAtPlace(sum, readingStep(tool, rules).place + shift);
}

/** What one of each counted part is worth: `One line of the vernier is 0.05 mm.` */
function worthInWords(parts: readonly PartRead[], unit: string): string {
  return parts
    .flatMap(({ part: { one, worth: each } }) => (one === undefined ? [] : [`${one} is ${each} ${unit}.`]))
    .join(' ');
}

/**
 * Judges a reading by the parts it was taken in.
 * @param reading in the unit of the tool, as it was written; null where nobody has added the parts up.
 */
export function judgeParts(tool: Instrument, parts: readonly PartRead[], reading: Rational | null): PartsJudged {
  const sum = added(parts, worth);
  const [wrong] = parts.flatMap((part) => impossible(part) ?? []);
  if (wrong !== undefined) return { parts, sum, slip: null, remark: wrong };
  if (reading === null || reading.equals(sum)) return { parts, sum, slip: null, remark: null };
  const found = mistaken(tool, parts).find(([, other]) => other.equals(reading))?.[0] ?? null;
  const name = SLIPS.find(({ id }) => id === found)?.name;
  const adds = `The parts add up to ${sum.toNumber()} ${tool.unit}, not to ${reading.toNumber()} ${tool.unit}.`;
  const why = worthInWords(parts, tool.unit);
  return {
    parts,
    sum,
    slip: found,
    remark: `${name === undefined ? '' : `${name}. `}${adds}${why === '' ? '' : ` ${why}`}`,
  };
}
