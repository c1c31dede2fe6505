import type { Measured } from '../../calculations/measured.ts';
import { writtenQuantity } from '../../calculations/working.ts';
import { parseUnit, UnitMismatchError, writtenUnit } from '../../units/unit.ts';
import { ExpressionError } from '../../calculations/expression/expression.ts';
import type { Diagnosis } from '../../reading/judging/diagnose.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import { rightOf } from '../../worked-answers/candidates.ts';
import { diagnoseNumber } from '../../worked-answers/diagnose-number.ts';
import type { CalculationTask } from '../../worked-answers/number-task.ts';
import { missedBy } from '../../worked-answers/missed-by.ts';
import { numberSlipById } from '../../worked-answers/slips/registry.ts';
import { numberOf, type Cell } from '../engine/cell.ts';
import { cellInWords } from '../engine/label.ts';
import type { WorkedNumbers } from '../engine/evaluate.ts';
import { Numbers } from '../engine/numbers.ts';
import { resultIn } from '../run/result-in.ts';
import { isExcluded, placesOf } from '../engine/setting.ts';
import type { ComputedQuantity, Protocol, Quantity } from '../protocol/protocol.ts';
import { addressKey, cellKey, type Address, type Members } from '../run/address.ts';
import type { SlotState } from '../run/run.ts';
import { FormulaAt, NotThereError, type Named } from './formula-at.ts';

/** A number that a calculation starts from, as it stands in the tables. */
export interface Ingredient extends Named {
  readonly name: string;
  /** As it is calculated with. */
  readonly text: string;
  /** As it was read, where the tool’s error at zero has been taken off since; null where it is the same. */
  readonly read: string | null;
  readonly unit: string;
  /** A slip has left it out. */
  readonly missed: boolean;
}

/** A slip in words. */
export interface SlipTold {
  readonly id: string;
  readonly name: string;
  readonly why: string;
  readonly lookAt: string;
}

/** What is to be said of a cell that is left to a student. */
export interface OwnCell {
  readonly state:
    /** What it needs is not there yet. */
    | 'waiting'
    /** Nothing is written, and everything it needs is there. */
    | 'turn'
    | Diagnosis['verdict'];
  /** It can be worked out, but a reading or a result that belongs into it is still to come. */
  readonly isEarly: boolean;
  /** How often something was written. */
  readonly tries: number;
  /** How it is worked out may be seen: it is right, was tried twice, or somebody asked. */
  readonly mayBeShown: boolean;
  /** Written after its working could be seen. */
  readonly afterHelp: boolean;
  readonly slips: readonly SlipTold[];
  readonly alsoPossible: readonly string[];
  /** Why it cannot be read, or what follows from it. */
  readonly message: string | null;
  readonly ingredients: readonly Ingredient[];
  /** What is right from the student’s own numbers as they are shown; null while it waits. */
  readonly right: { readonly text: string; readonly unit: string } | null;
}

/** So many tries, and the working appears. */
const TRIES = 2;
/** Other explanations are mentioned from this probability on. */
const WORTH_MENTIONING = 0.15;

const RANK: readonly Diagnosis['verdict'][] = ['sound', 'record', 'slip', 'unexplained', 'unreadable'];

/** So many diagnoses are kept of a laboratory. */
const MOST_FOUND = 2000;
const FOUND = new WeakMap<Protocol, Map<string, Diagnosis>>();

type World = 'carried' | 'shown';

interface Task {
  readonly task: CalculationTask;
  readonly named: ReadonlyMap<string, Named>;
}

interface Judged {
  readonly diagnosis: Diagnosis;
  readonly task: CalculationTask;
}

/**
 * What a student has worked out, judged against the student’s own readings and earlier results by the slips of exercises. Who goes on with
 * numbers as they are shown is as right as who carries all digits.
 */
export class OwnWork {
  private readonly cells = new Map<string, OwnCell | null>();
  private readonly tasks = new Map<string, readonly Task[] | null>();
  private allDigits: Numbers | null = null;
  private everyRepeat: Numbers | null = null;

  private readonly numbers: Numbers;
  /** The class’s rules and the options chosen: the same numbers are another calculation by others. */
  private readonly workedBy: string;

  /** @param run worked out with somebody’s own calculations. */
  constructor({ numbers }: Pick<WorkedNumbers, 'numbers'>) {
    this.numbers = numbers;
    const { rules, layout } = numbers.setting;
    this.workedBy = JSON.stringify([rules, layout.chosen]);
  }

  private get rules(): HouseRules {
    return this.numbers.setting.rules;
  }

  /** Null where the quantity is not left to the student whose work is looked at. */
  at(id: string, members: Members): OwnCell | null {
    const key = cellKey(id, members);
    const before = this.cells.get(key);
    if (before !== undefined) return before;
    const found = this.found(id, members);
    this.cells.set(key, found);
    return found;
  }

  private found(id: string, members: Members): OwnCell | null {
    const { own, layout } = this.numbers.setting;
    const quantity = layout.quantities.get(id);
    if (!own?.quantities.includes(id) || quantity?.kind !== 'computed') return null;
    const cell = this.numbers.cellAt(id, members);
    const slot = this.slotOf(id, members);
    const tasks = this.tasksFor(quantity, members);
    const tries = slot ? entriesIn(slot).length : 0;
    const judged = cell && tasks ? this.judged(cell, tasks) : null;
    const shownAt = this.shownAt(id, members);
    const verdict = judged?.diagnosis.verdict;
    const tried = verdict !== undefined && verdict !== 'sound' && tries >= TRIES;
    return {
      state: verdict ?? (tasks && (!cell || cell.kind === 'empty') ? 'turn' : 'waiting'),
      isEarly: tasks !== null && this.isEarly(quantity, members),
      tries,
      mayBeShown: tasks !== null && (verdict === 'sound' || tried || shownAt !== null),
      afterHelp: slot !== undefined && this.isAfterHelp(slot, shownAt),
      ...this.said(quantity, cell, judged),
      ingredients: tasks?.[0] ? this.ingredients(tasks[0], judged) : [],
      right: asWritten(tasks?.at(-1)),
    };
  }

  private slotOf(quantity: string, members: Members): SlotState | undefined {
    const { own, slots } = this.numbers.setting;
    return own ? slots.get(addressKey({ kind: 'cell', quantity, members, author: own.author })) : undefined;
  }

  /** Where in the log somebody asked to be shown; null where nobody did. */
  private shownAt(quantity: string, members: Members): number | null {
    const { own, slots } = this.numbers.setting;
    if (!own) return null;
    const slot = slots.get(addressKey({ kind: 'shown', quantity, members, author: own.author }));
    return slot ? (slot.current.order ?? Infinity) : null;
  }

  private isAfterHelp(slot: SlotState, shownAt: number | null): boolean {
    return entriesIn(slot).length > TRIES || (shownAt !== null && (slot.current.order ?? Infinity) > shownAt);
  }

  private said(
    quantity: ComputedQuantity,
    cell: Cell | undefined,
    judged: Judged | null,
  ): Pick<OwnCell, 'slips' | 'alsoPossible' | 'message'> {
    const [first, ...others] = judged?.diagnosis.slips ?? [];
    return {
      slips: judged && first ? first.ids.flatMap((id) => toldOf(id, judged.task)) : [],
      alsoPossible: others
        .filter(({ probability }) => probability > WORTH_MENTIONING)
        .map(({ ids }) => ids.map((id) => numberSlipById(id)?.name ?? id).join(' and ')),
      message:
        cell?.kind === 'unusable'
          ? cell.reason
          : cell?.kind === 'own' && cell.wrongKind
            ? `${quantity.name} is not measured in this unit. What follows goes on with the number by the book.`
            : (judged?.diagnosis.message ?? null),
    };
  }

  private ingredients({ task, named }: Task, judged: Judged | null): Ingredient[] {
    const [finding] = judged?.diagnosis.slips ?? [];
    const missed = finding && judged ? missedBy(judged.task, finding.ids) : new Set<string>();
    return [...named].flatMap(([key, { quantity: id, members }]): Ingredient[] => {
      const quantity = this.numbers.setting.layout.quantities.get(id);
      const cell = this.numbers.cellAt(id, members);
      const known = task.known.get(key);
      if (!quantity || quantity.kind === 'observed' || !known || !cell || !('text' in cell)) return [];
      return [
        {
          quantity: id,
          members,
          name: cellInWords(this.numbers.setting, id, members),
          text: cell.kind === 'own' ? cell.text : writtenQuantity(known, this.rules),
          read: known.uncorrected ? cell.text : null,
          unit: quantity.unit,
          missed: missed.has(key),
        },
      ];
    });
  }

  /** The best that can be said of an entry, whether digits were carried or not. */
  private judged(cell: Cell, tasks: readonly Task[]): Judged | null {
    if (cell.kind !== 'own' && cell.kind !== 'unusable') return null;
    const typed = resultIn(cell.event.text);
    const all = tasks.map(({ task }): Judged => ({ diagnosis: this.diagnosis(cell.event.address, task, typed), task }));
    const rank = ({ diagnosis: { verdict } }: Judged): number => RANK.indexOf(verdict);
    const [best] = [...all].sort((a, b) => rank(a) - rank(b));
    return best ?? null;
  }

  /** Most cells stay as they are when another one is written: what was found of them holds. */
  private diagnosis(address: Address, task: CalculationTask, typed: string): Diagnosis {
    const { protocol } = this.numbers.setting.layout;
    const found = FOUND.get(protocol) ?? new Map<string, Diagnosis>();
    FOUND.set(protocol, found);
    const known = [...task.known].map(([name, { value, place }]) => [name, ...value.parts(), place]);
    const more = [...task.otherwise].map(([slip, { length }]) => [slip, length]);
    const key = JSON.stringify([address, typed, writtenUnit(task.to ?? {}), known, more, this.workedBy]);
    const before = found.get(key);
    if (before) return before;
    if (found.size >= MOST_FOUND) found.clear();
    const diagnosis = diagnoseNumber(task, typed);
    found.set(key, diagnosis);
    return diagnosis;
  }

  /** The calculation a cell asks for, from numbers with all their digits and from those that are shown; null while one is missing. */
  private tasksFor(quantity: ComputedQuantity, members: Members): readonly Task[] | null {
    const key = cellKey(quantity.id, members);
    const before = this.tasks.get(key);
    if (before !== undefined) return before;
    const made = this.isWaiting(quantity, members) ? null : this.made(quantity, members);
    this.tasks.set(key, made);
    return made;
  }

  private made(quantity: ComputedQuantity, members: Members): readonly Task[] | null {
    try {
      const worlds = (['carried', 'shown'] as const).map((world) => this.task(quantity, members, world));
      const [carried, shown] = worlds;
      if (!carried || !shown) return null;
      worlds.forEach(({ task }) => rightOf(task));
      return isSameKnown(carried.task, shown.task) ? [carried] : [carried, shown];
    } catch (error) {
      if (error instanceof NotThereError || error instanceof ExpressionError || error instanceof UnitMismatchError)
        return null;
      throw error;
    }
  }

  private task(quantity: ComputedQuantity, members: Members, world: World): Task {
    const at =
      world === 'shown'
        ? new FormulaAt(this.numbers, (number) => this.asShown(number))
        : new FormulaAt(this.carriedNumbers(), (number) => number);
    const formula = at.formula(quantity.id, members);
    this.addExcluded(quantity, members, at);
    return {
      task: {
        kind: 'calculation',
        about: 'result',
        formula,
        known: at.known,
        to: parseUnit(quantity.unit),
        otherwise: at.otherwise,
        // A laboratory converts by exact factors.
        rules: { ...this.rules, quotedFactors: [] },
      },
      named: at.named,
    };
  }

  /** What comes out where a repeat that does not count is counted. */
  private addExcluded({ id }: ComputedQuantity, members: Members, at: FormulaAt): void {
    if (this.numbers.setting.exclusions.length === 0) return;
    const all = new FormulaAt(this.withExcluded(), (number) => number);
    const formula = all.formula(id, members);
    if ([...all.known.keys()].some((name) => !at.known.has(name)))
      at.otherwise.set('excluded-counted', [{ formula, known: all.known }]);
  }

  /** The same run with every repeat counted. */
  private withExcluded(): Numbers {
    if (!this.everyRepeat) {
      this.everyRepeat = new Numbers({ ...this.numbers.setting, exclusions: [] }, () => null);
      this.everyRepeat.workOut();
    }
    return this.everyRepeat;
  }

  private asShown({ value, place }: Measured): Measured {
    return { value: place === -Infinity ? value : value.roundedTo(place, this.rules.rounding), place };
  }

  /** The same run for who carries all digits: after a right result it goes on with those that were not written. */
  private carriedNumbers(): Numbers {
    if (!this.allDigits) {
      this.allDigits = new Numbers(
        this.numbers.setting,
        () => null,
        (quantity, members, cell, number) => this.carriedFrom(quantity, members, cell, number),
      );
      this.allDigits.workOut();
    }
    return this.allDigits;
  }

  private carriedFrom(quantity: ComputedQuantity, members: Members, cell: Cell, number: Measured): Measured {
    if (cell.kind !== 'own' || cell.wrongKind) return number;
    const tasks = this.tasksFor(quantity, members);
    const verdict = tasks && this.judged(cell, tasks)?.diagnosis.verdict;
    const [task] = tasks ?? [];
    if (!task || (verdict !== 'sound' && verdict !== 'record')) return number;
    const { value, place } = rightOf(task.task);
    return { value, place };
  }

  /** The cells that a formula uses at a place, with nothing in them yet; excluded ones left out. */
  private missing({ id, over }: ComputedQuantity, members: Members): { quantity: Quantity; place: Members }[] {
    const { setting } = this.numbers;
    return (setting.layout.formulas.get(id)?.uses ?? []).flatMap((use) => {
      const quantity = setting.layout.quantities.get(use);
      if (!quantity) return [];
      return placesOf(setting, quantity.over, quantity.only)
        .filter(
          (place) =>
            over.every((dimension) => !(dimension in place) || place[dimension] === members[dimension]) &&
            !isExcluded(setting, place) &&
            !numberOf(this.numbers.cellAt(use, place)),
        )
        .map((place) => ({ quantity, place }));
    });
  }

  /** Whether somebody’s own number is still to be written that this one needs. */
  private isWaiting(quantity: ComputedQuantity, members: Members): boolean {
    const { own } = this.numbers.setting;
    return this.missing(quantity, members).some(
      ({ quantity: used, place }) =>
        used.kind === 'computed' && own?.quantities.includes(used.id) === true && this.tasksFor(used, place) !== null,
    );
  }

  private isEarly(quantity: ComputedQuantity, members: Members): boolean {
    return this.missing(quantity, members).some(({ quantity: used }) => !used.optional);
  }
}

/** What was written at a place, empty entries left out, in order. */
function entriesIn({ struck, current }: SlotState): SlotState['struck'] {
  return [...struck, current].filter(({ text }) => text.trim() !== '');
}

function toldOf(id: string, task: CalculationTask): SlipTold[] {
  const slip = numberSlipById(id);
  return slip ? [{ id, name: slip.name, why: slip.why(task), lookAt: slip.lookAt(task) }] : [];
}

/** From the numbers as they are shown: so it agrees with the working beside it. */
function asWritten(task: Task | undefined): OwnCell['right'] {
  if (!task) return null;
  const { text, unitText } = rightOf(task.task);
  return { text, unit: unitText };
}

function isSameKnown(a: CalculationTask, b: CalculationTask): boolean {
  return [...a.known].every(([name, { value }]) => b.known.get(name)?.value.equals(value) === true);
}
