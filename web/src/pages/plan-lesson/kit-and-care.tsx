import { kitOf, type Lesson, type Protocol } from '@green-beam/core';
import type { ReactNode } from 'react';
import { countInWords } from './in-words.ts';

interface KitProps {
  readonly lesson: Lesson;
  readonly protocols: readonly Protocol[];
}

/** What stands on each bench, and what all share. */
export function Kit({ lesson, protocols }: KitProps): ReactNode {
  const { bench, shared } = kitOf(lesson, protocols);
  const { groups } = lesson;
  return (
    <>
      <h2 className="text-lg font-bold">On each bench{groups > 1 ? `, ${groups} times in all` : ''}</h2>
      <ul className="mt-1 list-disc pl-5">
        {bench.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      {shared.length > 0 && (
        <>
          <h3 className="mt-3 font-bold">For all groups together</h3>
          <ul className="list-disc pl-5">
            {shared.map((tool) => (
              <li key={tool.kind}>
                {countInWords(tool, tool.count ?? groups)}
                {tool.codes.length > 0 && `: ${tool.codes.slice(0, tool.count ?? undefined).join(', ')}`}
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}

/** What can hurt somebody, and who decides. */
export function Care({ protocols }: Pick<KitProps, 'protocols'>): ReactNode {
  const cautions = [...new Set(protocols.flatMap((one) => one.cautions))];
  return (
    <>
      <h2 className="text-lg font-bold text-doubt">Take care</h2>
      <ul className="mt-1 list-disc pl-5">
        {cautions.map((caution) => (
          <li key={caution}>{caution}</li>
        ))}
        <li>What heats or burns by itself is never left alone: one of the group stays with it.</li>
      </ul>
      <p className="mt-2 font-semibold">Your school’s and local rules decide, and the responsible adult is asked.</p>
    </>
  );
}
