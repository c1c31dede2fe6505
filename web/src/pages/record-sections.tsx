import type { ReactNode } from 'react';
import { inTheWay } from '../api/in-the-way.ts';
import { Failed, Loading } from '../ui/notice.tsx';
import { AttemptList } from './attempt-list.tsx';
import { useSetRounds } from './use-set-rounds.ts';
import { SetRoundsDone } from './set-rounds-done.tsx';
import { SkillLines } from './skill-lines.tsx';
import { useRecord } from './use-record.ts';

interface RecordSectionsProps {
  readonly queryKey: readonly unknown[];
  /** Where the record is fetched from; null while the class is not known. */
  readonly path: string | null;
  readonly title: string;
  readonly classId: string | null;
  /** Whose record; without it one’s own. */
  readonly studentId?: string;
}

/** Somebody's skills in words, and every attempt with its picture as it was. */
export function RecordSections({ queryKey, path, title, classId, studentId }: RecordSectionsProps): ReactNode {
  const { records, error, more } = useRecord(queryKey, path);
  const set = useSetRounds(classId);
  const failed = inTheWay(error, records);
  if (failed) return <Failed error={failed} />;
  // All of it at once: what came later would push the list away under the hand.
  if (!records || (!set.rounds && !set.error)) return <Loading what="the readings" />;
  return (
    <>
      <SkillLines skills={records[0]?.skills ?? []} />
      <SetRoundsDone rounds={set.rounds ?? []} studentId={studentId} />
      <h2 className="mt-8 mb-2 text-lg font-bold">{title}</h2>
      <AttemptList pages={records.map((record) => record.page)} onMore={more} />
    </>
  );
}
