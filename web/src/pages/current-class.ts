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

/** The class the pages are about. */
interface CurrentClass {
  /** A student's own, or the one a teacher has chosen; null where there is none, undefined until the server has said which there are. */
  readonly classId: string | null | undefined;
  readonly error: Error | null;
}

export function useCurrentClass(signedIn: SignedIn | null): CurrentClass {
  const { classes, error } = useClasses(signedIn);
  const chosen = useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => localStorage.getItem(STORE),
  );
  if (signedIn === null || signedIn.role === 'student') return { classId: signedIn?.class?.id ?? null, error: null };
  if (!classes) return { classId: undefined, error };
  const open = classes.filter((one) => !one.archived);
  const current = classes.find((one) => one.id === chosen) ?? open[0] ?? classes[0];
  return { classId: current?.id ?? null, error: null };
}
