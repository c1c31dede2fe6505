import type { LabSheetChange, LabSheetDraft, LabSheetPage, LabSheetSummary } from '@green-beam/contract';
import {
  useMutation,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { useState } from 'react';
import { ask } from '../../api/request.ts';
import { newId } from '../../outbox/new-id.ts';
import { whenSaved } from '../../saving/leaving.ts';

const LIST = ['lab-sheets'] as const;

/** What a lab sheet is known by in this tab. */
export const sheetKey = (id: string): string => `lab-sheet ${id}`;

/** What is to be saved of a lab sheet, and where. */
export function writtenSheet({ id, revision, draft }: LabSheetPage): {
  key: string;
  path: string;
  revision: number;
  draft: LabSheetDraft;
} {
  return { key: sheetKey(id), path: `/lab-sheets/${id}/draft`, revision, draft };
}

/** The lab sheets that a teacher may look at. */
export function useLabSheets(): UseQueryResult<LabSheetSummary[]> {
  return useQuery({ queryKey: LIST, queryFn: () => ask<LabSheetSummary[]>('GET', '/lab-sheets') });
}

export function useLabSheet(id: string): UseQueryResult<LabSheetPage> {
  // Every visit begins with what the server has then; what is being written is not replaced by what is fetched meanwhile.
  const [visit] = useState(newId);
  return useQuery({
    queryKey: [...LIST, id, visit],
    queryFn: async () => {
      await whenSaved(sheetKey(id));
      return ask<LabSheetPage>('GET', `/lab-sheets/${id}`);
    },
    staleTime: Infinity,
    gcTime: 0,
  });
}

/** An id of a new lab sheet. */
const newSheetId = (): string => `own-${newId()}`;

/** Begins a lab sheet from something: an empty one, a copy, a file. */
export function useNewLabSheet(): UseMutationResult<LabSheetPage, Error, LabSheetDraft> {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (draft) => ask<LabSheetPage>('POST', '/lab-sheets', { id: newSheetId(), draft }),
    onSuccess: () => queries.invalidateQueries({ queryKey: LIST, exact: true }),
  });
}

/** Shares one, retires it, or brings it back. */
export function useLabSheetChange(id: string): UseMutationResult<LabSheetPage, Error, LabSheetChange> {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (change) => ask<LabSheetPage>('PATCH', `/lab-sheets/${id}`, change),
    onSuccess: () => queries.invalidateQueries({ queryKey: LIST, exact: true }),
  });
}

/** Puts one in use. The error of a refusal carries what is wrong. */
export function useLabSheetUse(id: string): UseMutationResult<LabSheetPage, Error, number> {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (revision) => ask<LabSheetPage>('POST', `/lab-sheets/${id}/use`, { revision }),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['laboratories'] });
      await queries.invalidateQueries({ queryKey: LIST, exact: true });
    },
  });
}

export function useLabSheetRemoval(id: string): UseMutationResult<void, Error, void> {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: () => ask<undefined>('DELETE', `/lab-sheets/${id}`),
    onSuccess: () => queries.invalidateQueries({ queryKey: LIST, exact: true }),
  });
}
