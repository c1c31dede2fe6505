import type { LabSheetFault } from '@green-beam/contract';
import { createContext, useContext } from 'react';

/** What is wrong where, for the fields of the editor: reasons by path. */
export const FaultsHere = createContext<ReadonlyMap<string, string>>(new Map());

export function faultsByPath(faults: readonly LabSheetFault[]): ReadonlyMap<string, string> {
  return new Map(faults.map(({ path, reason }) => [path, reason]));
}

/** A field’s name as a path of the protocol: `quantities.3.formula` is `quantities[3].formula`. */
const pathOf = (name: string): string => name.replace(/\.(\d+)(?=\.|$)/g, '[$1]');

/** Why a field, or something in it, is wrong; undefined where it is not. @param isWhole whether what lies in it counts too. */
export function useFault(name: string, isWhole = false): string | undefined {
  const faults = useContext(FaultsHere);
  const path = pathOf(name);
  const own = faults.get(path);
  if (own !== undefined || !isWhole) return own;
  return [...faults].find(([at]) => at.startsWith(`${path}.`) || at.startsWith(`${path}[`))?.[1];
}
