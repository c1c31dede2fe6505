import { describe, expect, it } from 'vitest';
import { layoutOf } from '../protocol/layout.ts';
import type { Protocol, SampleRun } from '../protocol/protocol.ts';
import { workOut, type WorkedRun } from '../engine/evaluate.ts';
import { placesOf } from '../engine/setting.ts';
import type { Address, Members } from '../run/address.ts';
import { sampleRun } from '../run/run-from-rows.ts';
import type { Run, RunEvent } from '../run/run.ts';
import { GLASSWARE_DELIVERY } from '../shipped/glassware-delivery.ts';
import { SHIPPED } from '../shipped/shipped.ts';
import { SOLID_BY_DIMENSIONS } from '../shipped/solid-by-dimensions.ts';
import { SOLID_BY_DISPLACEMENT } from '../shipped/solid-by-displacement.ts';
import { OwnWork, type OwnCell } from './own-work.ts';

const INES = 'ines';

/** Everything that is computed, with an order in which one can be written after the other. */
function computedIn(protocol: Protocol): string[] {
  return protocol.quantities.flatMap(({ id, kind }) => (kind === 'computed' ? [id] : []));
}

/** A run with a student’s own calculations, written one by one. */
class Student {
  events: RunEvent[];
  private last = 1000;

  constructor(
    readonly protocol: Protocol,
    readonly left: readonly string[] = computedIn(protocol),
    sample?: SampleRun,
  ) {
    this.events = [...sampleRun(protocol, sample).events];
  }

  private add(address: Address, text: string, replaces: string | null = null): void {
    this.last += 1;
    this.events.push({
      id: `own ${this.last}`,
      address,
      text,
      replaces,
      reason: null,
      person: INES,
      deviceTime: '2026-01-01T00:00:00.000Z',
      order: this.last,
    });
  }

  write(quantity: string, members: Members, text: string): this {
    const same = this.events.filter(
      ({ address }) =>
        address.kind === 'cell' &&
        address.author === INES &&
        address.quantity === quantity &&
        JSON.stringify(address.members) === JSON.stringify(members),
    );
    this.add({ kind: 'cell', quantity, members, author: INES }, text, same.at(-1)?.id ?? null);
    return this;
  }

  ask(quantity: string, members: Members): this {
    this.add({ kind: 'shown', quantity, members, author: INES }, 'shown');
    return this;
  }

  get run(): WorkedRun {
    const run: Run = { events: this.events };
    return workOut(this.protocol, run, {}, { author: INES, quantities: this.left });
  }

  at(quantity: string, members: Members = {}): OwnCell {
    const found = new OwnWork(this.run).at(quantity, members);
    if (!found) throw new Error(`${quantity} is not left to the student.`);
    return found;
  }
}

const trial = (n: number): Members => ({ trial: String(n) });

/** The nails of the sample: 54.31 g, from 21.4 to 27.8 mL and so on. */
const nails = (): Student => new Student(SOLID_BY_DISPLACEMENT, ['volume', 'density', 'meanDensity']);

describe('a volume that is left to the student', () => {
  const { entries } = SOLID_BY_DISPLACEMENT.samples[0];
  const [before] = entries['before'] as string[];
  const [after] = entries['after'] as string[];
  const right = (Number(after) - Number(before)).toFixed(1);

  it('is nobody’s turn before its readings are there', () => {
    const student = nails();
    student.events = student.events.filter(
      ({ address }) => !(address.kind === 'cell' && address.quantity === 'after' && address.members['trial'] === '1'),
    );
    expect(student.at('volume', trial(1)).state).toBe('waiting');
    expect(student.at('volume', trial(2)).state).toBe('turn');
    expect(student.at('density', trial(2)).state).toBe('waiting');
  });

  it.each([
    [`${right} mL`, 'sound', []],
    [`after - before = ${right} mL`, 'sound', []],
    [`${right} cm^3`, 'sound', []],
    [right, 'record', ['unit-missing']],
    [`${right} g`, 'record', ['unit-wrong']],
    [`${right}0 mL`, 'record', ['fewest-figures-in-sum']],
    [`${right}00 mL`, 'record', ['too-many-figures']],
    [`${after} mL`, 'slip', ['final-as-difference']],
    [`-${right} mL`, 'slip', ['difference-turned']],
    ['81.7 mL', 'unexplained', []],
    ['six', 'unreadable', []],
  ])('%s is %s', (text, state, ids) => {
    const found = nails().write('volume', trial(1), text).at('volume', trial(1));
    expect([found.state, found.slips.map(({ id }) => id)]).toEqual([state, ids]);
    if (state === 'unreadable') expect(found.message).not.toBeNull();
  });

  it('shows what it was to be worked out from, and which of it a slip has left out', () => {
    const { ingredients } = nails().write('volume', trial(1), `${after} mL`).at('volume', trial(1));
    expect(ingredients.map(({ name, text, missed }) => [name, text, missed])).toEqual([
      ['Water after, trial 1', after, false],
      ['Water before, trial 1', before, true],
    ]);
  });

  it('shows its working after a second try, or when asked, and remembers that', () => {
    const student = nails().write('volume', trial(1), '5 mL');
    expect(student.at('volume', trial(1))).toMatchObject({ tries: 1, mayBeShown: false, afterHelp: false });
    student.write('volume', trial(1), '4 mL');
    expect(student.at('volume', trial(1))).toMatchObject({ tries: 2, mayBeShown: true, afterHelp: false });
    student.write('volume', trial(1), `${right} mL`);
    expect(student.at('volume', trial(1))).toMatchObject({ state: 'sound', tries: 3, afterHelp: true });
    const asked = nails().ask('volume', trial(2));
    expect(asked.at('volume', trial(2))).toMatchObject({ state: 'turn', mayBeShown: true, afterHelp: false });
    expect(asked.write('volume', trial(2), '6 mL').at('volume', trial(2)).afterHelp).toBe(true);
  });

  it('counts once: what follows is judged from what was written', () => {
    const [mass] = entries['mass'] as string[];
    const student = nails().write('volume', trial(1), `${after} mL`);
    const density = (Number(mass) / Number(after)).toPrecision(3);
    expect(student.write('density', trial(1), `${density} g/mL`).at('density', trial(1)).state).toBe('sound');
    expect(student.run.cellAt('density', trial(1))).toMatchObject({ kind: 'own', text: density });
  });

  it('goes on by the book where a unit of another kind was written', () => {
    const student = nails().write('volume', trial(1), `${right} g`);
    expect(student.at('volume', trial(1)).message).toMatch(/by the book/);
    expect(student.run.cellAt('volume', trial(1))).toMatchObject({ kind: 'own', wrongKind: true });
    expect(student.at('density', trial(1)).state).toBe('turn');
  });
});

describe('a mean that is left to the student', () => {
  const written = (): Student => {
    const student = nails();
    const places = [1, 2, 3, 4, 5, 6, 7, 8].map(trial).filter((at) => student.run.cellAt('mass', at)?.kind === 'entry');
    for (const at of places) student.write('volume', at, asBook(student, 'volume', at));
    for (const at of places) student.write('density', at, asBook(student, 'density', at));
    return student;
  };
  /** What is right from the student’s own numbers. */
  function asBook(student: Student, quantity: string, at: Members): string {
    const { right } = student.at(quantity, at);
    return `${right?.text ?? ''} ${right?.unit ?? ''}`;
  }

  it('waits for every one of the values', () => {
    const student = written();
    const last = student.events.pop();
    expect(last?.address).toMatchObject({ quantity: 'density' });
    expect(student.at('meanDensity').state).toBe('waiting');
  });

  it.each([
    ['sum', 'mean-not-divided'],
    ['fewer', 'value-left-out'],
  ])('names a %s', (how, id) => {
    const student = written();
    const values = [1, 2, 3, 4, 5, 6, 7, 8].flatMap((n) => {
      const cell = student.run.cellAt('density', trial(n));
      return cell?.kind === 'own' ? [Number(cell.text)] : [];
    });
    const used = how === 'sum' ? values : values.slice(1);
    const sum = used.reduce((total, value) => total + value, 0);
    const text = (how === 'sum' ? sum : sum / used.length).toFixed(1);
    expect(student.write('meanDensity', {}, `${text} g/mL`).at('meanDensity').slips[0]?.id).toBe(id);
  });

  it('counts no repeat that is excluded, and says so to whoever does', () => {
    const student = written();
    const values = [1, 2, 3, 4, 5, 6, 7, 8].flatMap((n) => {
      const cell = student.run.cellAt('density', trial(n));
      return cell?.kind === 'own' ? [Number(cell.text)] : [];
    });
    const mean = (list: number[]): string => (list.reduce((a, b) => a + b, 0) / list.length).toFixed(1);
    // Far off, so that it shows.
    student.write('density', trial(1), '4.1 g/mL');
    student.events.push({
      ...student.events.at(-1)!,
      id: 'left out',
      address: { kind: 'excluded', dimension: 'trial', member: '1', within: {} },
      text: 'A bubble hung on it.',
      replaces: null,
    });
    const rest = values.slice(1);
    expect(student.write('meanDensity', {}, `${mean(rest)} g/mL`).at('meanDensity').state).toBe('sound');
    const counted = student.write('meanDensity', {}, `${mean([4.1, ...rest])} g/mL`).at('meanDensity');
    expect(counted.slips[0]?.id).toBe('excluded-counted');
  });
});

const SAMPLES = SHIPPED.flatMap((protocol) =>
  protocol.samples.map((sample, i) => [`${protocol.id}, ${i + 1}`, protocol, sample] as const),
);

/** Every computed cell of a run, each after those it needs. */
function cellsOf({ protocol, left, run }: Student): [string, Members][] {
  return layoutOf(protocol, run.setting.layout.chosen).order.flatMap((id) => {
    const quantity = run.setting.layout.quantities.get(id);
    if (quantity?.kind !== 'computed' || !left.includes(id)) return [];
    return placesOf(run.setting, quantity.over, quantity.only).map((members): [string, Members] => [id, members]);
  });
}

describe.each(SAMPLES)('%s', (_, protocol, sample) => {
  it('is right from beginning to end for who writes what is right, and comes to what the book does', () => {
    const student = new Student(protocol, computedIn(protocol), sample);
    const book = workOut(protocol, sampleRun(protocol, sample));
    let written = 0;
    for (const [id, members] of cellsOf(student)) {
      const inBook = book.cellAt(id, members);
      const { state, right } = student.at(id, members);
      if (inBook?.kind !== 'computed') {
        expect(state).toBe('waiting');
        continue;
      }
      expect([id, members, state]).toEqual([id, members, 'turn']);
      // Two routes: the engine over dimensions, and the formula written out cell by cell.
      const followsFromOwn = student.run.setting.layout.formulas
        .get(id)!
        .uses.some((use) => student.left.includes(use));
      if (!followsFromOwn) expect([id, members, right?.text]).toEqual([id, members, inBook.text]);
      student.write(id, members, `${inBook.text} ${right?.unit ?? ''}`);
      expect([id, members, student.at(id, members).state]).toEqual([id, members, 'sound']);
      written += 1;
    }
    expect(written).toBeGreaterThan(2);
    const own = student.run;
    for (const result of book.results) {
      const same = own.results.find(
        ({ quantity, members }) =>
          quantity === result.quantity && JSON.stringify(members) === JSON.stringify(result.members),
      );
      // Nothing is lost but what was not written.
      const half = result.place === -Infinity ? 1e-9 : 0.5 * 10 ** result.place;
      expect(Math.abs((same?.value ?? NaN) - result.value)).toBeLessThanOrEqual(half * (1 + 1e-9));
    }
  });
});

describe('the same numbers in another shape', () => {
  it('are another calculation', () => {
    const cylinder = SOLID_BY_DIMENSIONS.samples.find(({ options }) => options?.['shape'] === 'cylinder')!;
    const states = ['cylinder', 'cone'].map((shape) => {
      const student = new Student(SOLID_BY_DIMENSIONS, ['volume'], { ...cylinder, options: { shape } });
      const text = `${workOut(SOLID_BY_DIMENSIONS, sampleRun(SOLID_BY_DIMENSIONS, cylinder)).results[0]!.text} cm^3`;
      return student.write('volume', {}, text).at('volume').state;
    });
    expect(states[0]).toBe('sound');
    expect(states[1]).not.toBe('sound');
  });
});

describe('a student’s own number in the uncertainty', () => {
  it('has the book’s slopes at the value that was written', () => {
    const student = new Student(GLASSWARE_DELIVERY, ['meanVolume']);
    const book = workOut(GLASSWARE_DELIVERY, sampleRun(GLASSWARE_DELIVERY));
    const at = book.results[0]!.members;
    student.write('meanVolume', at, '24.00 mL');
    expect(student.run.standardAt('meanVolume', at)).toBeCloseTo(book.standardAt('meanVolume', at)!, 12);
    const written = student.run.cellAt('error', at);
    expect(written).toMatchObject({ kind: 'computed' });
    expect(written).not.toMatchObject({ text: (book.cellAt('error', at) as { text: string }).text });
  });
});
