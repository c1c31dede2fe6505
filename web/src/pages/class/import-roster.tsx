import type { RosterResult } from '@green-beam/contract';
import { useQueryClient } from '@tanstack/react-query';
import { useRef, type ReactNode } from 'react';
import { ask } from '../../api/request.ts';
import { newId } from '../../outbox/new-id.ts';
import { ListImport } from '../../ui/list-import.tsx';
import { rowsOf } from './roster-rows.ts';

/** A class list, from a file or pasted. */
export function ImportRoster({ classId }: { readonly classId: string }): ReactNode {
  const queries = useQueryClient();
  // A row keeps its id while it stays as it is, so that a list that is sent again adds nobody twice.
  const ids = useRef(new Map<string, string>());
  const idOf = (name: string): string => {
    const id = ids.current.get(name) ?? newId();
    ids.current.set(name, id);
    return id;
  };
  return (
    <div className="mt-2">
      <ListImport
        label="Paste the list, first name and last name on each line with a comma between, or choose a CSV file."
        placeholder={'first name,last name\nIlse,Okafor'}
        into="the class"
        rowsOf={rowsOf}
        add={(names) =>
          ask<RosterResult>('POST', `/classes/${classId}/students`, {
            rows: names.map((name, i) => ({ id: idOf(`${i} ${name.firstName} ${name.lastName}`), ...name })),
          })
        }
        onAdded={() =>
          Promise.all(['class', 'board'].map((shown) => queries.invalidateQueries({ queryKey: [shown, classId] })))
        }
        fieldWords={{ firstName: 'first name', lastName: 'last name' }}
      />
    </div>
  );
}
