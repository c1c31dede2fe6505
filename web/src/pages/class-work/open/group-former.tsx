import { DndContext, PointerSensor, useDraggable, useDroppable, useSensor, useSensors } from '@dnd-kit/core';
import { DropdownMenu } from 'radix-ui';
import { useState, type ReactNode } from 'react';
import { byChance, leftOver, MOST, moved, type Groups } from './groups.ts';

interface FormerProps {
  readonly students: readonly { readonly id: string; readonly label: string }[];
  readonly groups: Groups;
  readonly onChange: (groups: Groups) => void;
}

interface NameProps extends FormerProps {
  readonly id: string;
  readonly label: string;
}

const PLACE = 'place-';
const ITEM = 'flex min-h-11 cursor-default items-center px-4 outline-none data-highlighted:bg-wash';

/** A student’s name: it can be dragged to a group, or pressed to choose one. */
function Name({ id, label, groups, onChange }: NameProps): ReactNode {
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({ id });
  const own = groups.findIndex((group) => group.includes(id));
  const [isOpen, setOpen] = useState(false);
  return (
    <DropdownMenu.Root open={isOpen} onOpenChange={setOpen}>
      {/* The list opens when the name is let go where it was pressed: who drags it away wants no list in the way. */}
      <DropdownMenu.Trigger asChild onPointerDown={(event) => event.preventDefault()} onClick={() => setOpen(true)}>
        <button
          type="button"
          ref={setNodeRef}
          className={`min-h-11 touch-none border border-hairline bg-surface px-3 hover:border-ink ${isDragging ? 'relative z-10 border-ink' : ''}`}
          style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
          {...listeners}
          aria-roledescription={attributes['aria-roledescription']}
        >
          {label}
        </button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content className="z-50 max-h-80 overflow-y-auto border border-ink bg-paper py-1" align="start">
          {groups.map((group, i) =>
            i === own ? null : (
              <DropdownMenu.Item key={group.join()} className={ITEM} onSelect={() => onChange(moved(groups, id, i))}>
                Group {i + 1}
              </DropdownMenu.Item>
            ),
          )}
          <DropdownMenu.Item className={ITEM} onSelect={() => onChange(moved(groups, id, groups.length))}>
            A new group
          </DropdownMenu.Item>
          {own >= 0 && (
            <DropdownMenu.Item className={ITEM} onSelect={() => onChange(moved(groups, id, null))}>
              In no group
            </DropdownMenu.Item>
          )}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

/** Where names can be dropped: a group, a new one, or none. */
function Place({
  id,
  title,
  note,
  children,
}: {
  readonly id: string;
  readonly title: string;
  readonly note?: string | undefined;
  readonly children: ReactNode;
}): ReactNode {
  const { setNodeRef, isOver } = useDroppable({ id });
  return (
    <li
      ref={setNodeRef}
      aria-label={title}
      className={`flex min-h-16 items-start gap-4 border-t py-2 ${isOver ? 'border-ink bg-wash' : 'border-hairline'}`}
    >
      <span className="w-24 shrink-0 pt-2.5 font-semibold">{title}</span>
      <span className="flex flex-1 flex-wrap gap-2">{children}</span>
      {note !== undefined && <span className="pt-2.5 text-small text-doubt">{note}</span>}
    </li>
  );
}

/** Forms the groups of a class: by chance, by dragging names, or by choosing a group for a name. */
export function GroupFormer(props: FormerProps): ReactNode {
  const { students, groups, onChange } = props;
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const labelOf = new Map(students.map(({ id, label }) => [id, label]));
  const left = leftOver(
    groups,
    students.map(({ id }) => id),
  );
  const name = (id: string): ReactNode => <Name key={id} {...props} id={id} label={labelOf.get(id) ?? ''} />;
  return (
    <DndContext
      sensors={sensors}
      onDragEnd={({ active, over }) => {
        const to = over ? Number(String(over.id).slice(PLACE.length)) : NaN;
        if (!Number.isNaN(to)) onChange(moved(groups, String(active.id), to < 0 ? null : to));
      }}
    >
      <ul aria-label="Groups">
        {groups.map((group, i) => (
          <Place
            key={i}
            id={`${PLACE}${i}`}
            title={`Group ${i + 1}`}
            note={group.length > MOST ? 'more than four' : undefined}
          >
            {group.map(name)}
          </Place>
        ))}
        {groups.length > 0 && (
          <Place id={`${PLACE}${groups.length}`} title="New group">
            <span className="pt-2.5 text-muted">Drop a name here.</span>
          </Place>
        )}
        <Place id={`${PLACE}-1`} title="In no group">
          {left.length === 0 ? <span className="pt-2.5 text-muted">nobody</span> : left.map(name)}
        </Place>
      </ul>
    </DndContext>
  );
}

/** Ways to form all groups at once. */
export function GroupStarts({
  students,
  last,
  onChange,
}: {
  readonly students: readonly string[];
  /** Of the last laboratory that was opened; null where there was none. */
  readonly last: Groups | null;
  readonly onChange: (groups: Groups) => void;
}): ReactNode {
  const button = 'min-h-11 border-[1.5px] border-ink px-4 font-semibold hover:bg-wash';
  return (
    <div className="flex flex-wrap items-center gap-3" role="group" aria-label="Form all groups">
      {[2, 3, 4].map((size) => (
        <button
          key={size}
          type="button"
          className={button}
          onClick={() => onChange(byChance(students, size, Math.random))}
        >
          {size === 2 ? 'Pairs' : size === 3 ? 'Threes' : 'Fours'} by chance
        </button>
      ))}
      {last && (
        <button type="button" className={button} onClick={() => onChange(last)}>
          As last time
        </button>
      )}
    </div>
  );
}
