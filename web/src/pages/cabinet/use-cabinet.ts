import type { NewTool, NewToolNote, ToolChange, ToolChoice, ToolShown } from '@green-beam/contract';
import { useMutation, useQuery, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import { ask } from '../../api/request.ts';

const keyOf = (classId: string): readonly unknown[] => ['cabinet', classId];

/** The class’s cabinet, for its teachers. */
export function useCabinet(classId: string | null): { tools: readonly ToolShown[] | undefined; error: Error | null } {
  const { data, error } = useQuery({
    queryKey: keyOf(classId ?? ''),
    queryFn: () => ask<ToolShown[]>('GET', `/classes/${classId ?? ''}/cabinet`),
    enabled: classId !== null,
  });
  return { tools: data, error };
}

/** Tools of the class that may be used, for everybody in it. */
export function useToolChoices(classId: string | null): readonly ToolChoice[] {
  const { data = [] } = useQuery({
    queryKey: ['tools', classId],
    queryFn: () => ask<ToolChoice[]>('GET', `/classes/${classId ?? ''}/tools`),
    enabled: classId !== null,
  });
  return data;
}

/** What can be done to a cabinet. */
export type CabinetChange =
  | { readonly kind: 'add'; readonly tool: NewTool }
  | { readonly kind: 'change'; readonly id: string; readonly change: ToolChange }
  | { readonly kind: 'note'; readonly id: string; readonly note: NewToolNote }
  | { readonly kind: 'remove'; readonly id: string };

function sent(classId: string, change: CabinetChange): Promise<ToolShown[]> {
  const path = `/classes/${classId}/cabinet`;
  switch (change.kind) {
    case 'add':
      return ask('POST', path, change.tool);
    case 'change':
      return ask('PATCH', `${path}/${change.id}`, change.change);
    case 'note':
      return ask('POST', `${path}/${change.id}/notes`, change.note);
    case 'remove':
      return ask('DELETE', `${path}/${change.id}`);
  }
}

/** Changes the cabinet, and shows it as it is then; after a refusal too, since somebody else may have changed it. */
export function useCabinetChange(classId: string): UseMutationResult<ToolShown[], Error, CabinetChange> {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (change: CabinetChange) => sent(classId, change),
    onSuccess: async (tools) => {
      queries.setQueryData(keyOf(classId), tools);
      await queries.invalidateQueries({ queryKey: ['tools', classId] });
    },
    onError: () => queries.invalidateQueries({ queryKey: keyOf(classId) }),
  });
}
