import type { NewGroup, OpeningBoard } from '@green-beam/contract';
import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';
import { newId } from '../../outbox/new-id.ts';
import { Button } from '../../ui/button.tsx';
import type { BoardChange } from './use-openings.ts';

interface WithoutProps {
  readonly board: OpeningBoard;
  readonly onChange: (change: BoardChange) => void;
  readonly isBusy: boolean;
}

type Student = OpeningBoard['without'][number];

const ITEM =
  'flex min-h-11 cursor-default items-center px-4 outline-none data-disabled:text-muted data-highlighted:bg-wash';
const LABEL = 'px-4 pt-3 pb-1 text-small font-semibold text-muted';

/** One student’s own page with readings that somebody else has taken, or nobody. */
function givenTo(id: string, more: Partial<NewGroup>): BoardChange {
  const group = { runId: newId(), memberIds: [id], given: 'drawn' as const, from: null, sample: 0, ...more };
  return { kind: 'more', more: { groups: [group] } };
}

/** What there is to offer to somebody who is in no group. */
function Offers({ student, board, onChange, isBusy }: WithoutProps & { readonly student: Student }): ReactNode {
  const { id, label, excused } = student;
  const open = board.atWork.filter(({ given, handedInAt }) => given === null && handedInAt === null);
  const excuse = (): void =>
    onChange({
      kind: 'opening',
      change: {
        excused: board.without.filter((one) => (one.id === id ? !excused : one.excused)).map((one) => one.id),
      },
    });
  const number = (runId: string): number => board.atWork.findIndex((one) => one.runId === runId) + 1;
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <Button look="quiet" disabled={isBusy} aria-label={`Offer work to ${label}`}>
          Offer work
        </Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          className="z-50 max-h-96 overflow-y-auto border border-ink bg-paper py-1"
          align="start"
          collisionPadding={8}
        >
          <DropdownMenu.Item className={ITEM} onSelect={excuse}>
            {excused ? 'Does it after all' : 'Is excused'}
          </DropdownMenu.Item>
          <DropdownMenu.Label className={LABEL}>Works with</DropdownMenu.Label>
          {open.map(({ runId, members }) => (
            <DropdownMenu.Item
              key={runId}
              className={ITEM}
              onSelect={() =>
                onChange({ kind: 'group', runId, change: { memberIds: [...members.map((one) => one.id), id] } })
              }
            >
              Group {number(runId)}, {members.map((one) => one.label).join(', ')}
            </DropdownMenu.Item>
          ))}
          <DropdownMenu.Item className={ITEM} onSelect={() => onChange(givenTo(id, { given: null }))}>
            nobody, on a page of their own
          </DropdownMenu.Item>
          <DropdownMenu.Label className={LABEL}>Calculates alone with</DropdownMenu.Label>
          <DropdownMenu.Item className={ITEM} onSelect={() => onChange(givenTo(id, {}))}>
            given readings, different from all others
          </DropdownMenu.Item>
          {board.atWork
            .filter(({ given, readings }) => given === null && readings.done > 0)
            .map(({ runId }) => (
              <DropdownMenu.Item
                key={runId}
                className={ITEM}
                onSelect={() => onChange(givenTo(id, { given: 'copied', from: runId }))}
              >
                the readings of group {number(runId)}, as they are now
              </DropdownMenu.Item>
            ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

/** Students who are in no group of a laboratory, and what each could do. */
export function WithoutGroup(props: WithoutProps): ReactNode {
  const { without } = props.board;
  if (without.length === 0) return null;
  const left = without.filter(({ excused }) => !excused).length;
  return (
    <section className="mt-8" aria-labelledby="without-title">
      <h3 id="without-title" className="font-bold">
        In no group: {left === 0 ? 'only who is excused' : left}
      </h3>
      <ul className="mt-1 grid grid-cols-[repeat(auto-fill,minmax(17rem,1fr))] gap-x-6">
        {without.map((student) => (
          <li key={student.id} className="flex min-h-11 items-center justify-between border-t border-hairline">
            <span className={student.excused ? 'text-muted' : ''}>
              {student.label}
              {student.excused && ', excused'}
            </span>
            <Offers {...props} student={student} />
          </li>
        ))}
      </ul>
    </section>
  );
}
