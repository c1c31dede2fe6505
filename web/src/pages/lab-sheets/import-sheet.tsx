import type { LabSheetFault } from '@green-beam/contract';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { FileChoice } from '../../ui/file-choice.tsx';
import { FaultList } from './fault-list.tsx';
import { readSheetFile } from './read-sheet-file.ts';
import { useNewLabSheet } from './use-lab-sheets.ts';

/** Takes in a lab sheet from a file; a wrong one is answered with everything that is wrong. */
export function ImportSheet(): ReactNode {
  const goTo = useNavigate();
  const making = useNewLabSheet();
  const [faults, setFaults] = useState<readonly LabSheetFault[]>([]);
  const read = async (file: File): Promise<void> => {
    const found = await readSheetFile(file);
    setFaults('faults' in found ? found.faults : []);
    if ('sheet' in found) making.mutate(found.sheet, { onSuccess: (page) => void goTo(`/lab-sheets/${page.id}`) });
  };
  return (
    <div>
      <FileChoice label="From a file (JSON)" accept=".json,application/json" onFile={(file) => void read(file)} />
      <FaultList faults={faults} title="Nothing was taken in. This is wrong in the file:" />
      {making.error && (
        <p role="alert" className="text-slip">
          {making.error.message}
        </p>
      )}
    </div>
  );
}
