import { LARGEST_LAB_SHEET, type LabSheetDraft, type LabSheetFault } from '@green-beam/contract';
import { protocolFaults } from '@green-beam/core';
import { parse, type ParseError } from 'jsonc-parser';

/** A file that was read: a lab sheet, or everything that is wrong in it. */
export type SheetFile = { readonly sheet: LabSheetDraft } | { readonly faults: readonly LabSheetFault[] };

const refused = (reason: string): SheetFile => ({ faults: [{ path: '', reason }] });

/** Where a text stops being JSON, as line and column. */
function placeOf(text: string): string {
  const errors: ParseError[] = [];
  parse(text, errors, { disallowComments: true });
  const before = text.slice(0, errors[0]?.offset ?? 0).split('\n');
  return `line ${before.length}, column ${(before.at(-1)?.length ?? 0) + 1}`;
}

/** Reads a lab sheet from a file; a wrong one is answered with the path of every fault. */
export function readSheetText(text: string): SheetFile {
  if (text.length > LARGEST_LAB_SHEET)
    return refused(`This file has ${text.length} characters. A lab sheet has at most ${LARGEST_LAB_SHEET}.`);
  let json: unknown;
  try {
    json = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return refused(`This is not JSON: it stops in ${placeOf(text)}.`);
  }
  const faults = protocolFaults(json).map(({ path, reason }) => ({ path, reason }));
  return faults.length > 0 ? { faults } : { sheet: json as LabSheetDraft };
}

/** As `readSheetText`, of a file; one that is too large is not even read. */
export async function readSheetFile(file: Blob): Promise<SheetFile> {
  // A character has at most four bytes.
  if (file.size > 4 * LARGEST_LAB_SHEET)
    return refused(`This file has ${Math.ceil(file.size / 1e6)} MB. That is too large for a lab sheet.`);
  return readSheetText(await file.text());
}
