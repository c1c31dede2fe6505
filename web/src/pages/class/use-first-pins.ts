import type { FirstPin } from '@green-beam/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { ask } from '../../api/request.ts';

interface FirstPins {
  readonly handOut: (studentIds: readonly string[]) => void;
  /** Those made last, until they are forgotten. */
  readonly pins: readonly FirstPin[] | undefined;
  readonly forget: () => void;
  readonly error: Error | null;
}

/** Makes first PINs for students of a class; the page holds them until they are printed, and nowhere else. */
export function useFirstPins(classId: string): FirstPins {
  const queries = useQueryClient();
  const { mutate, data, reset, error } = useMutation({
    mutationFn: (studentIds: readonly string[]) =>
      ask<FirstPin[]>('POST', `/classes/${classId}/first-pins`, { studentIds }),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['class', classId] }),
  });
  return { handOut: mutate, pins: data, forget: reset, error };
}
