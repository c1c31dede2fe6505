import type { ToolChoice } from '@green-beam/contract';
import {
  addressKey,
  chosenMembersFrom,
  instrumentById,
  instrumentsOfKinds,
  type CaseDimension,
} from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { mayEnter, type OnPage } from './on-page.ts';

/** A member as the log keeps it. */
type Chosen = NonNullable<ReturnType<typeof chosenMembersFrom>>[number];

interface MemberChoiceProps extends Pick<OnPage, 'page' | 'run' | 'onWrite'> {
  readonly dimension: CaseDimension;
  readonly cabinet: readonly ToolChoice[];
}

/** Which members of a case the group has, as many as the laboratory allows; where they are tools, any that fits can be one. */
export function MemberChoice({ page, run, dimension, cabinet, onWrite }: MemberChoiceProps): ReactNode {
  const numerals = useNumerals();
  const { least = 1, most = 1 } = dimension.choose ?? {};
  const address = { kind: 'members', dimension: dimension.id } as const;
  const written = chosenMembersFrom(run.setting.slots.get(addressKey(address))?.current.text ?? '') ?? [];
  const there = run.setting.members.get(dimension.id) ?? [];
  const present: Chosen[] = there.map(({ id }) => written.find((member) => member.id === id) ?? { id });
  const others = there.filter(({ id }) => !dimension.members.some((member) => member.id === id));
  const write = (members: readonly Chosen[]): void => onWrite(address, JSON.stringify(members));
  const change = (id: string): void => {
    const next = present.some((member) => member.id === id)
      ? present.filter((member) => member.id !== id)
      : [...present, { id }];
    const place = ({ id: one }: Chosen): number =>
      dimension.members.findIndex((member) => member.id === one) + 1 || Infinity;
    write([...next].sort((first, second) => (place(first) === place(second) ? 0 : place(first) - place(second))));
  };
  if (!mayEnter(page))
    return (
      <p>
        {dimension.name}: <strong>{there.map(({ name }) => name).join(', ')}</strong>
      </p>
    );
  const box = (id: string, name: string, detail: string): ReactNode => {
    const isIn = present.some((member) => member.id === id);
    return (
      <label key={id} className="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="size-5 accent-beam"
          checked={isIn}
          disabled={isIn ? present.length <= least : present.length >= most}
          onChange={() => change(id)}
        />
        {name}
        <span className="text-muted">{numerals(detail)}</span>
      </label>
    );
  };
  return (
    <fieldset>
      <legend className="text-small font-semibold">
        {dimension.name}: {least === most ? least : `${least} to ${most}`} of these
      </legend>
      {dimension.members.map(({ id, name, tool }) =>
        box(id, name, tool === undefined ? '' : instrumentById(tool).name),
      )}
      {others.map(({ id, name }) => box(id, numerals(name), ''))}
      {dimension.tools && present.length < most && (
        <AnotherTool
          name={dimension.name}
          kinds={instrumentsOfKinds(dimension.tools)}
          cabinet={cabinet}
          taken={present.map(({ id }) => id)}
          onChoose={(member) => write([...present, member])}
        />
      )}
    </fieldset>
  );
}

interface AnotherToolProps {
  readonly name: string;
  readonly kinds: readonly string[];
  readonly cabinet: readonly ToolChoice[];
  readonly taken: readonly string[];
  readonly onChoose: (member: Chosen) => void;
}

/** A tool of the cabinet, or any of a kind, as a further member. */
function AnotherTool({ name, kinds, cabinet, taken, onChoose }: AnotherToolProps): ReactNode {
  const numerals = useNumerals();
  const own = cabinet.filter(({ instrumentId, code }) => kinds.includes(instrumentId) && !taken.includes(code));
  const choose = (value: string): void => {
    const tool = own.find(({ id }) => id === value);
    onChoose(
      tool
        ? { id: tool.code, tool: `${tool.instrumentId}; ${tool.code}; ${tool.zeroError ?? ''}` }
        : { id: value, tool: value },
    );
  };
  return (
    <label className="mt-1 flex flex-wrap items-center gap-3">
      <span className="text-small font-semibold">Another one</span>
      <select
        value=""
        aria-label={`${name}: another one`}
        onChange={(event) => choose(event.target.value)}
        className="min-h-11 border-b-2 border-ink bg-surface px-2"
      >
        <option value="" disabled>
          choose
        </option>
        {own.length > 0 && (
          <optgroup label="of the cabinet">
            {own.map(({ id, code, instrumentId }) => (
              <option key={id} value={id}>{`${code}, ${numerals(instrumentById(instrumentId).name)}`}</option>
            ))}
          </optgroup>
        )}
        <optgroup label="any of its kind">
          {kinds
            .filter((id) => !taken.includes(id))
            .map((id) => (
              <option key={id} value={id}>
                {numerals(instrumentById(id).name)}
              </option>
            ))}
        </optgroup>
      </select>
    </label>
  );
}
