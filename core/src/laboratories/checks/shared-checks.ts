import { readingStep } from '../../reading/expected-reading.ts';
import { grubbs } from '../../statistics/grubbs.ts';
import { shortened } from '../../numbers/written-number.ts';
import { converted, parseUnit, sameKind } from '../../units/unit.ts';
import { Rational } from '../../numbers/rational.ts';
import { numberOf, type Cell } from '../engine/cell.ts';
import { perToolUnit } from '../engine/entry-cell.ts';
import type { WorkedNumbers, WorkedRun } from '../engine/evaluate.ts';
import { cellInWords } from '../engine/label.ts';
import { placesOf, toolAt } from '../engine/setting.ts';
import type { Dimension, Quantity } from '../protocol/protocol.ts';
import { addressKey, type Members } from '../run/address.ts';
import type { Finding } from './finding.ts';

/** Every cell of a run. */
function cellsOf(
  run: WorkedNumbers,
): { readonly quantity: Quantity; readonly members: Members; readonly cell: Cell }[] {
  return [...run.setting.layout.quantities.values()].flatMap((quantity) =>
    placesOf(run.setting, quantity.over, quantity.only).flatMap((members) => {
      const cell = run.cellAt(quantity.id, members);
      return cell ? [{ quantity, members, cell }] : [];
    }),
  );
}

/** What cannot be used, was written otherwise than the class does, or by two people at once. */
function ofCells(run: WorkedNumbers): Finding[] {
  return cellsOf(run).flatMap(({ quantity, members, cell }): Finding[] => {
    const at = { quantity: quantity.id, members };
    const name = cellInWords(run.setting, quantity.id, members);
    const found: Finding[] = [];
    if (cell.kind === 'unusable')
      found.push({ kind: 'cell', severity: 'wrong', at, message: `${name}: ${cell.reason}` });
    if (cell.kind === 'pending' && cell.reason)
      found.push({ kind: 'cell', severity: 'wrong', at, message: `${name}: ${cell.reason}` });
    if (cell.kind === 'entry' && cell.remark)
      found.push({ kind: 'cell', severity: 'look', at, message: `${name}: ${cell.remark}` });
    if (cell.kind === 'entry' && cell.parts?.remark)
      found.push({ kind: 'parts', severity: 'wrong', at, message: `${name}: ${cell.parts.remark}` });
    if ('rivals' in cell && cell.rivals.length > 0) {
      const others = cell.rivals.map(({ text }) => shortened(text)).join(', ');
      found.push({
        kind: 'conflict',
        severity: 'wrong',
        at,
        message: `${name}: two of you wrote different numbers here, ${shortened(cell.text)} and ${others}. Decide together and write it once more.`,
      });
    }
    return found;
  });
}

/** What is still to be read once a repeat has been begun, and repeats that are too few. */
function ofRepeats(run: WorkedNumbers): Finding[] {
  return [...run.setting.layout.quantities.values()].flatMap((quantity): Finding[] => {
    if (quantity.kind !== 'read' || quantity.optional) return [];
    const places = placesOf(run.setting, quantity.over, quantity.only);
    const counting = places.filter((members) => run.counts(members));
    const missing = counting.filter((members) => !numberOf(run.cellAt(quantity.id, members)));
    if (missing.length === 0 || missing.length === counting.length) return [];
    const [first] = missing;
    const more = missing.length > 1 ? ` and ${missing.length - 1} more` : '';
    return first
      ? [
          {
            kind: 'repeats',
            severity: 'look',
            at: { quantity: quantity.id, members: first },
            message: `Still to be read: ${cellInWords(run.setting, quantity.id, first)}${more}.`,
          },
        ]
      : [];
  });
}

/** The readings of a quantity along one dimension, at every place of the others. */
function series(
  run: WorkedNumbers,
  quantity: Quantity,
  along: string,
): { readonly members: Members; readonly value: number }[][] {
  const others = quantity.over.filter((dimension) => dimension !== along);
  return placesOf(run.setting, others).map((place) =>
    (run.setting.members.get(along) ?? []).flatMap(({ id }) => {
      const members = { ...place, [along]: id };
      const value = numberOf(run.cellAt(quantity.id, members))?.value.toNumber();
      return value === undefined || !run.counts(members) ? [] : [{ members, value }];
    }),
  );
}

/** Along which dimensions one that lies apart is looked for: readings that should be alike, and what is worked out from each step of a sequence. */
const ALIKE: Partial<Record<Quantity['kind'], readonly Dimension['kind'][]>> = {
  read: ['repeat', 'sample'],
  computed: ['sequence'],
};
/** Equal values say nothing before there are so many. */
const FEWEST_EQUAL = 3;

/** How far apart values may lie for no other reason than how they were read; null where that is not known. */
function resolutionAt(run: WorkedNumbers, quantity: Quantity, members: Members): number | null {
  if (quantity.kind !== 'read') return run.standardAt(quantity.id, members);
  const tool = toolAt(run.setting, quantity, members);
  return tool && readingStep(tool.instrument, run.setting.rules).step * perToolUnit(tool, quantity.unit).toNumber();
}

/** Repeats that are all the same, and one that lies apart: of readings, not of running totals. */
function ofScatter(run: WorkedNumbers): Finding[] {
  const { layout } = run.setting;
  return [...layout.quantities.values()].flatMap((quantity): Finding[] => {
    const kinds = ALIKE[quantity.kind] ?? [];
    const along = quantity.over.filter((id) => kinds.some((kind) => kind === layout.dimensions.get(id)?.kind));
    return along.flatMap((dimension) =>
      series(run, quantity, dimension).flatMap((readings): Finding[] => {
        const values = readings.map(({ value }) => value);
        const [first] = readings;
        if (!first) return [];
        const at = { quantity: quantity.id, members: first.members };
        if (quantity.kind === 'read' && values.length >= FEWEST_EQUAL && values.every((value) => value === first.value))
          return [
            {
              kind: 'identical',
              severity: 'look',
              at,
              message: `${quantity.name}: all repeats are the same. This tool is too coarse to show the scatter. The value is still not exact.`,
            },
          ];
        if (values.length < 4) return [];
        const { suspect, G, critical } = grubbs(values);
        const outlier = readings[suspect];
        const resolution = outlier ? resolutionAt(run, quantity, outlier.members) : null;
        if (!outlier || resolution === null || G <= critical) return [];
        const rest = values.filter((_, i) => i !== suspect);
        const middle = rest.reduce((sum, value) => sum + value, 0) / rest.length;
        if (Math.abs(outlier.value - middle) <= 2 * resolution) return [];
        return [
          {
            kind: 'outlier',
            severity: 'look',
            at: { quantity: quantity.id, members: outlier.members },
            message: `${cellInWords(run.setting, quantity.id, outlier.members)}: it lies further from the others than chance brings one in twenty times. Look at it again. It is left out only with a reason.`,
          },
        ];
      }),
    );
  });
}

const DENSITY = parseUnit('g/cm^3');
/** Nothing that a school weighs is lighter than a foam or heavier than the heaviest metal. */
const [LIGHTEST, HEAVIEST] = [0.005, 23];

function ofDensities(run: WorkedNumbers): Finding[] {
  return cellsOf(run).flatMap(({ quantity, members, cell }): Finding[] => {
    const number = numberOf(cell);
    if (cell.kind !== 'computed' || !number || !('unit' in quantity) || !sameKind(parseUnit(quantity.unit), DENSITY))
      return [];
    const value = converted(number.value, parseUnit(quantity.unit), DENSITY);
    if (value.compare(Rational.of(LIGHTEST)) >= 0 && value.compare(Rational.of(HEAVIEST)) <= 0) return [];
    return [
      {
        kind: 'density',
        severity: 'wrong',
        at: { quantity: quantity.id, members },
        message: `${cellInWords(run.setting, quantity.id, members)}: no material has a density of ${cell.text} ${quantity.unit}. Look at the readings it comes from.`,
      },
    ];
  });
}

/** Times of day that run backwards: a clock of twelve hours that has passed noon, or a slip. */
function ofTimes(run: WorkedNumbers): Finding[] {
  return [...run.setting.layout.quantities.values()].flatMap((quantity): Finding[] => {
    if (quantity.kind !== 'timed' || quantity.as !== 'time-of-day') return [];
    return quantity.over.flatMap((dimension) =>
      series(run, quantity, dimension).flatMap((times) =>
        times.flatMap(({ members, value }, i): Finding[] => {
          const before = times[i - 1];
          if (!before || value >= before.value) return [];
          return [
            {
              kind: 'past-noon',
              severity: 'wrong',
              at: { quantity: quantity.id, members },
              message: `${cellInWords(run.setting, quantity.id, members)}: it is earlier than the time before. Did the clock pass noon? Write 1 o’clock as 13:00.`,
            },
          ];
        }),
      ),
    );
  });
}

/** A value to compare with that is none. */
function ofAccepted(run: WorkedRun): Finding[] {
  const text = run.setting.slots.get(addressKey({ kind: 'accepted' }))?.current.text.trim() ?? '';
  const wanting = run.setting.layout.protocol.results.filter(({ accepted }) => accepted?.kind === 'material');
  const found = run.results.filter(({ quantity }) => wanting.some((result) => result.quantity === quantity));
  if (text === '' || found.length === 0 || found.some(({ comparison }) => comparison)) return [];
  return [
    {
      kind: 'accepted',
      severity: 'wrong',
      at: null,
      message: `“${shortened(text)}” is neither a material listed here nor a value in ${found[0]?.unit ?? ''} to compare with.`,
    },
  ];
}

/** What every laboratory is looked through for. */
export function sharedFindings(run: WorkedRun): Finding[] {
  return [
    ...ofCells(run),
    ...ofRepeats(run),
    ...ofScatter(run),
    ...ofDensities(run),
    ...ofTimes(run),
    ...ofAccepted(run),
  ];
}
