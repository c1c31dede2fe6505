import type { ReactNode } from 'react';
import { Failed, Loading } from '../../ui/notice.tsx';
import { AttemptList } from '../attempt-list.tsx';
import { SkillLines } from '../skill-lines.tsx';
import { useRecord } from '../use-record.ts';

/** What a student has read so far, and how. */
export default function Record({ classId }: { readonly classId: string | null }): ReactNode {
  const { records, error, more } = useRecord(['record', classId], classId && `/classes/${classId}/record`);
  return (
    <main className="mx-auto w-full max-w-5xl px-4 py-8 wide:px-7">
      <h1 className="text-2xl font-bold">My record</h1>
      {error && <Failed error={error} />}
      {!records && !error && <Loading what="your record" />}
      {records && (
        <>
          <SkillLines skills={records[0]?.skills ?? []} />
          <h2 className="mt-8 mb-2 text-lg font-bold">Readings</h2>
          <AttemptList pages={records.map((record) => record.page)} onMore={more} />
        </>
      )}
    </main>
  );
}
