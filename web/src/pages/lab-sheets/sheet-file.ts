import type { LabSheetDraft } from '@green-beam/contract';
import { fileNameOf } from '../../ui/file-name.ts';

/** A lab sheet as a file: the protocol as it is, by docs/protocol.schema.json. */
export function sheetFile(sheet: LabSheetDraft): { readonly name: string; readonly text: string } {
  const title = typeof sheet['title'] === 'string' ? sheet['title'] : '';
  return { name: `${fileNameOf(title, 'lab-sheet')}.json`, text: `${JSON.stringify(sheet, null, 2)}\n` };
}
