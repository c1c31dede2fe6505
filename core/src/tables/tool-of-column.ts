import { instrumentById, instrumentIds } from '../instruments/catalogue.ts';
import { readingStep } from '../reading/expected-reading.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import { conversionFactor, parseUnit, sameKind } from '../units/unit.ts';
import { unitOf } from './relations.ts';
import type { Column } from './understand.ts';

/** The tool on which a column was read, as somebody has said, and how many decimals its readings have in the column’s unit. */
export interface ColumnTool {
  readonly name: string;
  readonly decimals: number;
}

/** What is answered where it is asked on which tool a column was read. */
export const toolQuestion = (column: number): string => `tool ${column}`;

/** Ids of the tools on which a column can have been read: those of its kind of unit. */
export function toolsFor(column: Column): string[] {
  const unit = unitOf(column);
  if (!column.isNumeric || unit === null) return [];
  return instrumentIds().filter((id) => sameKind(unit, parseUnit(instrumentById(id).unit)));
}

/** @returns null where nothing is said, or the column’s unit is none in which the tool’s last place is a decimal place. */
export function columnTool(column: Column, said: string | undefined, rules: HouseRules): ColumnTool | null {
  if (said === undefined || !toolsFor(column).includes(said)) return null;
  const instrument = instrumentById(said);
  const unit = unitOf(column);
  if (unit === null) return null;
  const shift = Math.log10(conversionFactor(parseUnit(instrument.unit), unit).toNumber());
  const decimals = -(readingStep(instrument, rules).place + shift);
  const whole = Math.round(decimals);
  return Math.abs(decimals - whole) < 1e-9 && whole >= 0 ? { name: instrument.name, decimals: whole } : null;
}
