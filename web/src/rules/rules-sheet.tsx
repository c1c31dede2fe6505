import type { ReactNode } from 'react';
import { Dialog } from '../ui/dialog.tsx';
import { Failed, Loading } from '../ui/notice.tsx';
import { useRulesHere } from './house-rules.ts';
import { rulesInWords } from './rules-in-words.ts';

interface RulesSheetProps {
  readonly classId: string | null;
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
}

/** The class’s house rules, one tap away from everywhere. */
export default function RulesSheet({ classId, open, onOpenChange }: RulesSheetProps): ReactNode {
  const { rules, error } = useRulesHere(classId);
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="Class rules"
      description={rules ? `${rules.name}. Textbooks differ. This is how your class reads, writes and judges.` : ''}
    >
      {error && <Failed error={error} />}
      {!rules && !error && <Loading what="the class rules" />}
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
