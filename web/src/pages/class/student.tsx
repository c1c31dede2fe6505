import type { BoardRow } from '@green-beam/contract';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { ask } from '../../api/request.ts';
import { Failed, Loading } from '../../ui/notice.tsx';
import { AttemptList } from '../attempt-list.tsx';
import { SkillLines } from '../skill-lines.tsx';
import { useRecord } from '../use-record.ts';

/** One student for the teacher: skills in words, and every attempt with its picture as it was. */
export default function StudentPage({ classId }: { readonly classId: string | null }): ReactNode {
  const { studentId = '' } = useParams();
  const { records, error, more } = useRecord(['student-record', classId, studentId], classId && `/classes/${classId}/students/${studentId}/record`);
  const { data: board } = useQuery({ queryKey: ['board', classId], queryFn: () => ask<BoardRow[]>('GET', `/classes/${classId ?? ''}/board`), enabled: classId !== null });
  return (
    <main className="mx-auto w-full max-w-5xl px-4 py-8 wide:px-7">
      <p>
        <Link to="/class" className="text-muted underline underline-offset-4">Class</Link>
      </p>
      <h1 className="mt-1 text-2xl font-bold">{board?.find((row) => row.id === studentId)?.label ?? 'Student'}</h1>
      {error && <Failed error={error} />}
      {!records && !error && <Loading what="the attempts" />}
      {records && (
        <>
          <SkillLines skills={records[0]?.skills ?? []} />
          <h2 className="mt-8 mb-2 text-lg font-bold">Attempts</h2>
          <AttemptList pages={records.map((record) => record.page)} onMore={more} />
        </>
      )}
    </main>
  );
}
