import {
  isLockedPrediction,
  membersInWords,
  readingParts,
  toolAt,
  type Cell,
  type Members,
  type Quantity,
} from '@green-beam/core';
import { Lock } from 'lucide-react';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { mayEnter, type OnPage } from '../on-page.ts';
import { CellEditor } from './cell-editor.tsx';
import { OwnCellButton } from '../own/own-cell-button.tsx';
import { CellShown, isAlone, wordsFor } from './cell-shown.tsx';
import { PartsEditor } from './parts-editor.tsx';

interface RunCellProps extends OnPage {
  readonly quantity: Quantity;
  readonly members: Members;
  /** What the cell is called: `Dry mass, trial 1`. */
  readonly label: string;
}

const NOTHING: Cell = { kind: 'empty' };

/** A cell of the page: one that is entered is opened by a tap, one that is worked out shows its working. */
export function RunCell(props: RunCellProps): ReactNode {
  const { page, run, quantity, members, label } = props;
  const cell = run.cellAt(quantity.id, members) ?? NOTHING;
  const numerals = useNumerals();
  const own = props.ownWork.at(quantity.id, members);
  if (own) return <OwnCellButton {...props} cell={cell} own={own} />;
  if (cell.kind === 'computed')
    return (
      <button
        type="button"
        className="min-h-11"
        aria-label={`${label}, ${numerals(cell.text)}: show the working`}
        onClick={() => props.onWorking({ quantity: quantity.id, members })}
      >
        <CellShown cell={cell} people={page.people} isSaidAround />
      </button>
    );
  if (
    quantity.kind === 'computed' ||
    quantity.kind === 'looked-up' ||
    (quantity.kind === 'given' && quantity.value !== undefined)
  )
    return (
      <span className="inline-flex min-h-11 items-center">
        <CellShown cell={cell} people={page.people} />
      </span>
    );
  const isLocked = quantity.kind === 'predicted' && isReadAlready(props);
  if (!mayEnter(page) || isLocked)
    return (
      <span className="inline-flex min-h-11 items-center">
        <CellShown cell={cell} people={page.people} />
        {isLocked && <Lock size={14} className="ml-2 text-muted" aria-label="locked: it has been read" />}
      </span>
    );
  return quantity.kind === 'observed' ? (
    <Choice {...props} cell={cell} choices={quantity.choices} />
  ) : (
    <Entered {...props} cell={cell} />
  );
}

/** Something seen, chosen from a few. */
function Choice({
  quantity,
  members,
  label,
  cell,
  choices,
  onWrite,
}: RunCellProps & {
  readonly cell: Cell;
  readonly choices: readonly { readonly id: string; readonly name: string }[];
}): ReactNode {
  return (
    <select
      aria-label={label}
      value={cell.kind === 'chosen' ? cell.choice : ''}
      onChange={(event) => onWrite({ kind: 'cell', quantity: quantity.id, members }, event.target.value)}
      className="min-h-11 max-w-full border-b border-hairline bg-surface px-1 text-base"
    >
      <option value="" disabled>
        choose
      </option>
      {choices.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </select>
  );
}

function Entered(props: RunCellProps & { readonly cell: Cell }): ReactNode {
  const { page, run, quantity, members, label, cell, onWrite } = props;
  const [editing, setEditing] = useState<'whole' | 'parts' | null>(null);
  const button = useRef<HTMLButtonElement>(null);
  const numerals = useNumerals();
  const returns = useRef(false);
  useEffect(() => {
    if (!editing && returns.current) button.current?.focus();
    returns.current = false;
  }, [editing]);
  const address = { kind: 'cell', quantity: quantity.id, members } as const;
  const standing = cell.kind === 'entry' || cell.kind === 'unusable' ? cell.event.text : '';
  const tool = quantity.kind === 'read' ? (toolAt(run.setting, quantity, members)?.instrument ?? null) : null;
  const hasParts = tool !== null && readingParts(tool, page.rules).length > 0;
  const done = (text: string, reason: string | null): void => {
    // What is read after all is no longer the other reading.
    if (cell.kind === 'entry' && cell.linkedTo) onWrite({ ...address, kind: 'link' }, '');
    onWrite(address, text, reason);
  };
  const leave = (byKey: boolean): void => {
    returns.current ||= byKey;
    setEditing(null);
  };
  if (editing === 'parts' && tool && quantity.kind === 'read')
    return (
      <PartsEditor
        label={label}
        tool={tool}
        unit={quantity.unit}
        rules={page.rules}
        sums={page.arrangement.sums}
        standing={standing}
        onDone={(text) => {
          done(text, null);
          leave(true);
        }}
        onLeave={() => leave(true)}
      />
    );
  if (editing)
    return (
      <CellEditor
        label={label}
        standing={standing}
        isContested={'rivals' in cell && cell.rivals.length > 0}
        sameAs={sameAs(props)}
        onAdjust={
          quantity.kind === 'read' && cell.kind === 'entry' && !cell.linkedTo
            ? () => props.onAdjust({ quantity: quantity.id, members })
            : null
        }
        onParts={hasParts ? () => setEditing('parts') : null}
        onLeave={leave}
        onDone={done}
      />
    );
  const words = `${label}, ${numerals(wordsFor(cell, page.people))}`;
  // Each text for screen readers alone is a layer more to be put together at every key: a number by itself has a name instead.
  const isNamed = isAlone(cell);
  return (
    <button
      ref={button}
      type="button"
      className="min-h-11 min-w-16 text-right hover:bg-wash"
      {...(isNamed ? { 'aria-label': words } : {})}
      onClick={() => setEditing(cell.kind === 'entry' && cell.parts ? 'parts' : 'whole')}
    >
      {!isNamed && <span className="sr-only">{words}</span>}
      <span aria-hidden="true">
        <CellShown cell={cell} people={page.people} isSaidAround />
      </span>
    </button>
  );
}

/** Whether what a prediction is about has been read. */
function isReadAlready({ run, quantity, members }: RunCellProps): boolean {
  const log = [...run.setting.slots.values()].map(({ current }) => current);
  return isLockedPrediction(run.setting.layout, { kind: 'cell', quantity: quantity.id, members }, log);
}

/** In a sequence, the last reading of the step before: what this one can be without being taken again. */
function sameAs({ run, quantity, members, onWrite }: RunCellProps): { name: string; take: () => void } | null {
  const { layout, members: there } = run.setting;
  if (quantity.kind !== 'read') return null;
  const along = quantity.over.find((dimension) => layout.dimensions.get(dimension)?.kind === 'sequence');
  const ids = along === undefined ? [] : (there.get(along) ?? []).map(({ id }) => id);
  const before = along === undefined ? undefined : ids[ids.indexOf(members[along] ?? '') - 1];
  if (along === undefined || before === undefined) return null;
  const all = [...layout.quantities.values()];
  // It is a later reading of the step before that an earlier one of this step can be.
  const source = all.findLast(
    (other, i) =>
      other.kind === 'read' &&
      i > all.indexOf(quantity) &&
      other.unit === quantity.unit &&
      other.over.join(' ') === quantity.over.join(' '),
  );
  const at = { ...members, [along]: before };
  if (!source || run.cellAt(source.id, at)?.kind !== 'entry') return null;
  return {
    name: `${source.name.toLowerCase()}, ${membersInWords(run.setting, at)}`,
    take: () =>
      onWrite({ kind: 'link', quantity: quantity.id, members }, JSON.stringify({ quantity: source.id, members: at })),
  };
}
