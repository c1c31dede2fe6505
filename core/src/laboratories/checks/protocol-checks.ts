import { Rational } from '../../numbers/rational.ts';
import { writtenAtPlace } from '../../numbers/rounding.ts';
import { waterDensity } from '../../materials/water-density.ts';
import { perToolUnit } from '../engine/entry-cell.ts';
import { numberOf } from '../engine/cell.ts';
import type { WorkedNumbers } from '../engine/evaluate.ts';
import { membersInWords } from '../engine/label.ts';
import { placesOf } from '../engine/setting.ts';
import type { Members } from '../run/address.ts';
import type { Finding, ProtocolCheck } from './finding.ts';

function valueAt(run: WorkedNumbers, quantity: string, members: Members): number | null {
  return numberOf(run.cellAt(quantity, members))?.value.toNumber() ?? null;
}

/** Every place of a quantity. */
function places(run: WorkedNumbers, quantity: string): Members[] {
  const found = run.setting.layout.quantities.get(quantity);
  return found ? placesOf(run.setting, found.over, found.only) : [];
}

/** A sentence that begins with where it is about, where there is more than one place. */
function placed(run: WorkedNumbers, members: Members, message: string): string {
  const where = membersInWords(run.setting, members);
  return where === '' ? message : `${where.replace(/^./, (first) => first.toUpperCase())}: ${message}`;
}

/** What cannot be so at a place. */
function wrongAt(run: WorkedNumbers, kind: string, quantity: string, members: Members, message: string): Finding {
  return { kind, severity: 'wrong', at: { quantity, members }, message: placed(run, members, message) };
}

/** Two quantities of which one has to be the larger, wherever both stand. */
function compared(run: WorkedNumbers, less: string, more: string, kind: string, message: string): Finding[] {
  return places(run, more).flatMap((members): Finding[] => {
    const [a, b] = [valueAt(run, less, members), valueAt(run, more, members)];
    if (a === null || b === null || b >= a) return [];
    return [wrongAt(run, kind, more, members, message)];
  });
}

/** Neighbours along a dimension, at every place of the others. */
function neighbours(
  run: WorkedNumbers,
  quantity: string,
  over: string,
): { readonly before: Members; readonly after: Members }[] {
  const members = run.setting.members.get(over) ?? [];
  return places(run, quantity).flatMap((after) => {
    const index = members.findIndex(({ id }) => id === after[over]);
    const before = members[index - 1];
    return before ? [{ before: { ...after, [over]: before.id }, after }] : [];
  });
}

function ordered(
  run: WorkedNumbers,
  quantity: string,
  over: string,
  isWrong: (before: number, after: number, places: { readonly before: Members; readonly after: Members }) => boolean,
  kind: string,
  message: string,
): Finding[] {
  return neighbours(run, quantity, over).flatMap((pair): Finding[] => {
    const [before, after] = [valueAt(run, quantity, pair.before), valueAt(run, quantity, pair.after)];
    if (before === null || after === null || !isWrong(before, after, pair)) return [];
    return [wrongAt(run, kind, quantity, pair.after, message)];
  });
}

/** From this relative uncertainty on a difference is too small for its tool, in percent; from half of it on the tool is named. */
const TOO_SMALL = 10;

function resolvable(run: WorkedNumbers, quantity: string): Finding[] {
  const found = run.setting.layout.quantities.get(quantity);
  if (!found || !('unit' in found)) return [];
  const worst = places(run, quantity)
    .flatMap((members) => {
      const [value, standard] = [valueAt(run, quantity, members), run.standardAt(quantity, members)];
      return value === null || standard === null || value === 0
        ? []
        : [{ members, value, percent: (standard / Math.abs(value)) * 100 }];
    })
    .sort((a, b) => b.percent - a.percent)[0];
  if (!worst || worst.percent <= TOO_SMALL / 2) return [];
  const name = found.name.toLowerCase();
  const cell = run.cellAt(quantity, worst.members);
  const size = `${cell && 'text' in cell ? cell.text : worst.value} ${found.unit}`;
  const tooSmall = worst.percent > TOO_SMALL;
  return [
    {
      kind: 'resolvable',
      severity: tooSmall ? 'wrong' : 'look',
      at: { quantity, members: worst.members },
      message: tooSmall
        ? `A ${name} of ${size} is too small for these tools: it is only known to ${Math.round(worst.percent)} %. Put several pieces in together, or take a finer tool.`
        : `The ${name} of ${size} is known to ${Math.round(worst.percent)} %, and sets how well the result is known. Several pieces together would be known better.`,
    },
  ];
}

/** Water whose temperature nobody took is taken to be of so many °C. */
const ROOM = 20;

function sinkOrFloat(
  run: WorkedNumbers,
  { observed = '', sinks = '', density = '', water: looked = '' }: Readonly<Record<string, string>>,
): Finding[] {
  const seen = run.cellAt(observed, {});
  if (seen?.kind !== 'chosen') return [];
  const sank = seen.choice === sinks;
  const water = valueAt(run, looked, {}) ?? (run.setting.rules.waterDensity === 'one' ? 1 : waterDensity(ROOM));
  return places(run, density).flatMap((members): Finding[] => {
    const [value, standard] = [valueAt(run, density, members), run.standardAt(density, members)];
    // What lies within the uncertainty of the water’s density may sink or float.
    if (value === null || sank === value > water || Math.abs(value - water) <= 2 * (standard ?? 0)) return [];
    const [did, side] = sank ? ['sank', 'below'] : ['floated', 'above'];
    const message = `It ${did}, yet the density found is ${side} that of water (${writtenAtPlace(water, -3)} g/mL). One of the two must be wrong.`;
    return [wrongAt(run, 'sink-or-float', density, members, message)];
  });
}

/** An error against what the maker of the member’s tool allows. */
function againstTolerance(
  run: WorkedNumbers,
  error: string,
  dimension: string,
  words: (times: number, tool: string, tolerance: string) => Pick<Finding, 'severity' | 'message'> | null,
  kind: string,
): Finding[] {
  const quantity = run.setting.layout.quantities.get(error);
  if (!quantity || !('unit' in quantity)) return [];
  return places(run, error).flatMap((members): Finding[] => {
    const tool = run.setting.members.get(dimension)?.find(({ id }) => id === members[dimension])?.tool;
    const value = valueAt(run, error, members);
    if (!tool || value === null || tool.tolerance === 0) return [];
    const tolerance = perToolUnit(tool, quantity.unit).times(Rational.of(tool.tolerance)).toNumber();
    const said = words(Math.abs(value) / tolerance, tool.code ?? tool.instrument.name, `${tolerance} ${quantity.unit}`);
    return said ? [{ kind, at: { quantity: error, members }, ...said }] : [];
  });
}

/** The checks that protocols can ask for, by name. */
export const PROTOCOL_CHECKS: Readonly<Record<string, ProtocolCheck>> = {
  rises: {
    needs: ['earlier', 'later'],
    find: (run, { earlier = '', later = '' }, message) => compared(run, earlier, later, 'rises', message),
  },
  above: {
    needs: ['more', 'less'],
    find: (run, { more = '', less = '' }, message) => compared(run, less, more, 'above', message),
  },
  falls: {
    needs: ['quantity', 'over'],
    find: (run, { quantity = '', over = '' }, message) =>
      ordered(run, quantity, over, (before, after) => after > before, 'falls', message),
  },
  grows: {
    needs: ['quantity', 'over'],
    takes: ['from', 'with'],
    find: (run, { quantity = '', over = '', from, with: along }, message) => [
      ...ordered(
        run,
        quantity,
        over,
        (before, after, pair) => {
          if (along === undefined) return after < before;
          const [first, second] = [valueAt(run, along, pair.before), valueAt(run, along, pair.after)];
          return first !== null && second !== null && (second - first) * (after - before) < 0;
        },
        'grows',
        message,
      ),
      ...(from === undefined
        ? []
        : places(run, quantity)
            .filter((members) => members[over] === '1')
            .flatMap((members): Finding[] => {
              const [start, first] = [valueAt(run, from, members), valueAt(run, quantity, members)];
              if (start === null || first === null || first >= start) return [];
              return [wrongAt(run, 'grows', quantity, members, message)];
            })),
    ],
  },
  resolvable: { needs: ['quantity'], find: (run, { quantity = '' }) => resolvable(run, quantity) },
  'sink-or-float': {
    needs: ['observed', 'sinks', 'density'],
    takes: ['water'],
    find: (run, of) => sinkOrFloat(run, of),
  },
  'within-tolerance': {
    needs: ['error', 'tool'],
    find: (run, { error = '', tool = '' }) =>
      againstTolerance(
        run,
        error,
        tool,
        (times, name, tolerance) =>
          times <= 1
            ? null
            : { severity: 'look', message: `The ${name} is off by more than its maker allows (± ${tolerance}).` },
        'within-tolerance',
      ),
  },
  'balance-fit': {
    needs: ['error', 'tool'],
    find: (run, { error = '', tool = '' }) =>
      againstTolerance(
        run,
        error,
        tool,
        (times, name, tolerance) =>
          times <= 1
            ? { severity: 'look', message: `The ${name} is fit for use: its largest error is within ± ${tolerance}.` }
            : times <= 2
              ? { severity: 'look', message: `Watch the ${name}: its largest error is beyond ± ${tolerance}.` }
              : {
                  severity: 'wrong',
                  message: `Take the ${name} out of use: its largest error is more than twice ± ${tolerance}.`,
                },
        'balance-fit',
      ),
  },
  concordant: {
    needs: ['quantity', 'over', 'within'],
    find: (run, { quantity = '', over = '', within = '0' }) => {
      const found = run.setting.layout.quantities.get(quantity);
      const values = (run.setting.members.get(over) ?? []).flatMap(({ id }) =>
        run.counts({ [over]: id }) ? (valueAt(run, quantity, { [over]: id }) ?? []) : [],
      );
      const apart = Math.max(...values) - Math.min(...values);
      // What doubles leave of a difference of hundredths is no difference.
      if (values.length < 2 || apart <= Number(within) + 1e-9 || !found || !('unit' in found)) return [];
      return [
        {
          kind: 'concordant',
          severity: 'look',
          at: null,
          message: `They lie ${writtenAtPlace(apart, -2)} ${found.unit} apart. Go on until they lie within ${within} ${found.unit}, or leave one out that you know went wrong.`,
        },
      ];
    },
  },
  'order-of-cases': {
    needs: ['quantity', 'over', 'order'],
    find: (run, { quantity = '', over = '', order = '' }, message) => {
      const values = order.split(',').map((member) => valueAt(run, quantity, { [over]: member.trim() }));
      const isWrong = values.some((value, i) => {
        const before = values[i - 1];
        return value !== null && before !== null && before !== undefined && value < before;
      });
      return isWrong ? [{ kind: 'order-of-cases', severity: 'wrong', at: null, message }] : [];
    },
  },
};
