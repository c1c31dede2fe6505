import type { ReactNode } from 'react';
import { Failed, Loading } from '../ui/notice.tsx';
import { AttemptList } from './attempt-list.tsx';
import { SkillLines } from './skill-lines.tsx';
import { useRecord } from './use-record.ts';

interface RecordSectionsProps {
  readonly queryKey: readonly unknown[];
  /** Where the record is fetched from; null while the class is not known. */
  readonly path: string | null;
  readonly title: string;
  /** What was set for them and how much is done. */
  readonly setRounds: ReactNode;
}

/** Somebody's skills in words, and every attempt with its picture as it was. */
export function RecordSections({ queryKey, path, title, setRounds }: RecordSectionsProps): ReactNode {
  const { records, error, more } = useRecord(queryKey, path);
  if (error) return <Failed error={error} />;
  if (!records) return <Loading what="the readings" />;
  return (
    <>
      <SkillLines skills={records[0]?.skills ?? []} />
      {setRounds}
      <h2 className="mt-8 mb-2 text-lg font-bold">{title}</h2>
      <AttemptList pages={records.map((record) => record.page)} onMore={more} />
    </>
  );
}
