import { addressKey, type Address, type Members } from '@green-beam/core';
import { useId, useState, type ReactNode } from 'react';
import { Button } from '../../../ui/button.tsx';
import { Dialog } from '../../../ui/dialog.tsx';
import { Field } from '../../../ui/field.tsx';
import type { OnPage } from '../on-page.ts';

/** Where a repeat can be left out: in words, and by the members of other dimensions. */
export interface ExcludeScope {
  readonly name: string;
  readonly within: Members;
}

interface ExcludeProps extends Pick<OnPage, 'page' | 'run' | 'onWrite'> {
  readonly dimension: string;
  readonly member: string;
  /** Where it can be left out: everywhere in its row, or in the columns of one case only. The first is the usual one. */
  readonly scopes: readonly [ExcludeScope, ...ExcludeScope[]];
  /** The row in words: `trial 3`. */
  readonly name: string;
}

const QUIET = 'min-h-11 underline decoration-hairline underline-offset-4';

/** Leaves a repeat out of what follows, with a reason and initials, or counts it again. It stays legible either way. */
export function Exclude({ page, run, onWrite, dimension, member, scopes, name }: ExcludeProps): ReactNode {
  const [open, setOpen] = useState(false);
  const addressOf = ({ within }: ExcludeScope): Extract<Address, { kind: 'excluded' }> => ({
    kind: 'excluded',
    dimension,
    member,
    within,
  });
  const standing = scopes.flatMap((scope) => {
    const found = run.setting.slots.get(addressKey(addressOf(scope)))?.current;
    return found && found.text.trim() !== '' ? [{ scope, reason: found.text, by: found.person }] : [];
  });
  const left = scopes.filter((scope) => !standing.some((one) => one.scope === scope));
  const isWhole = standing.some(({ scope }) => scope === scopes[0]);
  return (
    <>
      {standing.map(({ scope, reason, by }) => (
        <span key={scope.name} className="flex max-w-44 flex-col items-start">
          <span>
            excluded{scope === scopes[0] ? '' : ` (${scope.name})`}: {reason} ({page.people[by]?.initials ?? ''})
          </span>
          {page.mayWrite && (
            <button type="button" className={QUIET} onClick={() => onWrite(addressOf(scope), '', null)}>
              Include it again
            </button>
          )}
        </span>
      ))}
      {page.mayWrite && !isWhole && left[0] && (
        <button
          type="button"
          className={`${QUIET} text-muted`}
          aria-label={`Exclude ${name}`}
          onClick={() => setOpen(true)}
        >
          Exclude
        </button>
      )}
      <Dialog
        open={open}
        onOpenChange={setOpen}
        title={`Exclude ${name}`}
        description="It stays on the page, struck through, with your reason and initials. Never exclude a value only because it does not fit."
      >
        <ExcludeForm
          name={name}
          scopes={left}
          onExclude={(scope, reason) => {
            onWrite(addressOf(scope), reason, null);
            setOpen(false);
          }}
        />
      </Dialog>
    </>
  );
}

interface ExcludeFormProps {
  readonly name: string;
  readonly scopes: readonly ExcludeScope[];
  readonly onExclude: (scope: ExcludeScope, reason: string) => void;
}

/** What went wrong, and where it matters. */
function ExcludeForm({ name, scopes, onExclude }: ExcludeFormProps): ReactNode {
  const [reason, setReason] = useState('');
  const [missing, setMissing] = useState(false);
  const [where, setWhere] = useState(0);
  const group = useId();
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        const scope = scopes[where];
        setMissing(reason.trim() === '');
        if (scope && reason.trim() !== '') onExclude(scope, reason.trim());
      }}
    >
      <Field
        label="What went wrong"
        placeholder="an air bubble on the piece"
        maxLength={200}
        value={reason}
        onChange={(event) => setReason(event.target.value)}
        error={missing ? `Say what went wrong. Without a reason ${name} counts.` : undefined}
      />
      {scopes.length > 1 && (
        <fieldset>
          <legend className="text-small font-semibold">Where</legend>
          {scopes.map((scope, i) => (
            <label key={scope.name} className="flex min-h-11 items-center gap-3">
              <input
                type="radio"
                name={group}
                className="size-5 accent-beam"
                checked={where === i}
                onChange={() => setWhere(i)}
              />
              {scope.name}
            </label>
          ))}
        </fieldset>
      )}
      <Button type="submit">Exclude it</Button>
    </form>
  );
}
