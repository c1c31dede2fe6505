import { chosenMembersFrom, addressKey, holds, instrumentById, type CaseDimension } from '@green-beam/core';
import { useId, type ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import type { OnPage } from './on-page.ts';

type Setup = Pick<OnPage, 'page' | 'run' | 'onWrite'>;

/** The case dimensions whose members a group chooses. */
function chosenDimensions({ run }: Pick<OnPage, 'run'>): CaseDimension[] {
  return [...run.setting.layout.dimensions.values()].flatMap((dimension) =>
    dimension.kind === 'case' && dimension.choose ? [dimension] : [],
  );
}

/** Whether a laboratory leaves anything to be chosen before it is begun. */
export function hasSetUp(on: Pick<OnPage, 'run'>): boolean {
  return on.run.setting.layout.protocol.options.length > 0 || chosenDimensions(on).length > 0;
}

/** How the group does its laboratory: the options, and which of several things it measures. */
export function SetUp(props: Setup): ReactNode {
  const { layout } = props.run.setting;
  return (
    <div className="flex flex-col gap-6">
      {layout.protocol.options.map((option) => (
        <OptionChoice key={option.id} {...props} option={option} chosen={layout.chosen[option.id] ?? ''} />
      ))}
      {chosenDimensions(props).map((dimension) => (
        <MemberChoice key={dimension.id} {...props} dimension={dimension} />
      ))}
    </div>
  );
}

function OptionChoice({
  page,
  option,
  chosen,
  onWrite,
}: Setup & {
  readonly option: OnPage['run']['setting']['layout']['protocol']['options'][number];
  readonly chosen: string;
}): ReactNode {
  const id = useId();
  if (!page.mayWrite)
    return (
      <p>
        {option.name} <strong>{option.choices.find((choice) => choice.id === chosen)?.name}</strong>
      </p>
    );
  return (
    <fieldset>
      <legend className="text-small font-semibold">{option.name}</legend>
      {option.choices.map((choice) => (
        <label key={choice.id} className="flex min-h-11 items-center gap-3">
          <input
            type="radio"
            name={id}
            className="size-5 accent-beam"
            checked={choice.id === chosen}
            onChange={() => onWrite({ kind: 'option', option: option.id }, choice.id)}
          />
          {choice.name}
        </label>
      ))}
    </fieldset>
  );
}

/** Which members of a case the group has, as many as the laboratory allows. */
function MemberChoice({ page, run, dimension, onWrite }: Setup & { readonly dimension: CaseDimension }): ReactNode {
  const numerals = useNumerals();
  const { least = 1, most = 1 } = dimension.choose ?? {};
  const address = { kind: 'members', dimension: dimension.id } as const;
  const written = run.setting.slots.get(addressKey(address))?.current.text ?? '';
  const members = chosenMembersFrom(written) ?? [];
  const present = (run.setting.members.get(dimension.id) ?? []).map(({ id }) => id);
  const isIn = (id: string): boolean => present.includes(id);
  const change = (id: string): void => {
    const next = isIn(id) ? present.filter((one) => one !== id) : [...present, id];
    const inOrder = [
      ...dimension.members.map((member) => member.id).filter((one) => next.includes(one)),
      ...next.filter((one) => !dimension.members.some((member) => member.id === one)),
    ];
    onWrite(address, JSON.stringify(inOrder.map((one) => members.find((member) => member.id === one) ?? { id: one })));
  };
  if (!page.mayWrite)
    return (
      <p>
        {dimension.name}:{' '}
        <strong>{(run.setting.members.get(dimension.id) ?? []).map(({ name }) => name).join(', ')}</strong>
      </p>
    );
  return (
    <fieldset>
      <legend className="text-small font-semibold">
        {dimension.name}: {least === most ? least : `${least} to ${most}`} of these
      </legend>
      {dimension.members.map(({ id, name, tool }) => (
        <label key={id} className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="size-5 accent-beam"
            checked={isIn(id)}
            disabled={isIn(id) ? present.length <= least : present.length >= most}
            onChange={() => change(id)}
          />
          {name}
          {tool !== undefined && <span className="text-muted">{numerals(instrumentById(tool).name)}</span>}
        </label>
      ))}
    </fieldset>
  );
}

/** The steps that belong to the laboratory as the group does it. */
export function stepsOf({ run }: Pick<OnPage, 'run'>): OnPage['run']['setting']['layout']['protocol']['steps'] {
  const { protocol, chosen } = run.setting.layout;
  return protocol.steps.filter(({ when }) => holds(when, chosen));
}
