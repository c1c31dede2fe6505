import type { RealTime } from '@green-beam/contract';
import { type Lesson, type PlannedStep } from '@green-beam/core';
import type { ReactNode } from 'react';
import { groupName, toolsInWords } from './in-words.ts';
import { clockAt } from './lesson-draft.ts';

interface CardProps {
  readonly lesson: Lesson;
  readonly plan: readonly PlannedStep[];
  readonly begins: string;
  readonly group: number;
  /** How it went. */
  readonly real?: readonly RealTime[];
  readonly as: 'h2' | 'h3';
}

/** What one group does when, and at which tool. */
export function GroupCard({ lesson, plan, begins, group, real = [], as: Heading }: CardProps): ReactNode {
  const own = plan.filter((one) => one.group === group).sort((a, b) => a.start - b.start || a.end - b.end);
  return (
    <article className="break-inside-avoid">
      <Heading className="text-lg font-bold">{groupName(group)}</Heading>
      <table className="w-full">
        <thead className="sr-only">
          <tr>
            <th scope="col">From</th>
            <th scope="col">What</th>
            <th scope="col">Where</th>
          </tr>
        </thead>
        <tbody>
          {own.map(({ step, start, end, tools }) => {
            const known = lesson.steps.find(({ id }) => id === step);
            const written = real.find((one) => one.group === group && one.step === step);
            return (
              <tr key={step} className="border-t border-hairline align-top">
                <td className="w-16 py-0.5 pr-3 font-mono">{clockAt(begins, start)}</td>
                <td className="py-0.5 pr-3">
                  {known?.name}
                  {known?.attention === 'waiting' && (
                    <span className="text-muted">, goes on until {clockAt(begins, end)}</span>
                  )}
                  {written && (
                    <span className="text-muted">
                      , written from {clockAt(begins, written.from)} to {clockAt(begins, written.to)}
                    </span>
                  )}
                </td>
                <td className="py-0.5 text-right whitespace-nowrap">{toolsInWords(lesson, tools).join(', ')}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </article>
  );
}

/** The cards of all groups. */
export function Cards({ lesson, ...rest }: Omit<CardProps, 'group' | 'as'>): ReactNode {
  return (
    <div className="mt-3 grid gap-x-10 gap-y-6 sm:grid-cols-2 wide:grid-cols-3">
      {Array.from({ length: lesson.groups }, (_, group) => (
        <GroupCard key={group} lesson={lesson} group={group} as="h3" {...rest} />
      ))}
    </div>
  );
}
