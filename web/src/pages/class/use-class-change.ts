import type { ClassDetails } from '@green-beam/contract';
import { useMutation, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import { ask } from '../../api/request.ts';

/** A change of a class: how, where below its address, and with what. */
export type Change = readonly [method: 'POST' | 'PATCH' | 'DELETE', path: string, body?: unknown];

/** Changes a class and fetches again what shows it. */
export function useClassChange(classId: string): UseMutationResult<ClassDetails | undefined, Error, Change> {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ([method, path, body]: Change) =>
      ask<ClassDetails | undefined>(method, `/classes/${classId}${path}`, body),
    onSuccess: () =>
      Promise.all(
        ['class', 'classes', 'board', 'classmates'].map((shown) =>
          queries.invalidateQueries({ queryKey: shown === 'classes' ? [shown] : [shown, classId] }),
        ),
      ),
  });
}
