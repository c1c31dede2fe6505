import type { Quantity } from '@green-beam/core';
import { Check } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { useFormContext } from 'react-hook-form';
import { unitText } from '../../../../numbers/unit-text.ts';
import { Button } from '../../../../ui/button.tsx';
import { ChoiceField, NumberField, Select, TextField, TicksField, YesField, type Choice } from '../fields.tsx';
import { useFault } from '../faults-here.ts';
import { ItemList } from '../item-list.tsx';
import { choicesOf, freshId, useSheet, withUnits } from '../use-sheet.ts';
import { LOOK_UP_CHOICES } from './look-up-choices.ts';
import { MembersField } from './members-field.tsx';

const KINDS = {
  read: 'Read on a tool',
  counted: 'Counted',
  timed: 'Timed',
  observed: 'Observed',
  given: 'Given',
  'looked-up': 'Looked up',
  computed: 'Calculated',
  predicted: 'Predicted',
} as const satisfies Record<Quantity['kind'], string>;

const TIMES = [
  { id: 'duration', name: 'a duration' },
  { id: 'time-of-day', name: 'a time of day' },
] as const;

/** A new quantity that nothing is wrong with yet. */
function make(kind: Quantity['kind'], id: string, others: readonly Quantity[]): object {
  const named = { kind, id, name: `New: ${KINDS[kind].toLowerCase()}`, over: [] };
  const measured = { ...named, symbol: 'x', unit: '' };
  const first = others.find((one) => one.kind === 'read')?.id ?? others[0]?.id ?? '';
  switch (kind) {
    case 'read':
      return { ...measured, unit: 'g', tools: { kinds: ['balances'] } };
    case 'counted':
      return { ...measured, halfWidth: 0 };
    case 'timed':
      return { ...measured, unit: 's', as: 'duration', halfWidth: 0.2 };
    case 'observed':
      return {
        ...named,
        choices: [
          { id: 'yes', name: 'yes' },
          { id: 'no', name: 'no' },
        ],
      };
    case 'given':
      return { ...measured, value: '1', halfWidth: 0 };
    case 'looked-up':
      return { ...measured, unit: 'g/mL', lookUp: 'water-density', of: [first] };
    case 'computed':
      return { ...measured, formula: '1' };
    case 'predicted':
      return { ...measured, of: first };
  }
}

/** Whether a formula’s units fit, said as it is typed. */
function FormulaField({
  at,
  unit,
  isSound,
}: {
  readonly at: string;
  readonly unit: string;
  readonly isSound: boolean;
}): ReactNode {
  const fault = useFault(`${at}.formula`);
  return (
    <div>
      <TextField
        name={`${at}.formula`}
        label="Formula"
        isMono
        {...(isSound ? {} : { hint: 'mean(mass over trial), full − empty, mass[full], slope(m, V over fill)' })}
      />
      {isSound && fault === undefined && (
        <p className="mt-1 flex items-center gap-1 text-small text-beam">
          <Check size={14} aria-hidden="true" /> Names and units fit
          {unit === '' ? '' : `: it comes to ${unitText(unit)}`}.
        </p>
      )}
    </div>
  );
}

/** What only one kind of quantity has. */
function OfItsKind({
  at,
  quantity,
  isSound,
}: {
  readonly at: string;
  readonly quantity: Quantity;
  readonly isSound: boolean;
}): ReactNode {
  const sheet = useSheet();
  switch (quantity.kind) {
    case 'read':
      return (
        <>
          <p className="text-small text-muted">Its tools stand under “Tools and repeats”.</p>
          <YesField name={`${at}.container`} label="It is the mass of an empty vessel" />
        </>
      );
    case 'counted':
      return <NumberField name={`${at}.halfWidth`} label="It may be off by" hint="0 where the count is exact." />;
    case 'timed':
      return (
        <div className="flex flex-wrap gap-6">
          <ChoiceField name={`${at}.as`} label="It is" choices={TIMES} />
          <NumberField name={`${at}.halfWidth`} label="It may be off by" hint="In seconds." />
        </div>
      );
    case 'observed':
      return <MembersField name={`${at}.choices`} label="What can be seen" />;
    case 'given':
      return (
        <div className="flex flex-wrap gap-6">
          <TextField name={`${at}.value`} label="Value" hint="Empty, if the group types it." isMono />
          <NumberField name={`${at}.halfWidth`} label="It may be off by" />
        </div>
      );
    case 'looked-up':
      return (
        <div className="grid gap-3 sm:grid-cols-2">
          <ChoiceField name={`${at}.lookUp`} label="What" choices={LOOK_UP_CHOICES} />
          <TicksField
            name={`${at}.of`}
            label="For"
            choices={[...choicesOf(withUnits(sheet)), ...choicesOf(sheet.dimensions)]}
          />
        </div>
      );
    case 'computed':
      return <FormulaField at={at} unit={quantity.unit} isSound={isSound} />;
    case 'predicted':
      return <ChoiceField name={`${at}.of`} label="Of" choices={choicesOf(withUnits(sheet))} />;
  }
}

interface OneProps {
  readonly at: string;
  readonly quantity: Quantity;
  readonly dimensions: readonly Choice[];
  readonly steps: readonly Choice[];
  /** Whether formulas could be looked into. */
  readonly isSound: boolean;
}

function One({ at, quantity, dimensions, steps, isSound }: OneProps): ReactNode {
  const fault = useFault(at, true);
  const told = 'formula' in quantity ? ` = ${quantity.formula}` : '';
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2">
        <strong>{quantity.name}</strong>
        <span className="font-mono text-muted">{told}</span>
        <span className="text-muted"> ({KINDS[quantity.kind].toLowerCase()})</span>
        {fault !== undefined && <span className="font-semibold text-slip"> – something is wrong here</span>}
      </summary>
      <div className="flex flex-col gap-3 pb-2">
        <div className="grid gap-3 sm:grid-cols-2">
          <TextField name={`${at}.name`} label="Name" />
          <TextField name={`${at}.id`} label="Name in formulas" isMono />
          {quantity.kind !== 'observed' && (
            <>
              <TextField name={`${at}.symbol`} label="Symbol" hint="In LaTeX: \bar{m}, V_1." isMono />
              <TextField name={`${at}.unit`} label="Unit" hint="g, mL, cm^3, g/mL; empty for a pure number." isMono />
            </>
          )}
        </div>
        {dimensions.length > 0 && <TicksField name={`${at}.over`} label="It stands over" choices={dimensions} />}
        <OfItsKind at={at} quantity={quantity} isSound={isSound} />
        {quantity.kind !== 'computed' && quantity.kind !== 'looked-up' && typeof quantity.step !== 'object' && (
          <div className="max-w-sm">
            <ChoiceField name={`${at}.step`} label="Entered in the step" choices={steps} none="none" />
          </div>
        )}
        <YesField name={`${at}.optional`} label="It can be left out" />
      </div>
    </details>
  );
}

/** What is measured and what is calculated, each with its unit. @param isSound whether formulas could be looked into. */
export function Quantities({ isSound }: { readonly isSound: boolean }): ReactNode {
  const sheet = useSheet();
  const { setValue } = useFormContext();
  const [kind, setKind] = useState<Quantity['kind']>('read');
  const { quantities } = sheet;
  const dimensions = choicesOf(sheet.dimensions);
  const steps = sheet.steps.map(({ id, title }) => ({ id, name: title }));
  return (
    <>
      <h3 className="mt-8 text-lg font-bold">Quantities and formulas</h3>
      <p className="text-muted">
        Units are converted by themselves: a mass in g divided by a volume in cm³ can be asked for in kg/m³.
      </p>
      <ItemList name="quantities" what="quantity">
        {(at, i) => {
          const quantity = quantities[i];
          return quantity && Object.hasOwn(KINDS, quantity.kind) ? (
            <One at={at} quantity={quantity} dimensions={dimensions} steps={steps} isSound={isSound} />
          ) : null;
        }}
      </ItemList>
      <div className="mt-2 flex flex-wrap items-end gap-4">
        <Select
          label="New quantity"
          value={kind}
          choices={Object.entries(KINDS).map(([id, name]) => ({ id, name }))}
          onChange={(chosen) => setKind(chosen as Quantity['kind'])}
        />
        <Button
          look="plain"
          onClick={() =>
            setValue('quantities', [...quantities, make(kind, freshId('q', quantities), quantities)], {
              shouldDirty: true,
            })
          }
        >
          Add a quantity
        </Button>
      </div>
    </>
  );
}
