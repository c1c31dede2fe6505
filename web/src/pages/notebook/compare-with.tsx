import { holds, MATERIALS } from '@green-beam/core';
import { useId, type ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { useFieldDraft } from './draft.ts';
import type { OnPage } from './on-page.ts';
import { textAt } from './written.ts';

const COMPARE = 'Compare with';
const ACCEPTED = { kind: 'accepted' } as const;

/** Whether a laboratory’s results are compared with a value that the group chooses. */
export function comparesWithChosen({ run }: Pick<OnPage, 'run'>): boolean {
  const { protocol, chosen } = run.setting.layout;
  return protocol.results.some(({ accepted, when }) => accepted?.kind === 'material' && holds(when, chosen));
}

/** What the results are compared with: a material of the list, or a number of one’s own. */
export function CompareWith({ page, run, onWrite }: Pick<OnPage, 'page' | 'run' | 'onWrite'>): ReactNode {
  const numerals = useNumerals();
  const selectId = useId();
  const fieldId = useId();
  const chosen = textAt(run, ACCEPTED);
  const material = MATERIALS.find(({ id }) => id === chosen);
  const draft = useFieldDraft(material ? '' : chosen, (text) => onWrite(ACCEPTED, text));
  const named = ({ name, density: [least, most] }: (typeof MATERIALS)[number]): string =>
    numerals(`${name}, ${least}${most === least ? '' : ` to ${most}`}`);
  if (!page.mayWrite)
    return (
      <p>
        {COMPARE}: <strong>{material ? named(material) : chosen === '' ? 'nothing yet' : chosen}</strong>
      </p>
    );
  return (
    <div className="flex flex-wrap gap-6">
      <div className="flex flex-col">
        <label htmlFor={selectId} className="text-small font-semibold">
          {COMPARE}
        </label>
        <select
          id={selectId}
          value={material ? chosen : ''}
          onChange={(event) => onWrite(ACCEPTED, event.target.value)}
          className="min-h-11 border-b-2 border-ink bg-surface px-2"
        >
          <option value="" disabled>
            choose
          </option>
          {(['solid', 'liquid'] as const).map((phase) => (
            <optgroup key={phase} label={`${phase}s, g/mL`}>
              {MATERIALS.filter((one) => one.phase === phase).map((one) => (
                <option key={one.id} value={one.id}>
                  {named(one)}
                </option>
              ))}
            </optgroup>
          ))}
        </select>
      </div>
      <div className="flex flex-col">
        <label htmlFor={fieldId} className="text-small font-semibold">
          or with your own value, g/mL
        </label>
        <input
          id={fieldId}
          placeholder={numerals('8.80')}
          maxLength={60}
          className="min-h-11 w-28 border-b-2 border-ink bg-surface px-2 font-mono"
          {...draft}
        />
      </div>
    </div>
  );
}
