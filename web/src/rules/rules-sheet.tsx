import type { RulesShown } from '@green-beam/contract';
import { DEFAULT_RULES, PRESETS } from '@green-beam/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { ask } from '../api/request.ts';
import { Dialog } from '../ui/dialog.tsx';
import { Failed, Loading } from '../ui/notice.tsx';
import { rulesInWords } from './rules-in-words.ts';

const VISITORS: RulesShown = { name: PRESETS[0]?.name ?? '', version: 1, rules: DEFAULT_RULES };

/** The rules of a class, or the defaults while nobody is signed in. */
export function useHouseRules(classId: string | null): { rules: RulesShown | undefined; error: Error | null } {
  const { data, error } = useQuery({
    queryKey: ['rules', classId],
    queryFn: () => (classId === null ? Promise.resolve(VISITORS) : ask<RulesShown>('GET', `/classes/${classId}/rules`)),
  });
  return { rules: data, error };
}

interface RulesSheetProps {
  readonly classId: string | null;
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
}

/** The class’s house rules, one tap away from everywhere. */
export default function RulesSheet({ classId, open, onOpenChange }: RulesSheetProps): ReactNode {
  const { rules, error } = useHouseRules(classId);
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="House rules" description={rules ? `${rules.name}. Books disagree; this is how this class reads, writes and judges.` : ''}>
      {error && <Failed error={error} />}
      {!rules && !error && <Loading what="the house rules" />}
      {rules && (
        <dl>
          {rulesInWords(rules.rules).map(({ topic, rule }) => (
            <div key={topic} className="grid grid-cols-[8rem_1fr] gap-4 border-t border-hairline py-3">
              <dt className="text-muted">{topic}</dt>
              <dd>{rule}</dd>
            </div>
          ))}
        </dl>
      )}
    </Dialog>
  );
}
