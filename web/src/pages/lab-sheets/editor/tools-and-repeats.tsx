import type { Protocol, Quantity } from '@green-beam/core';
import type { ReactNode } from 'react';
import { NumberField } from './fields.tsx';
import { ToolsField } from './tools-field.tsx';
import { countedOf, useSheet } from './use-sheet.ts';

/** What a quantity is read on: one list of tools, or one for each member that they differ by. */
function ToolsOf({ sheet, index }: { readonly sheet: Protocol; readonly index: number }): ReactNode {
  const quantity = sheet.quantities[index] as Extract<Quantity, { kind: 'read' }>;
  const { tools, name } = quantity;
  const at = `quantities.${index}.tools`;
  if ('kinds' in tools) return <ToolsField name={`${at}.kinds`} label={name} />;
  if ('by' in tools) {
    const dimension = sheet.dimensions.find(({ id }) => id === tools.by);
    const members = dimension?.kind === 'case' ? dimension.members : [];
    return Object.keys(tools.of).map((member) => (
      <ToolsField
        key={member}
        name={`${at}.of.${member}`}
        label={`${name}, ${members.find(({ id }) => id === member)?.name ?? member}`}
      />
    ));
  }
  const other = 'sameAs' in tools ? sheet.quantities.find(({ id }) => id === tools.sameAs)?.name : undefined;
  return (
    <p className="border-t border-hairline py-3">
      <strong>{name}</strong>{' '}
      <span className="text-muted">
        {'sameAs' in tools
          ? `on the same tool as ${(other ?? tools.sameAs).toLowerCase()}`
          : 'on the tool that is compared'}
      </span>
    </p>
  );
}

/** What is read on which tools, and how often. */
export function ToolsAndRepeats(): ReactNode {
  const sheet = useSheet();
  const read = sheet.quantities.flatMap((quantity, index) =>
    quantity.kind === 'read' && typeof quantity.tools === 'object' ? [index] : [],
  );
  const counted = countedOf(sheet);
  return (
    <>
      <h3 className="text-lg font-bold">How often</h3>
      {counted.length === 0 && <p className="mt-1 text-muted">Nothing is repeated. Add a dimension under Advanced.</p>}
      {counted.map(({ dimension, index }) => (
        <div key={dimension.id} className="mt-2 flex flex-wrap items-end gap-x-6 gap-y-2 border-t border-hairline py-3">
          <p className="min-w-32 self-center font-semibold">{dimension.name}</p>
          <NumberField name={`dimensions.${index}.least`} label="At least" />
          <NumberField name={`dimensions.${index}.most`} label="At most" />
        </div>
      ))}
      <h3 className="mt-8 text-lg font-bold">Read on</h3>
      <p className="mb-2 text-muted">A group chooses among these. The first one is offered first.</p>
      {read.length === 0 && <p className="text-muted">Nothing is read. Add a quantity under Advanced.</p>}
      {read.map((index) => (
        <ToolsOf key={index} sheet={sheet} index={index} />
      ))}
    </>
  );
}
