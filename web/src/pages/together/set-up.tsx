import { FRONT_UNITS, type NewTogether, type TogetherAtFront } from '@green-beam/contract';
import {
  hasScale,
  instrumentById,
  SituationError,
  standsOnMark,
  togetherTask,
  type HouseRules,
} from '@green-beam/core';
import { ToggleGroup } from 'radix-ui';
import { useState, type ReactNode } from 'react';
import { RefusedError } from '../../api/request.ts';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { newId } from '../../outbox/new-id.ts';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { toolsReadIn } from './tools-to-choose.ts';
import { useBegin } from './use-together.ts';

const SELECT = 'min-h-11 border-b-2 border-ink bg-surface px-2 text-base font-normal';
const KINDS = { picture: 'A picture', front: 'A real tool at the front' } as const;
type Kind = keyof typeof KINDS;

/** Whether a value stands so near a mark that many would read the mark itself. */
function isOnMark(instrumentId: string, value: number, rules: HouseRules): boolean {
  try {
    return standsOnMark(togetherTask(instrumentId, 1, value, rules));
  } catch (error) {
    // The server says by its field what cannot be.
    if (error instanceof SituationError) return false;
    throw error;
  }
}

interface SetUpProps {
  readonly classId: string;
  readonly rules: HouseRules;
  readonly onBegun: (begun: TogetherAtFront) => void;
}

/** Chooses what the class reads: a picture of any tool, drawn or set, or a real tool at the front. */
export function SetUp({ classId, rules, onBegun }: SetUpProps): ReactNode {
  const numerals = useNumerals();
  const [kind, setKind] = useState<Kind>('picture');
  const [instrumentId, setInstrumentId] = useState('burette-50');
  const [value, setValue] = useState('');
  const [title, setTitle] = useState('');
  const [unit, setUnit] = useState<NewTogether['unit']>('mL');
  const begin = useBegin(classId);
  const typed = value.trim() === '' ? null : Number(value.trim().replace(',', '.').replace('−', '-'));
  const refused = (field: string): string | undefined =>
    begin.error instanceof RefusedError && begin.error.field === field ? begin.error.message : undefined;
  const isBadNumber = typed !== null && !Number.isFinite(typed);
  const badNumber = isBadNumber ? 'The value is not a number.' : undefined;
  const isElsewhere = begin.error && !(begin.error instanceof RefusedError && begin.error.field !== null);
  const tool = instrumentById(instrumentId);
  const send = (): void => {
    const asked =
      kind === 'picture'
        ? { kind, instrumentId, value: hasScale(instrumentId, rules) ? typed : null, title: '', unit: null }
        : { kind, instrumentId: null, value: null, title, unit };
    begin.mutate({ id: newId(), over: null, ...asked }, { onSuccess: onBegun });
  };
  return (
    <form
      className="mt-6 flex flex-col gap-5"
      onSubmit={(event) => {
        event.preventDefault();
        if (!isBadNumber) send();
      }}
    >
      <ToggleGroup.Root
        type="single"
        value={kind}
        onValueChange={(next) => next !== '' && setKind(next as Kind)}
        aria-label="What is read"
        className="flex flex-wrap gap-x-2"
      >
        {(Object.keys(KINDS) as Kind[]).map((one) => (
          <ToggleGroup.Item
            key={one}
            value={one}
            className="min-h-11 border-b-2 border-hairline px-3 font-semibold data-[state=on]:border-beam data-[state=on]:text-beam"
          >
            {KINDS[one]}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
      {kind === 'picture' ? (
        <div className="flex flex-wrap items-start gap-x-6 gap-y-4">
          <label className="flex flex-col gap-1 text-small font-semibold">
            Tool
            <select
              value={instrumentId}
              onChange={(event) => {
                setInstrumentId(event.target.value);
                setValue('');
              }}
              className={SELECT}
            >
              {toolsReadIn(null).map(({ id, name }) => (
                <option key={id} value={id}>
                  {numerals(name)}
                </option>
              ))}
            </select>
          </label>
          {hasScale(instrumentId, rules) && (
            <Field
              label={`Where it stands, ${tool.unit}`}
              hint={
                typed !== null && !isBadNumber && isOnMark(instrumentId, typed, rules)
                  ? 'This stands at a mark. Between two marks the last digit scatters, and that is what shows.'
                  : 'Leave it empty to have one drawn, well between two marks.'
              }
              inputMode="decimal"
              value={value}
              error={badNumber ?? refused('value')}
              onChange={(event) => setValue(event.target.value)}
              className="w-56 font-mono"
            />
          )}
        </div>
      ) : (
        <div className="flex flex-wrap items-start gap-x-6 gap-y-4">
          <Field
            label="What the tool is called"
            hint="As you would say it: the burette by the window."
            value={title}
            required
            maxLength={60}
            error={refused('title')}
            onChange={(event) => setTitle(event.target.value)}
            className="w-72"
          />
          <label className="flex flex-col gap-1 text-small font-semibold">
            Read in
            <select
              value={unit ?? ''}
              onChange={(event) => setUnit(event.target.value as NewTogether['unit'])}
              className={SELECT}
            >
              {FRONT_UNITS.map((one) => (
                <option key={one}>{one}</option>
              ))}
            </select>
          </label>
          <p className="basis-full text-small text-muted">You write what it shows later, after everybody has read.</p>
        </div>
      )}
      {isElsewhere && (
        <p role="alert" className="text-slip">
          {begin.error.message}
        </p>
      )}
      <div className="flex flex-wrap items-center gap-4">
        <Button type="submit" disabled={begin.isPending}>
          Start
        </Button>
        <span className="text-small text-muted">Every screen of the class offers it at once. It is never marked.</span>
      </div>
    </form>
  );
}
