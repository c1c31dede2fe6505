import type { ReactNode } from 'react';
import { RecordSections } from '../record-sections.tsx';

/** What a student has read so far, and how. */
export default function Record({ classId }: { readonly classId: string | null }): ReactNode {
  return (
    <main className="mx-auto w-full max-w-5xl px-4 py-8 wide:px-7">
      <h1 className="text-2xl font-bold">My progress</h1>
      <RecordSections
        queryKey={['record', classId]}
        path={classId && `/classes/${classId}/record`}
        title="Readings and exercises"
        classId={classId}
      />
    </main>
  );
}
