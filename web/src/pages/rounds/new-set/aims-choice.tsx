import type { BoardRow } from '@green-beam/contract';
import { shownOnPaper, type HouseRules } from '@green-beam/core';
import { useQueries, useQuery } from '@tanstack/react-query';
import { useMemo, type ReactNode } from 'react';
import { ask } from '../../../api/request.ts';
import { Loading } from '../../../ui/notice.tsx';
import { aimGroups, COMMON, commonSlips, type AimGroup } from './aim-groups.ts';
import { askAims } from './ask-worker.ts';
import { Ticks } from '../../../ui/ticks.tsx';

interface AimsChoiceProps {
  readonly classId: string;
  readonly subjectIds: readonly string[];
  readonly rules: HouseRules;
  readonly onPaper: boolean;
  readonly chosen: readonly string[];
  readonly onChange: (aims: readonly string[]) => void;
  readonly error?: string | undefined;
}

function Group({
  group: { name, slips },
  chosen,
  onChange,
}: { readonly group: AimGroup } & Pick<AimsChoiceProps, 'chosen' | 'onChange'>): ReactNode {
  return (
    <div className="grid gap-x-4 sm:grid-cols-[9.5rem_1fr]">
      <span className="pt-1.5 text-small text-muted">{name}</span>
      <Ticks legend={name} hidesLegend options={slips} chosen={chosen} onChange={onChange} />
    </div>
  );
}

function isCommon(group: AimGroup | undefined): group is AimGroup {
  return group?.name === COMMON;
}

function isAmong(groups: readonly AimGroup[], chosen: readonly string[]): boolean {
  return groups.some(({ slips }) => slips.some(({ id }) => chosen.includes(id)));
}

/** The slips that can happen on what is chosen, in the order of the work. */
export function AimsChoice({
  classId,
  subjectIds,
  rules,
  onPaper,
  chosen,
  onChange,
  error,
}: AimsChoiceProps): ReactNode {
  const { data: rows } = useQuery({
    queryKey: ['board', classId],
    queryFn: () => ask<BoardRow[]>('GET', `/classes/${classId}/board`),
  });
  const common = useMemo(() => commonSlips(rows ?? []), [rows]);
  const found = useQueries({
    queries: subjectIds.map((subjectId) => ({
      queryKey: ['aims', subjectId, rules],
      queryFn: () => askAims({ subjectId, rules }),
      staleTime: Infinity,
    })),
    combine: (results) => ({
      ids: [...new Set(results.flatMap(({ data }) => data ?? []))],
      pending: results.some(({ isPending }) => isPending),
    }),
  });
  if (subjectIds.length === 0)
    return (
      <p className="text-muted">
        Choose tools or exercises to aim at one slip. Without an aim, the set finds out which slips each student makes.
      </p>
    );
  const groups = aimGroups(
    found.ids.filter((id) => !onPaper || shownOnPaper(id)),
    common,
  );
  const [first] = groups;
  const others = isCommon(first) ? groups.slice(1) : groups;
  return (
    <div>
      <p className="text-small font-semibold">Aim at a slip, or leave all open to find out</p>
      {isCommon(first) && <Group group={first} chosen={chosen} onChange={onChange} />}
      {others.length > 0 && (
        <details open={!isCommon(first) || isAmong(others, chosen) || undefined}>
          <summary className="min-h-9 cursor-pointer content-center font-semibold">
            All slips that can happen here
          </summary>
          {others.map((group) => (
            <Group key={group.name} group={group} chosen={chosen} onChange={onChange} />
          ))}
        </details>
      )}
      {found.pending && <Loading what="the slips that can happen on these tools" />}
      {error !== undefined && (
        <p role="alert" className="text-small text-slip">
          {error}
        </p>
      )}
    </div>
  );
}
