import { holds, type CaseDimension } from '@green-beam/core';
import { useId, type ReactNode } from 'react';
import type { ToolChoice } from '@green-beam/contract';
import { MemberChoice } from './member-choice.tsx';
import { mayEnter, type OnPage } from './on-page.ts';

type Setup = Pick<OnPage, 'page' | 'run' | 'onWrite'> & { readonly cabinet: readonly ToolChoice[] };

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
  if (!mayEnter(page))
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

/** The steps that belong to the laboratory as the group does it. */
export function stepsOf({ run }: Pick<OnPage, 'run'>): OnPage['run']['setting']['layout']['protocol']['steps'] {
  const { protocol, chosen } = run.setting.layout;
  return protocol.steps.filter(({ when }) => holds(when, chosen));
}
