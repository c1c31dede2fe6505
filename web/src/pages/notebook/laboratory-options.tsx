import type { LaboratoryShown } from '@green-beam/contract';
import type { ReactNode } from 'react';

function Options({ laboratories }: { readonly laboratories: readonly LaboratoryShown[] }): ReactNode {
  return laboratories.map(({ id, title }) => (
    <option key={id} value={id}>
      {title}
    </option>
  ));
}

/** The laboratories to choose from in a list that opens; those that teachers of the school have written stand first, where there are any. */
export function LaboratoryOptions({ laboratories }: { readonly laboratories: readonly LaboratoryShown[] }): ReactNode {
  const own = laboratories.filter(({ isOwn }) => isOwn);
  const others = laboratories.filter(({ isOwn }) => !isOwn);
  if (own.length === 0) return <Options laboratories={others} />;
  return (
    <>
      <optgroup label="Of our school">
        <Options laboratories={own} />
      </optgroup>
      <optgroup label="There from the start">
        <Options laboratories={others} />
      </optgroup>
    </>
  );
}
