import type { HouseRules } from '@green-beam/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { PaperPicture } from '../../../instruments/paper-picture.tsx';
import { Button } from '../../../ui/button.tsx';
import { Loading } from '../../../ui/notice.tsx';
import { Story } from '../../bench/exercise/story.tsx';
import { askExample } from './ask-worker.ts';

interface ExampleItemProps {
  readonly subjectIds: readonly string[];
  readonly aims: readonly string[];
  readonly onPaper: boolean;
  readonly rules: HouseRules;
}

/** One item as students will get it; each gets others. */
export function ExampleItem({ subjectIds, aims, onPaper, rules }: ExampleItemProps): ReactNode {
  const [seed, setSeed] = useState(1);
  const { data: example, isPending } = useQuery({
    queryKey: ['example', subjectIds, aims, onPaper, rules, seed],
    queryFn: () => askExample({ subjectIds, aims, onPaper, rules, seed }),
    staleTime: Infinity,
    // While the next one is drawn the last one stays: the page does not jump.
    placeholderData: (last) => last,
  });
  return (
    <section aria-labelledby="example">
      <h2 id="example" className="text-small font-semibold">
        An example
      </h2>
      {isPending && <Loading what="an example" />}
      {example === null && <p className="mt-2 text-muted">The slips you chose cannot happen on these tools.</p>}
      {example && (
        <>
          <div className="mt-2 flex h-52 items-center bg-surface p-3 [--picture-height:12rem] [&_svg]:max-h-full">
            {example.shown.kind === 'exercise' ? (
              <p>
                <Story parts={example.shown.story} />
              </p>
            ) : (
              <PaperPicture picture={example.shown} label="The tool of the example" />
            )}
          </div>
          <p className="mt-2 font-bold">{example.question}</p>
          <Button look="quiet" className="-ml-2" onClick={() => setSeed(seed + 1)}>
            New example
          </Button>
        </>
      )}
    </section>
  );
}
