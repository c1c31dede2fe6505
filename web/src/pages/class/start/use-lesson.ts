import type { Absence, LessonShown } from '@green-beam/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import { inTheWay } from '../../../api/in-the-way.ts';
import { ask } from '../../../api/request.ts';

interface Lesson {
  readonly lesson: LessonShown | undefined;
  readonly error: Error | null;
  /** Marks a student as away today, or as not. */
  readonly mark: (studentId: string, away: boolean) => void;
  /** Lets somebody in who is not on the list, or does not. */
  readonly answer: (personId: string, admit: boolean) => void;
  readonly endCover: (id: string) => void;
  /** Why the last of these was not done. */
  readonly refused: Error | null;
}

/** The lesson of a class today, kept up to date by its events. */
export function useLesson(classId: string): Lesson {
  const queries = useQueryClient();
  const day = format(new Date(), 'yyyy-MM-dd');
  const key = ['lesson', classId, day];
  const url = `/classes/${classId}`;
  const { data: lesson, error } = useQuery({
    queryKey: key,
    queryFn: () => ask<LessonShown>('GET', `${url}/lesson/${day}`),
  });
  const change = useMutation({
    mutationFn: ([method, path, body]: readonly ['PUT' | 'POST' | 'DELETE', string, unknown?]) =>
      ask<LessonShown | undefined>(method, url + path, body),
    onSettled: () => queries.invalidateQueries({ queryKey: ['lesson', classId] }),
  });
  return {
    lesson,
    error: inTheWay(error, lesson),
    mark: (studentId, away) => change.mutate(['PUT', `/absences/${studentId}`, { day, away } satisfies Absence]),
    answer: (personId, admit) => change.mutate(['POST', `/admissions/${personId}`, { admit }]),
    endCover: (id) => change.mutate(['DELETE', `/covers/${id}`]),
    refused: change.error,
  };
}
