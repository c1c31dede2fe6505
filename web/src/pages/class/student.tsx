import type { BoardRow } from '@green-beam/contract';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { ask } from '../../api/request.ts';
import { RecordSections } from '../record-sections.tsx';

/** One student for the teacher. */
export default function StudentPage({ classId }: { readonly classId: string | null }): ReactNode {
  const { studentId = '' } = useParams();
  const { data: board } = useQuery({
    queryKey: ['board', classId],
    queryFn: () => ask<BoardRow[]>('GET', `/classes/${classId ?? ''}/board`),
    enabled: classId !== null,
  });
  return (
    <main className="mx-auto w-full max-w-5xl px-4 py-8 wide:px-7">
      <p>
        <Link to="/class" className="text-muted underline underline-offset-4">
          Class
        </Link>
      </p>
      <h1 className="mt-1 text-2xl font-bold">{board?.find((row) => row.id === studentId)?.label ?? 'Student'}</h1>
      <RecordSections
        queryKey={['student-record', classId, studentId]}
        path={classId && `/classes/${classId}/students/${studentId}/record`}
        title="Attempts"
        classId={classId}
        studentId={studentId}
      />
    </main>
  );
}
