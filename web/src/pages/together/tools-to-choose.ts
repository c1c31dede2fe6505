import { instrumentById, instrumentIds, UnitMismatchError, valueIn } from '@green-beam/core';

/** A tool by its id, with its name as it is chosen by. */
export interface ToolToChoose {
  readonly id: string;
  readonly name: string;
}

function isSameKind(one: string, other: string): boolean {
  try {
    valueIn(1, one, other);
    return true;
  } catch (error) {
    if (error instanceof UnitMismatchError) return false;
    throw error;
  }
}

/** Tools that are read in a unit or in one of its kind; all of them without one. */
export function toolsReadIn(unit: string | null): ToolToChoose[] {
  return instrumentIds()
    .map(instrumentById)
    .filter((tool) => unit === null || isSameKind(unit, tool.unit))
    .map(({ id, name }) => ({ id, name }));
}
