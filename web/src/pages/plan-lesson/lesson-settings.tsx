import type { LaboratoryShown, PlanDraft } from '@green-beam/contract';
import { minutesFor, type Protocol } from '@green-beam/core';
import { useState, type ReactNode } from 'react';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { isTime, ROOM, withCount, withStations, withStep, withWatts, type UsableTool } from './lesson-draft.ts';
import { ChooseLaboratories } from './choose-laboratories.tsx';
import { useProtocols } from './use-protocols.ts';

const NUMBER = 'w-24 font-mono';

interface NumberFieldProps {
  readonly label: string;
  readonly value: number | null;
  readonly least: number;
  readonly most: number;
  /** Where it may be left empty, what that means. */
  readonly empty?: string;
  readonly onChange: (value: number | null) => void;
}

/** A whole number that is taken when it is one. */
function WholeNumber({ label, value, least, most, empty, onChange }: NumberFieldProps): ReactNode {
  const [typed, setTyped] = useState<string | null>(null);
  const text = typed ?? (value === null ? '' : String(value));
  const number = Number(text);
  const isEmpty = text.trim() === '';
  const isRight = isEmpty ? empty !== undefined : Number.isInteger(number) && number >= least && number <= most;
  return (
    <Field
      label={label}
      inputMode="numeric"
      className={NUMBER}
      value={text}
      placeholder={empty}
      error={isRight ? undefined : `From ${least} to ${most}.`}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={() => {
        if (typed === null || !isRight) return;
        setTyped(null);
        const next = isEmpty ? null : number;
        if (next !== value) onChange(next);
      }}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
      }}
    />
  );
}

type Water = NonNullable<PlanDraft['steps'][number]['water']>;

/** How much water it is, and how warm. */
function WaterFields({
  water,
  watts,
  onChange,
}: {
  readonly water: Water;
  readonly watts: number;
  readonly onChange: (water: Water) => void;
}): ReactNode {
  return (
    <>
      <WholeNumber
        label="mL of water"
        value={water.millilitres}
        least={1}
        most={5000}
        onChange={(millilitres) => onChange({ ...water, millilitres: millilitres ?? water.millilitres })}
      />
      <WholeNumber
        label="from °C"
        value={water.from}
        least={0}
        most={100}
        onChange={(from) => onChange({ ...water, from: from ?? water.from })}
      />
      <WholeNumber
        label="to °C"
        value={water.to}
        least={0}
        most={100}
        onChange={(to) => onChange({ ...water, to: to ?? water.to })}
      />
      {minutesFor(water, { watts, room: ROOM }) === null && (
        <p className="w-full text-small text-doubt">
          Water does not cool to less than the room, {ROOM} °C, by itself. Write the minutes yourself.
        </p>
      )}
    </>
  );
}

interface StationsProps {
  readonly classId: string;
  readonly draft: PlanDraft;
  readonly laboratories: readonly LaboratoryShown[];
  readonly cabinet: readonly UsableTool[];
  readonly onChange: (draft: PlanDraft) => void;
}

/** Other laboratories, taken when they are all there. */
function Stations({ classId, draft, laboratories, cabinet, onChange }: StationsProps): ReactNode {
  const [chosen, setChosen] = useState<readonly string[]>(draft.stations);
  const { protocols, error } = useProtocols(classId, chosen);
  const isSame = chosen.length === draft.stations.length && chosen.every((id) => draft.stations.includes(id));
  const take = (all: readonly Protocol[]): void => onChange(withStations(draft, all, cabinet));
  return (
    <>
      <ChooseLaboratories laboratories={laboratories} chosen={chosen} onChange={setChosen} />
      {error && <p className="text-slip">{error.message}</p>}
      {!isSame && (
        <Button
          look="plain"
          className="mt-2"
          disabled={!protocols || chosen.length === 0 || chosen.length > 6}
          onClick={() => protocols && take(protocols)}
        >
          {chosen.length === 0 ? 'Choose at least one' : chosen.length > 6 ? 'At most 6 fit' : 'Plan these'}
        </Button>
      )}
    </>
  );
}

/** Everything that a plan is made of, to be changed. */
export function LessonSettings({ draft, onChange, ...rest }: StationsProps): ReactNode {
  const heats = draft.steps.some(({ water }) => water);
  const [begins, setBegins] = useState(draft.begins);
  return (
    <div className="grid gap-6 border-y border-hairline py-5">
      <div className="flex flex-wrap items-start gap-x-6 gap-y-4">
        <Field
          label="Name of the plan"
          className="w-64"
          maxLength={80}
          value={draft.title}
          onChange={(event) => {
            if (event.target.value.trim() !== '') onChange({ ...draft, title: event.target.value });
          }}
        />
        <Field
          label="Begins at"
          className="w-28 font-mono"
          value={begins}
          error={isTime(begins) ? undefined : 'Write a time such as 10:00.'}
          onChange={(event) => {
            setBegins(event.target.value);
            if (isTime(event.target.value)) onChange({ ...draft, begins: event.target.value.padStart(5, '0') });
          }}
        />
        <WholeNumber
          label="Minutes"
          value={draft.minutes}
          least={5}
          most={600}
          onChange={(minutes) => onChange({ ...draft, minutes: minutes ?? draft.minutes })}
        />
        <WholeNumber
          label="Groups"
          value={draft.groups}
          least={1}
          most={40}
          onChange={(groups) => onChange({ ...draft, groups: groups ?? draft.groups, placed: [] })}
        />
      </div>
      <fieldset>
        <legend className="font-bold">How many there are for all groups</legend>
        <p className="text-small text-muted">Left empty, every bench has its own.</p>
        <div className="mt-2 flex flex-wrap gap-x-6 gap-y-3">
          {draft.tools.map((tool) => (
            <WholeNumber
              key={tool.kind}
              label={tool.many.charAt(0).toUpperCase() + tool.many.slice(1)}
              value={tool.count}
              least={1}
              most={200}
              empty="own"
              onChange={(count) => onChange(withCount(draft, tool.kind, count))}
            />
          ))}
          {heats && (
            <WholeNumber
              label="Watts of a hot plate that reach the water"
              value={draft.watts}
              least={10}
              most={5000}
              onChange={(watts) => onChange(withWatts(draft, watts ?? draft.watts))}
            />
          )}
        </div>
      </fieldset>
      <fieldset>
        <legend className="font-bold">Minutes of each step</legend>
        <div className="mt-2 grid gap-x-8 gap-y-3 sm:grid-cols-2 wide:grid-cols-3">
          {draft.steps.map((step) => (
            <div key={step.id} className="flex flex-wrap items-start gap-x-4">
              <WholeNumber
                label={
                  step.station === null ? step.name : `${step.name}${step.attention === 'waiting' ? ', waits' : ''}`
                }
                value={step.minutes}
                least={1}
                most={600}
                onChange={(minutes) => onChange(withStep(draft, step.id, { minutes: minutes ?? step.minutes }))}
              />
              {step.water && (
                <WaterFields
                  water={step.water}
                  watts={draft.watts}
                  onChange={(water) => onChange(withStep(draft, step.id, { water }))}
                />
              )}
            </div>
          ))}
        </div>
      </fieldset>
      <Stations draft={draft} onChange={onChange} {...rest} />
    </div>
  );
}
