import type { ReactNode } from 'react';
import { useController } from 'react-hook-form';
import { ChoiceField, NumberField, Select, TextField, TicksField } from './fields.tsx';
import { ItemList } from './item-list.tsx';
import { choicesOf, computedOf, freshId, useSheet, withUnits } from './use-sheet.ts';

interface Accepted {
  readonly kind?: 'material' | 'quantity';
  readonly quantity?: string;
}

/** What a result is compared with. */
function AcceptedField({ at }: { readonly at: string }): ReactNode {
  const sheet = useSheet();
  const { field } = useController({ name: `${at}.accepted` });
  const { kind = '', quantity = '' } = (field.value ?? {}) as Accepted;
  return (
    <>
      <Select
        label="Accepted value"
        value={kind}
        none="none"
        choices={[
          { id: 'material', name: 'a material that the group chooses, or a number that it types' },
          { id: 'quantity', name: 'another quantity of this laboratory' },
        ]}
        onChange={(chosen) => {
          if (chosen === 'quantity') field.onChange({ kind: 'quantity', quantity: withUnits(sheet)[0]?.id ?? '' });
          else field.onChange(chosen === '' ? undefined : { kind: chosen });
        }}
      />
      {kind === 'quantity' && (
        <Select
          label="Which quantity"
          value={quantity}
          choices={choicesOf(withUnits(sheet))}
          onChange={(chosen) => field.onChange({ kind: 'quantity', quantity: chosen })}
        />
      )}
    </>
  );
}

interface Compared {
  readonly kind?: string;
  readonly of?: unknown;
}

/** Two numbers that ought to agree; other comparisons are written as JSON. */
function ComparisonFields({ at }: { readonly at: string }): ReactNode {
  const sheet = useSheet();
  const { field } = useController({ name: at });
  const { kind, of } = field.value as Compared;
  const isPair =
    kind === 'agree' && Array.isArray(of) && of.length === 2 && of.every((one) => !(one as { at?: unknown }).at);
  return (
    <>
      <TextField name={`${at}.name`} label="Name" />
      {isPair ? (
        <div className="grid gap-3 sm:grid-cols-2">
          <ChoiceField name={`${at}.of.0.quantity`} label="This" choices={choicesOf(withUnits(sheet))} />
          <ChoiceField name={`${at}.of.1.quantity`} label="agrees with" choices={choicesOf(withUnits(sheet))} />
        </div>
      ) : (
        <p className="text-small text-muted">What is compared here is changed under Advanced, as JSON.</p>
      )}
    </>
  );
}

/** What the laboratory is for, what it is compared with, and who works it out. */
export function ResultsPart(): ReactNode {
  const sheet = useSheet();
  const computed = choicesOf(computedOf(sheet));
  return (
    <>
      <ItemList name="results" what="result" make={() => ({ quantity: computed[0]?.id ?? '' })}>
        {(at) => (
          <div className="grid gap-3 sm:grid-cols-2">
            <ChoiceField name={`${at}.quantity`} label="Result" choices={choicesOf(withUnits(sheet))} />
            <NumberField
              name={`${at}.goodPercentError`}
              label="Good percent error"
              hint="In percent. Leave it empty to go by the class’s rule."
            />
            <AcceptedField at={at} />
          </div>
        )}
      </ItemList>
      <h3 className="mt-8 text-lg font-bold">Who calculates</h3>
      <p className="mb-2 text-muted">
        What is ticked is left to the students, unless you decide something else for a class. The page works out the
        rest.
      </p>
      <TicksField name="byStudent" label="Left to the students" choices={computed} />
      <h3 className="mt-8 text-lg font-bold">Comparisons</h3>
      <ItemList
        name="comparisons"
        what="comparison"
        make={() => ({
          kind: 'agree',
          id: freshId('comparison', sheet.comparisons),
          name: 'Do both agree?',
          of: [{ quantity: computed[0]?.id ?? '' }, { quantity: computed[1]?.id ?? computed[0]?.id ?? '' }],
        })}
      >
        {(at) => <ComparisonFields at={at} />}
      </ItemList>
    </>
  );
}
