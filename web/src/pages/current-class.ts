import type { ClassSummary, SignedIn } from '@green-beam/contract';
import { useQuery } from '@tanstack/react-query';
import { useSyncExternalStore } from 'react';
import { ask } from '../api/request.ts';

const STORE = 'green-beam-class';
const listeners = new Set<() => void>();

/** The class a teacher is looking at, remembered by this browser. */
export function chooseClass(classId: string): void {
  localStorage.setItem(STORE, classId);
  listeners.forEach((listener) => listener());
}

/** The teacher's classes. */
export function useClasses(signedIn: SignedIn | null): {
  classes: readonly ClassSummary[] | undefined;
  error: Error | null;
} {
  const teaches = signedIn !== null && signedIn.role !== 'student';
  const { data, error } = useQuery({
    queryKey: ['classes'],
    queryFn: () => ask<ClassSummary[]>('GET', '/classes'),
    enabled: teaches,
  });
  return { classes: data, error };
}

/** The class the pages are about: a student's own, or the one a teacher has chosen. */
export function useCurrentClass(signedIn: SignedIn | null): string | null {
  const { classes } = useClasses(signedIn);
  const chosen = useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => localStorage.getItem(STORE),
  );
  if (signedIn?.class) return signedIn.class.id;
  const open = classes?.filter((one) => !one.archived) ?? [];
  return classes?.find((one) => one.id === chosen)?.id ?? open[0]?.id ?? classes?.[0]?.id ?? null;
}
