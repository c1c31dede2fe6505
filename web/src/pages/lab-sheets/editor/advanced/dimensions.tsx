import type { Dimension } from '@green-beam/core';
import { useState, type ReactNode } from 'react';
import { useFormContext } from 'react-hook-form';
import { Button } from '../../../../ui/button.tsx';
import { NumberField, Select, TextField, YesField } from '../fields.tsx';
import { ItemList } from '../item-list.tsx';
import { freshId, useSheet } from '../use-sheet.ts';
import { MembersField } from './members-field.tsx';

const KINDS = {
  repeat: 'The same thing again',
  sample: 'Several pieces of one kind',
  case: 'Different things, each with a name',
  sequence: 'One after another',
} as const satisfies Record<Dimension['kind'], string>;

function make(kind: Dimension['kind'], id: string): object {
  const named = { kind, id, name: KINDS[kind] };
  return kind === 'case'
    ? {
        ...named,
        members: [
          { id: 'first', name: 'first' },
          { id: 'second', name: 'second' },
        ],
      }
    : { ...named, least: 3, most: 10 };
}

/** What quantities stand over: trials, pieces, methods, fills. */
export function Dimensions(): ReactNode {
  const sheet = useSheet();
  const { setValue } = useFormContext();
  const [kind, setKind] = useState<Dimension['kind']>('repeat');
  const { dimensions } = sheet;
  return (
    <>
      <h3 className="text-lg font-bold">Dimensions</h3>
      <p className="text-muted">
        What is measured again, or for several things. Tables get their rows and columns from it.
      </p>
      <ItemList name="dimensions" what="dimension">
        {(at, i) => {
          const dimension = dimensions[i];
          return (
            <>
              <p className="text-small font-semibold text-muted">{dimension && KINDS[dimension.kind]}</p>
              <div className="grid gap-3 sm:grid-cols-2">
                <TextField name={`${at}.name`} label="Name" />
                <TextField name={`${at}.id`} label="Name in formulas" isMono />
              </div>
              {dimension?.kind === 'case' ? (
                <MembersField name={`${at}.members`} label="They are" />
              ) : (
                <div className="flex flex-wrap items-end gap-6">
                  <NumberField name={`${at}.least`} label="At least" />
                  <NumberField name={`${at}.most`} label="At most" />
                  <YesField name={`${at}.places`} label="the same places every time" />
                </div>
              )}
            </>
          );
        }}
      </ItemList>
      <div className="mt-2 flex flex-wrap items-end gap-4">
        <Select
          label="New dimension"
          value={kind}
          choices={Object.entries(KINDS).map(([id, name]) => ({ id, name }))}
          onChange={(chosen) => setKind(chosen as Dimension['kind'])}
        />
        <Button
          look="plain"
          onClick={() =>
            setValue('dimensions', [...dimensions, make(kind, freshId(kind, dimensions))], { shouldDirty: true })
          }
        >
          Add a dimension
        </Button>
      </div>
    </>
  );
}
