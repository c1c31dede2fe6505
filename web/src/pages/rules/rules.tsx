import type { RulesShown } from '@green-beam/contract';
import { contradictionIn, PRESETS, RULE_CHOICES, SKILLS, type Estimate, type HouseRules } from '@green-beam/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { ask } from '../../api/request.ts';
import { useHouseRules } from '../../rules/house-rules.ts';
import { FIRST_QUESTIONS, RULE_GROUPS, RULE_WORDS, type ChoiceRule } from '../../rules/rule-words.ts';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { Failed, Loading, Notice } from '../../ui/notice.tsx';
import { QuotedFactors } from './quoted-factors.tsx';
import { ReadingRules } from './reading-rules.tsx';
import { optionsOf, RuleRow } from './rule-row.tsx';
import { RuleExamples } from './rule-examples.tsx';

/** Families read by estimating between marks; burettes have a rule of their own. */
const FAMILIES = SKILLS.filter(
  ({ id }) => !['burettes', 'volumetric-glassware', 'digital-balances', 'clocks'].includes(id),
);

interface EditorProps {
  /** Whether the rules beside the first questions are shown. */
  readonly unfolded: boolean;
  readonly onUnfold: (unfolded: boolean) => void;
  readonly classId: string;
  readonly present: RulesShown;
  readonly onSaved: (saved: RulesShown) => void;
}

/** The rules as they would be; nothing is changed for the class before they are saved. */
function Editor({ classId, present, unfolded, onUnfold, onSaved }: EditorProps): ReactNode {
  const queries = useQueryClient();
  const [draft, setDraft] = useState(present.rules);
  const [name, setName] = useState(present.name);
  const save = useMutation({
    mutationFn: () =>
      ask<RulesShown>('POST', `/classes/${classId}/rules`, { name, rules: draft, after: present.version }),
    onSuccess: (saved) => {
      queries.setQueryData(['rules', classId], saved);
      onSaved(saved);
    },
  });
  const contradiction = contradictionIn(draft);
  // What two rules disagree on is never folded away.
  const blamed = contradiction !== null && !FIRST_QUESTIONS.some((rule) => rule === contradiction.rule);
  const dirty = name !== present.name || JSON.stringify(draft) !== JSON.stringify(present.rules);
  const choose = (rule: ChoiceRule, value: string): void => {
    const choice = RULE_CHOICES[rule].find((one) => String(one) === value);
    if (choice !== undefined) setDraft({ ...draft, [rule]: choice });
  };
  const estimateOf = (family: string, value: string): void => {
    const others = Object.fromEntries(Object.entries(draft.estimateByFamily).filter(([id]) => id !== family));
    setDraft({ ...draft, estimateByFamily: value === '' ? others : { ...others, [family]: value as Estimate } });
  };
  const startFrom = (preset: { readonly name: string; readonly rules: HouseRules }): void => {
    setDraft({ ...preset.rules, quotedFactors: draft.quotedFactors });
    setName(preset.name);
  };
  const rowOf = (rule: ChoiceRule): ReactNode => (
    <RuleRow
      key={rule}
      label={RULE_WORDS[rule].label}
      value={String(draft[rule])}
      options={optionsOf(rule)}
      changed={draft[rule] !== present.rules[rule]}
      error={contradiction?.rule === rule ? contradiction.message.replace(/^\w+: /, '') : undefined}
      onChange={(value) => choose(rule, value)}
    />
  );
  return (
    <div className="grid grid-cols-1 gap-x-10 gap-y-8 wide:grid-cols-[minmax(0,1fr)_19rem]">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          save.mutate();
        }}
      >
        <fieldset>
          <legend className="font-semibold">Start from a method</legend>
          <div className="mt-2 flex flex-wrap gap-3">
            {PRESETS.map((preset) => (
              <Button
                key={preset.id}
                look="plain"
                aria-pressed={
                  JSON.stringify(preset.rules) ===
                  JSON.stringify({ ...draft, quotedFactors: preset.rules.quotedFactors })
                }
                className="aria-pressed:bg-wash aria-pressed:border-beam"
                onClick={() => startFrom(preset)}
              >
                {preset.name}
              </Button>
            ))}
          </div>
        </fieldset>
        <div className="mt-6 border-b border-hairline">{FIRST_QUESTIONS.map(rowOf)}</div>
        <details className="mt-4" open={unfolded || blamed} onToggle={(event) => onUnfold(event.currentTarget.open)}>
          <summary className="min-h-11 cursor-pointer content-center font-semibold">All other rules</summary>
          {RULE_GROUPS.map(({ title, rules }) => (
            <fieldset key={title} className="mt-8">
              <legend className="pb-2 text-lg font-bold">{title}</legend>
              {rules.filter((rule) => !FIRST_QUESTIONS.includes(rule)).map(rowOf)}
              {title === 'Reading' && (
                <details className="border-t border-hairline">
                  <summary className="min-h-11 cursor-pointer content-center font-semibold">
                    Another rule for one family of tools
                  </summary>
                  {FAMILIES.map((family) => (
                    <RuleRow
                      key={family.id}
                      label={family.name}
                      value={draft.estimateByFamily[family.id] ?? ''}
                      options={[['', 'as all scales'], ...optionsOf('estimate')]}
                      changed={draft.estimateByFamily[family.id] !== present.rules.estimateByFamily[family.id]}
                      onChange={(value) => estimateOf(family.id, value)}
                    />
                  ))}
                </details>
              )}
              {title === 'Uncertainty' && (
                <ReadingRules
                  draft={draft}
                  present={present.rules}
                  onChange={(readingUncertaintyOf) => setDraft({ ...draft, readingUncertaintyOf })}
                />
              )}
              {title === 'Writing' && (
                <QuotedFactors
                  quoted={draft.quotedFactors}
                  changed={draft.quotedFactors.join() !== present.rules.quotedFactors.join()}
                  onChange={(quotedFactors) => setDraft({ ...draft, quotedFactors })}
                />
              )}
              {title === 'Judging' && (
                <label className="grid items-center gap-x-4 border-t border-b border-hairline py-1 sm:grid-cols-[17rem_minmax(0,1fr)]">
                  <span
                    className={
                      draft.goodPercentError === present.rules.goodPercentError ? 'text-muted' : 'font-semibold'
                    }
                  >
                    A percent error is good up to
                  </span>
                  <span>
                    <input
                      type="number"
                      min="0.1"
                      max="100"
                      step="0.1"
                      value={draft.goodPercentError}
                      onChange={(event) => setDraft({ ...draft, goodPercentError: event.target.valueAsNumber })}
                      className="min-h-11 w-24 bg-transparent font-mono"
                    />{' '}
                    %
                  </span>
                </label>
              )}
            </fieldset>
          ))}
        </details>
        <div className="mt-8 flex flex-wrap items-end gap-4">
          <Field
            label="Name of these rules"
            value={name}
            onChange={(event) => setName(event.target.value)}
            maxLength={60}
            required
          />
          <Button type="submit" disabled={!dirty || contradiction !== null || save.isPending}>
            Use these rules
          </Button>
          {dirty && (
            <Button
              look="quiet"
              onClick={() => {
                setDraft(present.rules);
                setName(present.name);
              }}
            >
              Undo the changes
            </Button>
          )}
        </div>
        {save.error && (
          <div className="mt-4">
            <Notice tone="slip" title="Not saved">
              <p>{save.error.message}</p>
            </Notice>
          </div>
        )}
      </form>
      <RuleExamples rules={draft} />
    </div>
  );
}

/** The class’s method, chosen once; everything follows it. */
export default function Rules({ classId }: { readonly classId: string | null }): ReactNode {
  const { rules, error } = useHouseRules(classId);
  // What is being changed stays on the page, whatever a colleague saves meanwhile.
  const [opened, setOpened] = useState(rules);
  if (!opened && rules) setOpened(rules);
  const [saved, setSaved] = useState(false);
  const [unfolded, setUnfolded] = useState(false);
  const theirs = rules && opened && rules.version > opened.version ? rules : null;
  return (
    <main className="mx-auto w-full max-w-6xl px-4 py-8 wide:px-7">
      <h1 className="text-2xl font-bold">Class rules</h1>
      <p className="mt-1 mb-6 max-w-2xl text-muted">
        Textbooks differ. Choose how your class reads, writes and judges. All answers follow these rules. Finished
        readings and pages keep the rules they were made by.
      </p>
      {error && <Failed error={error} />}
      {!rules && !error && <Loading what="the class rules" />}
      {saved && (
        <div role="status" className="mb-6">
          <Notice tone="sound" title="Saved">
            <p>The class uses these rules from now on.</p>
          </Notice>
        </div>
      )}
      {theirs && (
        <div role="status" className="mb-6">
          <Notice tone="doubt" title="Changed by somebody else">
            <p>The class works by “{theirs.name}” now. Your choices here are not saved.</p>
            <Button
              look="quiet"
              className="-ml-2"
              onClick={() => {
                setOpened(theirs);
                setSaved(false);
              }}
            >
              Show their rules
            </Button>
          </Notice>
        </div>
      )}
      {opened && classId !== null && (
        <Editor
          key={opened.version}
          classId={classId}
          present={opened}
          unfolded={unfolded}
          onUnfold={setUnfolded}
          onSaved={(now) => {
            setOpened(now);
            setSaved(true);
          }}
        />
      )}
    </main>
  );
}
