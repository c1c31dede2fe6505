import { instrumentById } from '../instruments/catalogue.ts';
import { writtenAtPlace } from '../numbers/rounding.ts';
import { shortened } from '../numbers/written-number.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import type { Cell } from './cells.ts';
import type { Finding, RunResult, TrialRow } from './evaluated-run.ts';
import type { Protocol, ProtocolCheck } from './protocol.ts';
import { quote } from './engine/compare.ts';
import { readingHalfWidth } from './engine/inputs.ts';
import { temperatureFrom, type CombinedResult } from './result.ts';
import { anyTool } from './run/tool-in-run.ts';
import type { SlotState } from './run.ts';

/** All that the checks may look at. */
export interface RunInView {
  readonly protocol: Protocol;
  readonly rows: readonly TrialRow[];
  readonly notes: Readonly<Record<string, SlotState>>;
  readonly instruments: Readonly<Record<string, string>>;
  readonly result: RunResult | null;
  readonly combined: CombinedResult | null;
  /** Density of the liquid in g/mL. */
  readonly liquid: number;
  readonly rules: HouseRules;
}

function numberIn(cell: Cell | undefined): number | null {
  return cell?.kind === 'reading' || cell?.kind === 'computed' ? cell.number.value.toNumber() : null;
}

function cellFindings({ rows, protocol }: RunInView): Finding[] {
  const nameOf = (id: string): string => protocol.quantities.find((quantity) => quantity.id === id)?.name ?? id;
  return rows.flatMap(({ trial, cells }) =>
    Object.entries(cells).flatMap(([quantity, cell]): Finding[] => {
      const where = { trial, quantity };
      const found: Finding[] = [];
      if (cell.kind === 'unusable')
        found.push({
          kind: 'cell',
          severity: 'wrong',
          ...where,
          message: `Trial ${trial}, ${nameOf(quantity).toLowerCase()}: ${cell.reason}`,
        });
      if (cell.kind === 'reading' && cell.remark)
        found.push({ kind: 'cell', severity: 'look', ...where, message: `Trial ${trial}: ${cell.remark}` });
      if (cell.kind === 'pending' && cell.reason)
        found.push({
          kind: 'cell',
          severity: 'wrong',
          ...where,
          message: `Trial ${trial}, ${nameOf(quantity).toLowerCase()}: ${cell.reason}`,
        });
      if ((cell.kind === 'reading' || cell.kind === 'unusable') && cell.rivals.length > 0) {
        const others = cell.rivals.map((rival) => rival.text).join(', ');
        found.push({
          kind: 'conflict',
          severity: 'wrong',
          ...where,
          message: `Trial ${trial}, ${nameOf(quantity).toLowerCase()}: two of you wrote different numbers in this cell, ${cell.text} and ${others}. Decide together and write it once more.`,
        });
      }
      return found;
    }),
  );
}

/** Notes of the whole run that cannot be what they say they are. */
function noteFindings({ notes, result }: RunInView): Finding[] {
  const text = (slot: string): string => shortened(notes[slot]?.current.text.trim() ?? '');
  const wrong = (message: string): Finding => ({
    kind: 'note',
    severity: 'wrong',
    trial: null,
    quantity: null,
    message,
  });
  const [accepted, temperature] = [text('accepted'), text('temperature')];
  const found: Finding[] = [];
  if (accepted !== '' && result && !result.comparison)
    found.push(wrong(`“${accepted}” is neither a material listed here nor a density in g/mL to compare with.`));
  if (temperature !== '' && temperatureFrom(temperature) === null)
    found.push(wrong(`The temperature of the water, “${temperature}”, is no number from 0 to 100 °C.`));
  return found;
}

function repeatFindings({ rows, protocol, result }: RunInView): Finding[] {
  const complete = result?.summary.n ?? 0;
  const run = { trial: null, quantity: null };
  if (complete > 0 && complete < protocol.trials.least) {
    return [
      {
        kind: 'repeats',
        severity: 'look',
        ...run,
        message: `${complete} of at least ${protocol.trials.least} trials so far${complete === 1 ? '. One value has no spread.' : '.'}`,
      },
    ];
  }
  const readIds = protocol.quantities.filter((quantity) => quantity.kind === 'read').map((quantity) => quantity.id);
  const spread = result?.summary.sampleStandardDeviation;
  const allSame = readIds.every(
    (id) => new Set(rows.filter((row) => !row.excluded).map((row) => numberIn(row.cells[id]))).size === 1,
  );
  if (complete < 2 || spread !== 0 || !allSame) return [];
  return [
    {
      kind: 'identical',
      severity: 'look',
      ...run,
      message:
        'All trials are identical. These tools are too coarse to show the scatter. The result is still not exact.',
    },
  ];
}

function orderFindings({ rows }: RunInView, check: Extract<ProtocolCheck, { kind: 'order' }>): Finding[] {
  return rows.flatMap(({ trial, cells }): Finding[] => {
    const [earlier, later] = [numberIn(cells[check.earlier]), numberIn(cells[check.later])];
    if (earlier === null || later === null || later >= earlier) return [];
    return [
      { kind: 'order', severity: 'wrong', trial, quantity: check.later, message: `Trial ${trial}: ${check.message}` },
    ];
  });
}

/** The half-width of a difference of two readings, against the mean difference itself. */
function resolvableFindings(view: RunInView, check: Extract<ProtocolCheck, { kind: 'resolvable' }>): Finding[] {
  const quantity = view.protocol.quantities.find((candidate) => candidate.id === check.quantity);
  const values = view.rows.flatMap((row) => (row.excluded ? [] : (numberIn(row.cells[check.quantity]) ?? [])));
  if (quantity?.kind !== 'computed' || values.length === 0 || !view.combined || !view.result) return [];
  const size = values.reduce((sum, value) => sum + value, 0) / values.length;
  const widths = Object.entries(view.instruments).filter(([id]) => new RegExp(`\\b${id}\\b`).test(quantity.formula));
  const uncertainty = Math.hypot(
    ...widths.map(([, tool]) => readingHalfWidth(anyTool(tool), view.rules) / Math.sqrt(3)),
  );
  const percent = (uncertainty / Math.abs(size)) * 100;
  const school = view.result.schools.find((one) => one.school === view.result?.school);
  const together = quote(
    view.result.summary.mean,
    view.combined.togetherUncertainty(check.piecesTogether) ?? NaN,
    view.rules,
  );
  if (!(percent > check.worstPercent / 2)) return [];
  const tool = instrumentById(widths[0]?.[1] ?? '').name;
  const first =
    percent > check.worstPercent
      ? `A ${quantity.name.toLowerCase()} of ${writtenAtPlace(size, -1)} ${quantity.unit} is too small for the ${tool}: it is only known to ${Math.round(percent)} %.`
      : `The ${tool} sets the result.`;
  return [
    {
      kind: 'resolvable',
      severity: percent > check.worstPercent ? 'wrong' : 'look',
      trial: null,
      quantity: check.quantity,
      message: `${first} ${school?.quoted && together ? `Put ${check.piecesTogether} pieces in together and ± ${school.quoted.uncertainty} becomes ± ${together.uncertainty} with the same tools.` : `No uncertainty can be given for it; put ${check.piecesTogether} or more pieces in together.`}`,
    },
  ];
}

/** How far off a result can be: twice its standard uncertainty, or its half-width. 0 where none can be given. */
function furthestOff({ result, combined }: RunInView): number {
  const own = combined?.combined.find(({ school }) => school === result?.school);
  return (own?.uncertainty ?? 0) * (own?.school === 'quadrature' ? 2 : 1);
}

function sinkFindings(view: RunInView, check: Extract<ProtocolCheck, { kind: 'sink-or-float' }>): Finding[] {
  const seen = view.notes[check.observed]?.current.text;
  if (!seen || !view.result) return [];
  const { mean } = view.result.summary;
  const sank = seen === check.sinks;
  // What lies within the uncertainty of the liquid’s density may sink or float.
  if (sank === mean > view.liquid || Math.abs(mean - view.liquid) <= furthestOff(view)) return [];
  const message = sank
    ? `It sank, yet the density found is below that of water (${writtenAtPlace(view.liquid, -3)} g/mL). One of the two must be wrong.`
    : `It floated, yet the density found is above that of water (${writtenAtPlace(view.liquid, -3)} g/mL). One of the two must be wrong.`;
  return [{ kind: 'sink-or-float', severity: 'wrong', trial: null, quantity: view.protocol.result, message }];
}

/** Goes through a run as a careful teacher would. */
export function checkRun(view: RunInView): Finding[] {
  const own = view.protocol.checks.flatMap((check) => {
    switch (check.kind) {
      case 'order':
        return orderFindings(view, check);
      case 'resolvable':
        return resolvableFindings(view, check);
      case 'sink-or-float':
        return sinkFindings(view, check);
    }
  });
  return [...cellFindings(view), ...noteFindings(view), ...repeatFindings(view), ...own];
}
