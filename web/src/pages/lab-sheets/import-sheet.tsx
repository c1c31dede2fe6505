import type { LabSheetFault } from '@green-beam/contract';
import { useId, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { FaultList } from './fault-list.tsx';
import { readSheetFile } from './read-sheet-file.ts';
import { useNewLabSheet } from './use-lab-sheets.ts';

/** Takes in a lab sheet from a file; a wrong one is answered with everything that is wrong. */
export function ImportSheet(): ReactNode {
  const id = useId();
  const goTo = useNavigate();
  const making = useNewLabSheet();
  const [faults, setFaults] = useState<readonly LabSheetFault[]>([]);
  const read = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    const found = await readSheetFile(file);
    setFaults('faults' in found ? found.faults : []);
    if ('sheet' in found) making.mutate(found.sheet, { onSuccess: (page) => void goTo(`/lab-sheets/${page.id}`) });
  };
  return (
    <div>
      <label htmlFor={id} className="font-semibold">
        From a file (JSON)
      </label>
      <input
        id={id}
        type="file"
        accept=".json,application/json"
        className="block min-h-11 py-2"
        onChange={(event) => {
          void read(event.target.files?.[0]);
          // The same file, mended, can be chosen again.
          event.target.value = '';
        }}
      />
      <FaultList faults={faults} title="Nothing was taken in. This is wrong in the file:" />
      {making.error && (
        <p role="alert" className="text-slip">
          {making.error.message}
        </p>
      )}
    </div>
  );
}
