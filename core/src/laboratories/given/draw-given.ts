import { decimalsOf } from '../../scales/linear-scale.ts';
import { Rational } from '../../numbers/rational.ts';
import { UnreadableEntryError } from '../../reading/judging/entry.ts';
import { parseEntry } from '../../reading/judging/parse-entry.ts';
import { readingStep } from '../../reading/expected-reading.ts';
import { isEstimate, type Resolution } from '../../reading/indication/resolution.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import { seededRandom, type Random } from '../../simulation/random.ts';
import { summarise } from '../../statistics/summarise.ts';
import { conversionFactor, converted, parseUnit } from '../../units/unit.ts';
import { findingsIn } from '../checks/find.ts';
import { workOut } from '../engine/evaluate.ts';
import { placesOf, settingOf, toolAt, type Setting } from '../engine/setting.ts';
import type { CountedQuantity, Protocol, ReadQuantity } from '../protocol/protocol.ts';
import { addressKey, cellKey, membersOf, type Address, type Members } from '../run/address.ts';
import { runOfEntries, sampleRun } from '../run/run-from-rows.ts';
import type { Run } from '../run/run.ts';
import { toolFrom, toolMembers, type ToolInRun } from '../run/tool-in-run.ts';

/** An entry that is there from the beginning. */
export interface GivenEntry {
  readonly address: Address;
  readonly text: string;
  /** Why something was added to a reading. */
  readonly reason?: string | null;
}

export interface GivenOptions {
  /** A whole number from 0 to 2⁵³ − 1: each one gives other readings. */
  readonly seed: number;
  readonly rules: HouseRules;
  /** Which of the protocol’s samples they lie about, from 0. */
  readonly sample?: number;
  /** Tools of the cabinet that may have been used, as a run’s log keeps them. */
  readonly cabinet?: readonly string[];
}

/**
 * Parts of its tolerance that a tool may err by: in all of its readings alike, and at each thing that is read. Both together stay within
 * the tolerance, as a tool’s errors do that its maker has checked.
 */
const SHARED = 1 / 2;
const OWN = 1 / 4;

/** How far a hand scatters: in divisions where a digit is estimated, in steps where a line is chosen or a display settles. */
const ESTIMATED = 0.08;
const CHOSEN = 0.5;

function scatterOf({ lastDigit, division, step }: Resolution): number {
  return isEstimate(lastDigit) ? Math.max(ESTIMATED * division, step / 4) : CHOSEN * step;
}

/** So often readings are drawn anew in which something is wrong, or which somebody else has. */
const TRIES = 100;

/**
 * Draws the readings of a believable run about one of the protocol’s samples: each tool has an error within its tolerance that all of
 * its readings share, and one for each thing that is read; one of the cabinet shows its zero error; repeats scatter as in the sample,
 * and never less than the hand does. What is counted within a half-width may be one off; everything else is as in the sample. Readings
 * in which something is wrong that is right in the sample are drawn again.
 * @returns the entries in the order of the laboratory, with no quantity in them that is computed.
 * @throws RangeError naming the seed or the sample.
 */
export function drawGiven(protocol: Protocol, { seed, rules, sample = 0, cabinet = [] }: GivenOptions): GivenEntry[] {
  const base = protocol.samples[sample];
  if (!base) throw new RangeError(`sample: ${protocol.id} has no sample ${sample}.`);
  const sampled = sampleRun(protocol, base);
  const random = seededRandom(seed);
  const wrongIn = (run: Run): string[] =>
    findingsIn(workOut(protocol, run, rules)).flatMap(({ severity, kind, at }) =>
      severity === 'wrong' ? [JSON.stringify([kind, at])] : [],
    );
  const known = new Set(wrongIn(sampled));
  let entries: GivenEntry[] = [];
  for (let tried = 0; tried < TRIES; tried += 1) {
    entries = new GivenRun(protocol, sampled.events, rules, random, cabinet).entries();
    if (wrongIn(runOfEntries(entries)).every((wrong) => known.has(wrong))) break;
  }
  return entries;
}

/**
 * Draws readings for several students, no two of whom have the same ones.
 * @throws RangeError naming the seed, the sample, or the count where there are not so many different ones.
 */
export function drawDifferent(protocol: Protocol, count: number, options: GivenOptions): GivenEntry[][] {
  const found = new Map<string, GivenEntry[]>();
  const seeds = seededRandom(options.seed);
  for (let tried = 0; found.size < count && tried < count + TRIES; tried += 1) {
    const entries = drawGiven(protocol, { ...options, seed: seeds.below(Number.MAX_SAFE_INTEGER) });
    found.set(JSON.stringify(entries), entries);
  }
  if (found.size < count) throw new RangeError(`count: ${protocol.id} has no ${count} different runs.`);
  return [...found.values()];
}

/** The quantity on whose tool another one is read. */
function toolsOwner({ layout }: Setting, quantity: ReadQuantity): ReadQuantity {
  if (!('sameAs' in quantity.tools)) return quantity;
  const other = layout.quantities.get(quantity.tools.sameAs);
  return other?.kind === 'read' && other !== quantity ? toolsOwner({ layout } as Setting, other) : quantity;
}

/** A reading of the sample that is drawn anew. */
interface Drawn {
  readonly quantity: ReadQuantity;
  readonly members: Members;
  /** The same for all repeats of one thing. */
  readonly identity: string;
  readonly tool: ToolInRun;
  readonly resolution: Resolution;
  /** In the tool’s unit. */
  readonly value: number;
  readonly decimals: number;
}

class GivenRun {
  private readonly setting: Setting;
  /** The tool of the cabinet that is used for each kind of tool. */
  private readonly chosen = new Map<string, string>();
  private readonly errors = new Map<string, number>();

  constructor(
    protocol: Protocol,
    private readonly sampled: readonly GivenEntry[],
    private readonly rules: HouseRules,
    private readonly random: Random,
    cabinet: readonly string[],
  ) {
    this.setting = settingOf(protocol, runOfEntries(sampled), rules);
    const byKind = new Map<string, [string, ...string[]]>();
    for (const text of cabinet) {
      const id = toolFrom(text)?.instrument.id;
      if (id !== undefined && !this.zeroIsRead(id)) byKind.set(id, [...(byKind.get(id) ?? []), text] as [string]);
    }
    for (const [id, texts] of byKind) this.chosen.set(id, random.pick(texts));
  }

  entries(): GivenEntry[] {
    const readings = this.readings();
    const repeats = new Map<string, number[]>();
    for (const { identity, value } of readings) repeats.set(identity, [...(repeats.get(identity) ?? []), value]);
    const texts = new Map<string, string>();
    const tools = new Map<string, GivenEntry>();
    for (const drawn of readings) {
      const { quantity, members, identity } = drawn;
      texts.set(cellKey(quantity.id, members), this.written(drawn, repeats.get(identity) ?? [drawn.value]));
      const text = this.chosen.get(drawn.tool.instrument.id);
      if (text === undefined || drawn.tool.code === null) continue;
      const owner = toolsOwner(this.setting, quantity);
      const address: Address = { kind: 'tool', quantity: owner.id, members: toolMembers(owner.tools, members) };
      tools.set(addressKey(address), { address, text });
    }
    const kept = this.sampled.map((entry): GivenEntry => {
      if (entry.address.kind !== 'cell') return entry;
      const { quantity: id, members } = entry.address;
      const quantity = this.setting.layout.quantities.get(id);
      if (quantity?.kind === 'counted') return { ...entry, text: this.counted(quantity, entry.text) };
      return { ...entry, text: texts.get(cellKey(id, members)) ?? entry.text };
    });
    return [...tools.values(), ...kept];
  }

  /** The readings of the sample in the order of the laboratory, but for those on what has one known volume. */
  private readings(): Drawn[] {
    return [...this.setting.layout.quantities.values()].flatMap((quantity): Drawn[] =>
      quantity.kind === 'read'
        ? placesOf(this.setting, quantity.over, quantity.only).flatMap((members) => this.readingAt(quantity, members))
        : [],
    );
  }

  private readingAt(quantity: ReadQuantity, members: Members): Drawn[] {
    const usual = toolAt(this.setting, quantity, members);
    const tool = this.individual(quantity, usual) ?? usual;
    const text = this.setting.slots.get(addressKey({ kind: 'cell', quantity: quantity.id, members }))?.current.text;
    if (!tool || text === undefined) return [];
    const resolution = readingStep(tool.instrument, this.rules);
    if (resolution.lastDigit === 'known' || resolution.onClock) return [];
    const number = numberIn(text, quantity.unit);
    if (!number) return [];
    const [own, shown] = [parseUnit(tool.instrument.unit), parseUnit(quantity.unit)];
    return [
      {
        quantity,
        members,
        identity: this.identityOf(quantity, members),
        tool,
        resolution,
        value: converted(number.value, shown, own).toNumber(),
        decimals: Math.max(0, -number.place),
      },
    ];
  }

  /** The tool of the cabinet that something is read on; null where the laboratory itself says which tool it is, or there is none. */
  private individual(quantity: ReadQuantity, usual: ToolInRun | null): ToolInRun | null {
    if (!usual || 'member' in toolsOwner(this.setting, quantity).tools) return null;
    return toolFrom(this.chosen.get(usual.instrument.id) ?? '');
  }

  /** Whether the zero of a kind of tool is read in the laboratory itself. */
  private zeroIsRead(instrumentId: string): boolean {
    const { quantities } = this.setting.layout;
    return [...quantities.values()].some(
      (quantity) =>
        quantity.kind === 'read' &&
        quantity.zeroOf !== undefined &&
        placesOf(this.setting, quantity.over, quantity.only).some(
          (members) => toolAt(this.setting, quantity, members)?.instrument.id === instrumentId,
        ),
    );
  }

  private identityOf({ id, over }: ReadQuantity, members: Members): string {
    const { dimensions } = this.setting.layout;
    return cellKey(
      id,
      membersOf(
        members,
        over.filter((dimension) => dimensions.get(dimension)?.kind !== 'repeat'),
      ),
    );
  }

  /** An error between −half and +half that is drawn once for each name. */
  private errorOf(name: string, half: number): number {
    const known = this.errors.get(name) ?? (2 * this.random.uniform() - 1) * half;
    this.errors.set(name, known);
    return known;
  }

  private written(
    { quantity, identity, tool, resolution, value, decimals }: Drawn,
    repeats: readonly number[],
  ): string {
    const name = tool.code ?? tool.instrument.id;
    const scatter = scatterOf(resolution);
    const { mean, sampleStandardDeviation } = summarise(repeats);
    const spread = sampleStandardDeviation ?? 0;
    // What the hand adds is taken off what the sample’s repeats scatter, so that both together scatter like the sample.
    const kept = spread > scatter ? Math.sqrt(1 - (scatter / spread) ** 2) : 0;
    const centre = mean + kept * (value - mean);
    const isZero = quantity.zeroOf !== undefined;
    const shown =
      centre +
      (isZero
        ? 0
        : this.errorOf(`tool ${name}`, SHARED * tool.tolerance) + this.errorOf(identity, OWN * tool.tolerance)) +
      scatter * this.random.normal() +
      (tool.zeroError ?? 0);
    const [least, most] = tool.instrument.range;
    const within = isZero ? shown : Math.min(most, Math.max(Math.min(least, value), shown));
    const stepped = Math.round(within / resolution.step) * resolution.step;
    return inColumn(stepped, tool, quantity.unit, resolution, decimals);
  }

  private counted({ halfWidth }: CountedQuantity, text: string): string {
    const number = halfWidth > 0 ? numberIn(text, '1') : null;
    if (!number) return text;
    const off = this.random.below(2 * halfWidth + 1) - halfWidth;
    return String(Math.max(1, number.value.toNumber() + off));
  }
}

/** The number of an entry in the unit of its heading; null where it is none. */
function numberIn(text: string, unit: string): { readonly value: Rational; readonly place: number } | null {
  try {
    const { number } = parseEntry(text.trim(), parseUnit(unit));
    return { value: Rational.of(number.value), place: number.place };
  } catch (error) {
    if (error instanceof UnreadableEntryError) return null;
    throw error;
  }
}

/** What a tool shows, as it is written under a heading: with the decimals of the tool where only the point moves, else the sample’s. */
function inColumn(
  shown: number,
  { instrument }: ToolInRun,
  unit: string,
  { place, step }: Resolution,
  decimals: number,
): string {
  const [own, heading] = [parseUnit(instrument.unit), parseUnit(unit)];
  const factor = conversionFactor(own, heading);
  const shift = factor.magnitude();
  const written = Math.max(0, factor.equals(Rational.ONE.shifted(shift)) ? -(place + shift) : decimals);
  const exact = shown.toFixed(Math.max(decimalsOf(step), -place, 0));
  return converted(Rational.of(exact), own, heading).toFixed(written);
}
