import { describe, expect, it } from 'vitest';
import { completeRules } from '../../rules/house-rules.ts';
import { workOut } from '../engine/evaluate.ts';
import { placesOf } from '../engine/setting.ts';
import { OwnWork } from '../own/own-work.ts';
import type { Address, Members } from '../run/address.ts';
import { runOfEntries, sampleRun } from '../run/run-from-rows.ts';
import { SHIPPED } from '../shipped/shipped.ts';
import { SOLID_BY_DISPLACEMENT } from '../shipped/solid-by-displacement.ts';
import type { Protocol } from '../protocol/protocol.ts';
import { proposal, type Proposal } from './propose.ts';

const RULES = completeRules();
type Entry = { readonly address: Address; readonly text: string };

/** A student who calculates every cell that is left to them, and may write something else in one of them. */
class Student {
  readonly entries: Entry[];

  constructor(
    private readonly protocol: Protocol,
    private readonly quantities: readonly string[],
    entries: readonly Entry[] = sampleRun(protocol).events,
  ) {
    this.entries = [...entries];
  }

  private get run(): ReturnType<typeof workOut> {
    return workOut(this.protocol, runOfEntries(this.entries), RULES, { author: 'ada', quantities: this.quantities });
  }

  write(address: Address, text: string): this {
    this.entries.push({ address, text });
    return this;
  }

  calculate(instead: (quantity: string, members: Members) => string | null = () => null): this {
    const { setting } = this.run;
    for (const { id, over, only } of setting.layout.quantities.values())
      for (const members of placesOf(setting, over, only)) {
        const right = this.quantities.includes(id) ? new OwnWork(this.run).at(id, members)?.right : null;
        if (right)
          this.write(
            { kind: 'cell', quantity: id, members, author: 'ada' },
            instead(id, members) ?? `${right.text} ${right.unit}`,
          );
      }
    return this;
  }

  answer(): this {
    for (const { id } of this.protocol.questions) this.write({ kind: 'answer', question: id, author: 'ada' }, 'So.');
    for (const section of ['purpose', 'causes', 'conclusion'] as const)
      this.write({ kind: 'report', section, author: 'ada' }, '{"type":"doc","content":[]}');
    return this;
  }

  get proposal(): Proposal {
    const { run } = this;
    return proposal(run, new OwnWork(run), 'ada');
  }
}

const QUANTITIES = SOLID_BY_DISPLACEMENT.byStudent ?? [];
const ada = (entries?: readonly Entry[]): Student => new Student(SOLID_BY_DISPLACEMENT, QUANTITIES, entries);

describe('points that are proposed', () => {
  it('all of them for a careful student, and the report looks complete', () => {
    const { of, unwritten, isComplete } = ada().calculate().answer().proposal;
    expect(of).toEqual({
      readings: { points: 4, because: 'units, digits, complete' },
      digits: { points: 4, because: 'as the class writes them' },
      calculation: { points: 4, because: 'every step follows' },
    });
    expect([unwritten, isComplete]).toEqual([0, true]);
  });

  it('a slip counts once, however far it is carried on', () => {
    const slip = (quantity: string, members: Members): string | null =>
      quantity === 'volume' && members['trial'] === '2' ? '23.7 mL' : null;
    const { of, isComplete } = ada().calculate(slip).answer().proposal;
    expect(of.calculation).toEqual({ points: 3, because: 'one slip, counted once' });
    expect([of.readings.points, of.digits.points, isComplete]).toEqual([4, 4, false]);
  });

  it('digits that are not known cost digits, not the calculation', () => {
    const digits = (quantity: string, members: Members): string | null =>
      quantity === 'volume' && members['trial'] === '1' ? '6.20 mL' : null;
    const { of } = ada().calculate(digits).answer().proposal;
    expect(of.digits).toEqual({ points: 3, because: 'one number with too many or too few digits' });
    expect(of.calculation.points).toBe(4);
  });

  it('readings that are missing or cannot be are named', () => {
    const entries = sampleRun(SOLID_BY_DISPLACEMENT).events.map(({ address, text }): Entry => {
      const isAfter = address.kind === 'cell' && address.quantity === 'after';
      return { address, text: isAfter && address.members['trial'] === '2' ? '13.7' : text };
    });
    expect(ada(entries).proposal.of.readings).toEqual({ points: 3, because: 'one doubtful' });
    const some = entries.slice(0, -4);
    expect(ada(some).proposal.of.readings.because).toMatch(/missing/);
  });

  it('nothing calculated is none of the points, and says so', () => {
    const { calculation } = ada().proposal.of;
    expect(calculation.points).toBe(0);
    expect(calculation.because).toMatch(/^\d+ not calculated$/);
  });

  it('what is not written in words is counted, of one’s own and of the group', () => {
    expect(ada().calculate().proposal).toMatchObject({ unwritten: 6, isComplete: false });
    const group = ada().calculate().write({ kind: 'answer', question: 'tool' }, 'The cylinder.');
    expect(group.proposal.unwritten).toBe(5);
    const other = ada().calculate().write({ kind: 'answer', question: 'tool', author: 'bo' }, 'The cylinder.');
    expect(other.proposal.unwritten).toBe(6);
  });

  it.each(SHIPPED)('$id: a careful student gets all points for calculating and for digits', (protocol) => {
    const computed = protocol.quantities.filter(({ kind }) => kind === 'computed').map(({ id }) => id);
    const { of } = new Student(protocol, [...new Set(computed)]).calculate().proposal;
    expect(of.calculation).toEqual({ points: 4, because: 'every step follows' });
    // Two samples have readings that are written shorter than the tool can be read: a rough delivery, and densities by hydrometer.
    const isRough = ['delivered-volume', 'solid-by-apparent-mass'].includes(protocol.id);
    expect(of.digits.points).toBe(isRough ? 3 : 4);
  });
});
