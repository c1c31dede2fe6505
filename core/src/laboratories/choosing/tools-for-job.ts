import type { HouseRules } from '../../rules/house-rules.ts';
import { allowedKinds, chosenFor, reaches } from '../engine/better-tool.ts';
import { numberOf } from '../engine/cell.ts';
import { workOut, type WorkedRun } from '../engine/evaluate.ts';
import { membersInWords } from '../engine/label.ts';
import type { ResultFound } from '../engine/results.ts';
import { placesOf, toolAt } from '../engine/setting.ts';
import type { Protocol, ReadQuantity } from '../protocol/protocol.ts';
import { addressKey, type Address, type Members } from '../run/address.ts';
import type { RunEvent } from '../run/run.ts';
import { Rational } from '../../numbers/rational.ts';
import { converted, parseUnit, temperatureScale } from '../../units/unit.ts';
import { sampleRun } from '../run/run-from-rows.ts';
import { toolMembers, type ToolInRun } from '../run/tool-in-run.ts';
import { secondsFor } from './handling-time.ts';

/** What is to be found out, and with which tools it may be. */
export interface Job {
  readonly protocol: Protocol;
  /** Which of the protocol’s samples says how large everything is, from 0. */
  readonly sample: number;
  /** Which result, by its place in the list; the first where it is left out. */
  readonly result?: number;
  /** Tools that are there and fit for use. */
  readonly cabinet: readonly ToolInRun[];
  readonly rules: HouseRules;
}

/** A tool for one thing that is read. */
export interface ToolChosen {
  /** `Mass`, `Diameter, fine`. */
  readonly what: string;
  readonly tool: ToolInRun;
  /** How many of the kind there are; 0 where none is in the cabinet. */
  readonly available: number;
}

/** Tools for everything that decides how well a result is known, and what comes of them. */
export interface ToolPlan {
  readonly chosen: readonly ToolChosen[];
  /** What is quoted after ± by the class’s method, in the unit of the result. */
  readonly uncertainty: number;
  /** About how long all readings on these tools take, in s. */
  readonly seconds: number;
}

/** How large something must be for the best tools to do. */
export interface NeededSize {
  readonly name: string;
  readonly unit: string;
  readonly now: number;
  readonly atLeast: number;
  /** The tool that is then too small for the reading; null where it is not. */
  readonly tooSmall: ToolInRun | null;
}

interface Place {
  readonly owner: ReadQuantity;
  readonly members: Members;
  readonly address: Address;
  readonly what: string;
  readonly present: ToolInRun;
  readonly share: number;
  readonly cells: number;
}

/** At most so many plans are worked out; places that decide least keep their tool beyond that. */
const MOST_PLANS = 160;

const sizeOf = ({ methods, method }: ResultFound): number | null =>
  methods.find((one) => one.method === method)?.size ?? null;

/** How many readings are taken on the tool of a place. */
function cellsOn({ setting }: WorkedRun, owner: ReadQuantity, members: Members): number {
  let cells = 0;
  for (const read of setting.layout.quantities.values()) {
    if (read.kind !== 'read' || chosenFor(setting, read) !== owner) continue;
    const here = placesOf(setting, read.over, read.only);
    cells += here.filter((at) => Object.entries(members).every(([dimension, id]) => at[dimension] === id)).length;
  }
  return cells;
}

/** What is read for a result, with its share of the variance, the largest first. */
function placesIn(run: WorkedRun, result: ResultFound): Place[] {
  const { setting } = run;
  const budget = result.methods.find(({ method }) => method === result.method)?.budget ?? [];
  const found = new Map<string, Place>();
  for (const { label, share } of budget) {
    const read = label.quantity === null ? undefined : setting.layout.quantities.get(label.quantity);
    if (label.kind !== 'reading' || read?.kind !== 'read') continue;
    const owner = chosenFor(setting, read);
    const present = toolAt(setting, read, label.members);
    if (!present || allowedKinds(owner, label.members).length === 0) continue;
    const members = toolMembers(owner.tools, label.members);
    const address: Address = { kind: 'tool', quantity: owner.id, members };
    const known = found.get(addressKey(address));
    const where = membersInWords(setting, members);
    found.set(addressKey(address), {
      owner,
      members,
      address,
      what: where === '' ? owner.name : `${owner.name}, ${where}`,
      present,
      share: (known?.share ?? 0) + share,
      cells: cellsOn(run, owner, members),
    });
  }
  return [...found.values()].sort((a, b) => b.share - a.share);
}

/** Tools of the cabinet that can be taken at a place, one of each kind; the present one where none of it is there. */
function optionsAt(run: WorkedRun, { owner, members, present }: Place, cabinet: readonly ToolInRun[]): ToolInRun[] {
  const kinds = allowedKinds(owner, members);
  const ofKind = new Map<string, ToolInRun>();
  for (const tool of cabinet)
    if (
      kinds.includes(tool.instrument.id) &&
      !ofKind.has(tool.instrument.id) &&
      reaches(run.numbers, owner, present, tool)
    )
      ofKind.set(tool.instrument.id, tool);
  return ofKind.size > 0 ? [...ofKind.values()] : [present];
}

/** Every way to take one of each; the first lists vary slowest. */
function* waysOf<T>(lists: readonly (readonly T[])[]): Generator<T[]> {
  const [first, ...rest] = lists;
  if (!first) {
    yield [];
    return;
  }
  for (const one of first) for (const others of waysOf(rest)) yield [one, ...others];
}

/** As a log names it; what it shows at zero is taken off, and changes nothing of the uncertainty. */
function inLog({ instrument, code, tolerance }: ToolInRun): string {
  return code === null ? instrument.id : `${instrument.id}; ${code}; ; ${tolerance}`;
}

function withTools(events: readonly RunEvent[], places: readonly Place[], tools: readonly ToolInRun[]): RunEvent[] {
  const keys = new Set(places.map(({ address }) => addressKey(address)));
  const kept = events.filter(({ address }) => !keys.has(addressKey(address)));
  const [first] = events;
  const added = places.flatMap(({ address }, i): RunEvent[] => {
    const tool = tools[i];
    return first && tool
      ? [{ ...first, id: `tool ${i}`, address, text: inLog(tool), replaces: null, reason: null }]
      : [];
  });
  return [...added, ...kept].map((event, order) => ({ ...event, order }));
}

/** The work of choosing: how many plans there are, and each as it is worked out. */
export interface ToolSearch {
  readonly count: number;
  plans(): Generator<ToolPlan>;
}

/**
 * Tools for a result of a laboratory: each way to take tools of the cabinet is worked out on the protocol’s sample, with everything that
 * follows from the tools (reading, tolerance, what cancels).
 * @returns null where the sample has no such result, or nothing of it is uncertain by reading.
 * @throws RangeError for the sample.
 */
export function toolsForJob({ protocol, sample, result: wanted = 0, cabinet, rules }: Job): ToolSearch | null {
  const example = protocol.samples[sample];
  if (!example) throw new RangeError(`sample: ${protocol.id} has no sample ${sample}.`);
  const { events } = sampleRun(protocol, example);
  const run = workOut(protocol, { events }, rules);
  const result = run.results[wanted];
  if (!result || sizeOf(result) === null) return null;
  const places = placesIn(run, result);
  if (places.length === 0) return null;
  let count = 1;
  const options = places.map((place) => {
    const all = optionsAt(run, place, cabinet);
    if (count * all.length > MOST_PLANS)
      return [all.find(({ instrument }) => instrument === place.present.instrument) ?? place.present];
    count *= all.length;
    return all;
  });
  const available = ({ instrument }: ToolInRun): number =>
    cabinet.filter((tool) => tool.instrument.id === instrument.id).length;
  return {
    count,
    *plans() {
      for (const tools of waysOf(options)) {
        const found = workOut(protocol, { events: withTools(events, places, tools) }, rules).results[wanted];
        const uncertainty = found ? sizeOf(found) : null;
        if (uncertainty === null) continue;
        yield {
          chosen: places.map(({ what }, i) => {
            const tool = tools[i] as ToolInRun;
            return { what, tool, available: available(tool) };
          }),
          uncertainty,
          seconds: places.reduce(
            (sum, { cells }, i) => sum + cells * secondsFor((tools[i] as ToolInRun).instrument.family),
            0,
          ),
        };
      }
    },
  };
}

/** Plans in the order in which they are worth taking: those that do first, the quickest of them on top; then the better known. */
export function rankedPlans(plans: readonly ToolPlan[], wanted: number): ToolPlan[] {
  const does = ({ uncertainty }: ToolPlan): boolean => uncertainty <= wanted * (1 + 1e-9);
  return [...plans].sort((a, b) =>
    does(a) !== does(b)
      ? Number(does(b)) - Number(does(a))
      : does(a)
        ? a.seconds - b.seconds || a.uncertainty - b.uncertainty
        : a.uncertainty - b.uncertainty || a.seconds - b.seconds,
  );
}

/** The quantity that a reading makes, on the way to a result: `volume` of `after`; itself where it enters the result directly. */
function madeOf({ setting }: WorkedRun, reading: string, result: string): string {
  for (const formula of setting.layout.formulas.values())
    if (formula.id !== result && formula.uses.includes(reading)) {
      const quantity = setting.layout.quantities.get(formula.id);
      if (quantity?.kind === 'computed') return formula.id;
    }
  return reading;
}

/** The tool of a plan on which a reading goes beyond the last mark when so much more is read than now, in the unit of the reading. */
function tooSmallFor(run: WorkedRun, reading: string, more: number, plan: ToolPlan): ToolInRun | null {
  const { setting } = run;
  const read = setting.layout.quantities.get(reading);
  if (read?.kind !== 'read') return null;
  const owner = chosenFor(setting, read);
  const chosen = plan.chosen.find(({ what }) => what === owner.name || what.startsWith(`${owner.name}, `));
  if (!chosen) return null;
  const largest = Math.max(
    ...placesOf(setting, read.over, read.only).flatMap(
      (at) => numberOf(run.cellAt(reading, at))?.value.toNumber() ?? [],
    ),
  );
  const { instrument } = chosen.tool;
  const then = converted(Rational.of(largest + more), parseUnit(read.unit), parseUnit(instrument.unit));
  return then.toNumber() > instrument.range[1] ? chosen.tool : null;
}

/**
 * How large what decides must be for a relative uncertainty, where tools alone will not do: what a reading is known to stays the same, so that
 * twice as large is known twice as well, relative to itself. Of an absolute uncertainty that would not be true. Rounded up to two figures.
 * @param best the plan whose uncertainty is smallest.
 * @param wanted in the unit of the result.
 * @returns null where nothing of the sample decides.
 */
export function neededSize(
  { protocol, sample, result: wantedResult = 0, rules }: Job,
  best: ToolPlan,
  wanted: number,
): NeededSize | null {
  const { events } = sampleRun(protocol, protocol.samples[sample]);
  const run = workOut(protocol, { events }, rules);
  const result = run.results[wantedResult];
  const [first] = result ? placesIn(run, result) : [];
  if (!result || !first || !(wanted > 0)) return null;
  const reading = result.methods
    .find(({ method }) => method === result.method)
    ?.budget.find(({ label }) => label.kind === 'reading')?.label.quantity;
  const id = reading ? madeOf(run, reading, result.quantity) : null;
  const quantity = id === null ? undefined : run.setting.layout.quantities.get(id);
  // A temperature is not larger by having more of it.
  if (!quantity || !('unit' in quantity) || temperatureScale(parseUnit(quantity.unit)) !== null) return null;
  const values = placesOf(run.setting, quantity.over, quantity.only).flatMap(
    (at) => numberOf(run.cellAt(quantity.id, at))?.value.toNumber() ?? [],
  );
  const now = Math.min(...values.map(Math.abs));
  if (!Number.isFinite(now) || now === 0) return null;
  const needed = now * (best.uncertainty / wanted);
  const place = 10 ** (Math.floor(Math.log10(needed)) - 1);
  const atLeast = Math.ceil(needed / place - 1e-9) * place;
  const tooSmall = reading ? tooSmallFor(run, reading, atLeast - now, best) : null;
  return { name: quantity.name, unit: quantity.unit, now, atLeast, tooSmall };
}
