import type { GroupAtWork, MemberAtWork } from '@green-beam/contract';
import { useId, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { standingInWords, standingOf } from './standing.ts';

function Bar({ done, of }: { readonly done: number; readonly of: number }): ReactNode {
  return (
    <span className="inline-block h-2.5 w-28 bg-hairline/60 max-sm:hidden" aria-hidden="true">
      <span className="block h-full bg-ink" style={{ width: `${of === 0 ? 0 : (100 * done) / of}%` }} />
    </span>
  );
}

function Member({ label, calculated, handedInAt }: MemberAtWork): ReactNode {
  return (
    <span className="mr-4 inline-block">
      {label}{' '}
      {calculated && calculated.of > 0 && (
        <span className="ml-1.5 font-mono text-small text-muted">
          <span className="sr-only">has calculated </span>
          {calculated.done}/{calculated.of}
        </span>
      )}
      {handedInAt !== null && calculated && <span className="ml-1.5 text-small text-beam">✓ handed in</span>}{' '}
    </span>
  );
}

/** What a teacher could ask about, in neutral words. */
function Remarks({ group }: { readonly group: GroupAtWork }): ReactNode {
  const numerals = useNumerals();
  const { alike, tooEven } = group;
  if (alike.length === 0 && tooEven.length === 0) return null;
  const places = (value: number): string => value.toPrecision(2);
  return (
    <ul className="mt-1 text-small text-doubt">
      {alike.length > 0 && (
        <li>
          All estimated readings are the same as those of {alike.length === 1 ? 'group' : 'groups'}{' '}
          {alike.join(' and ')}. Ask how they were taken.
        </li>
      )}
      {tooEven.map(({ quantity, name, unit, own, others }) => (
        <li key={quantity}>
          {name}: the repeats scatter by {own === 0 ? '0' : numerals(places(own))} {unit}, those of the other groups by{' '}
          {numerals(places(others))} {unit}. Ask how they were taken.
        </li>
      ))}
    </ul>
  );
}

const TONES = {
  nothing: 'text-muted',
  writing: 'text-ink',
  quiet: 'text-doubt font-semibold',
  read: 'text-beam',
  'handed-in': 'text-beam font-semibold',
} as const;

const GIVEN = { drawn: 'given readings', copied: 'readings of another page' } as const;

/** One group on the board. */
export function GroupRow({
  group,
  number,
  now,
}: {
  readonly group: GroupAtWork;
  readonly number: number;
  readonly now: number;
}): ReactNode {
  const id = useId();
  const { members, readings, given } = group;
  return (
    <tr className="border-t border-hairline align-top">
      <th scope="row" className="py-3 pr-4 text-left font-mono font-semibold" aria-labelledby={`${id} ${id}-link`}>
        <span id={id}>{number}</span>
      </th>
      <td className="py-3 pr-6">
        <Link
          id={`${id}-link`}
          to={`/notebook/${group.runId}`}
          className="inline-flex min-h-6 flex-wrap font-semibold underline decoration-hairline decoration-2 underline-offset-4 hover:decoration-beam"
        >
          {members.map((member) => (
            <Member key={member.id} {...member} />
          ))}
          {members.length === 0 && 'nobody'}
        </Link>
        <Remarks group={group} />
      </td>
      <td className="py-3 pr-6 whitespace-nowrap">
        {given === null ? (
          <>
            <Bar {...readings} />
            <span className="font-mono sm:ml-3">
              {readings.done}/{readings.of}
            </span>
          </>
        ) : (
          <span className="text-muted">{GIVEN[given]}</span>
        )}
      </td>
      <td className={`py-3 whitespace-nowrap ${TONES[standingOf(group, now)]}`}>{standingInWords(group, now)}</td>
    </tr>
  );
}
