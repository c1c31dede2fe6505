import type { RosterResult } from '@green-beam/contract';
import { useQueryClient } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { ask } from '../../api/request.ts';
import { ListImport } from '../../ui/list-import.tsx';
import { rowsOf } from './roster-rows.ts';

/** A class list, from a file or pasted. */
export function ImportRoster({ classId }: { readonly classId: string }): ReactNode {
  const queries = useQueryClient();
  return (
    <div className="mt-2">
      <ListImport
        label="Paste the list, first name and last name on each line with a comma between, or choose a CSV file."
        placeholder={'first name,last name\nIlse,Okafor'}
        into="the class"
        rowsOf={rowsOf}
        add={(rows) => ask<RosterResult>('POST', `/classes/${classId}/students`, { rows })}
        onAdded={() =>
          Promise.all(['class', 'board'].map((shown) => queries.invalidateQueries({ queryKey: [shown, classId] })))
        }
        fieldWords={{ firstName: 'first name', lastName: 'last name' }}
      />
    </div>
  );
}
