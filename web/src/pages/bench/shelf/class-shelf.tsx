import type { SignedIn } from '@green-beam/contract';
import type { ReactNode } from 'react';
import { Failed, Loading } from '../../../ui/notice.tsx';
import { Shelf } from './shelf.tsx';
import { standingInWords } from './standing.ts';
import { useMeetTool, useShelf } from './use-shelf.ts';

/** The shelf of a class: how one stands with each tool; a teacher ticks what the class has met. */
export default function ClassShelf({
  classId,
  signedIn,
  unknown,
}: {
  readonly classId: string;
  readonly signedIn: SignedIn;
  readonly unknown: string | null;
}): ReactNode {
  const { data, error, refetch } = useShelf(classId);
  const { meet, error: refused } = useMeetTool(classId);
  if (!data)
    return (
      <main className="mx-auto w-full max-w-7xl px-4 py-8 wide:px-7">
        {error ? <Failed error={error} again={() => void refetch()} /> : <Loading what="the shelf" />}
      </main>
    );
  const teaches = signedIn.role !== 'student';
  return (
    <Shelf
      mix={data.met.length > 0 ? 'A mix of the tools your class has met' : 'A mix of rulers and cylinders'}
      unknown={unknown}
      standing={(_name, toolIds) => standingInWords(data, toolIds)}
      {...(teaches && {
        tick: (toolId: string, name: string) => (
          <input
            type="checkbox"
            aria-label={`The class has met the ${name}`}
            className="size-5 shrink-0 accent-beam"
            checked={data.met.includes(toolId)}
            onChange={(event) => meet({ toolId, met: event.target.checked })}
          />
        ),
      })}
    >
      {teaches && (
        <p className="mt-2 max-w-prose text-muted">
          Tick the tools that your class knows. The mix uses them. A tool that you demonstrate or set is ticked
          automatically. To share a tool, copy its address from the browser.
        </p>
      )}
      {refused && (
        <p role="alert" className="mt-2 text-slip">
          The tick was not saved. {refused.message}
        </p>
      )}
    </Shelf>
  );
}
