import type { RunPage } from '@green-beam/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import type { ReactNode } from 'react';
import { ask } from '../../api/request.ts';
import { Button } from '../../ui/button.tsx';
import { Confirm } from '../../ui/confirm.tsx';

/** By which rules a page is worked, since when, and for a teacher the way to the class’s present ones. */
export function RunRules({ page, classId }: { readonly page: RunPage; readonly classId: string }): ReactNode {
  const queries = useQueryClient();
  const change = useMutation({
    mutationFn: () => ask<RunPage>('POST', `/classes/${classId}/runs/${page.id}/rules`),
    onSuccess: (changed) => queries.setQueryData(['run', classId, page.id], changed),
  });
  return (
    <div className="text-muted">
      <p>
        {page.title}
        {page.title.endsWith('?') ? '' : '.'} Class rules: {page.rulesName}
        {page.rulesChanges.map(({ by, at, name }) => (
          <span key={at}>
            ; {name} since {format(new Date(at), 'd MMM, HH:mm')}, by {by}
          </span>
        ))}
        .
      </p>
      {page.newerRules !== null && (
        <p className="flex flex-wrap items-center gap-x-3 text-doubt">
          The class now works by “{page.newerRules}”. This page was begun before that.
          <Confirm
            trigger={
              <Button look="quiet" disabled={change.isPending}>
                Use the new rules
              </Button>
            }
            title={`Use “${page.newerRules}”?`}
            text="Every result on this page is worked out again by those rules. What the group wrote does not change. The page shows the change and your name."
            action="Use them"
            keep="Leave it"
            onConfirm={() => change.mutate()}
          />
        </p>
      )}
      {change.error && (
        <p role="alert" className="text-small text-slip">
          {change.error.message}
        </p>
      )}
    </div>
  );
}
