import type { ToolImportResult } from '@green-beam/contract';
import { useQueryClient } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { ask } from '../../api/request.ts';
import { ListImport } from '../../ui/list-import.tsx';
import { toolRowsOf } from './cabinet-csv.ts';

/** A list of tools, from a file or pasted. */
export function ImportTools({ classId }: { readonly classId: string }): ReactNode {
  const queries = useQueryClient();
  return (
    <div className="mt-4 border-y border-ink py-5">
      <ListImport
        label="Paste the list, or choose a CSV file. Its first line names the columns: code and tool, and what else there is of kind, tolerance, keeper, state, zero error. Tools that are already on the list stay as they are."
        placeholder={'code,tool,keeper,zero error\nC-08,caliper-twentieth,bench 8,-0.05'}
        into="the cabinet"
        rowsOf={toolRowsOf}
        add={(rows) => ask<ToolImportResult>('POST', `/classes/${classId}/cabinet/list`, { rows })}
        onAdded={() =>
          Promise.all(['cabinet', 'tools'].map((shown) => queries.invalidateQueries({ queryKey: [shown, classId] })))
        }
        fieldWords={{ instrumentId: 'tool', zeroError: 'zero error' }}
      />
    </div>
  );
}
