import { Switch } from 'radix-ui';
import { useId, type ReactNode } from 'react';
import { Dialog } from './dialog.tsx';
import { useShortcutsOn } from './shortcuts.ts';

const KEYS: readonly [key: string, does: string][] = [
  ['Enter', 'check the reading, then go on'],
  ['↑ ↓', 'move the eye by a millimetre, while it is chosen'],
  ['Shift ↑ ↓', 'move the eye by a centimetre'],
  ['L', 'loupe'],
  ['H', 'next hint'],
  ['N', 'next reading'],
  ['D', 'describe the picture in words'],
  ['R', 'class rules'],
  ['?', 'this list'],
];

/** Every shortcut, and the switch that turns the letters off. */
export default function ShortcutsSheet({
  open,
  onOpenChange,
}: {
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
}): ReactNode {
  const [on, turn] = useShortcutsOn();
  const id = useId();
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="Keys"
      description="The letter keys work while you are not writing in a field."
    >
      <dl>
        {KEYS.map(([key, does]) => (
          <div key={key} className="grid grid-cols-[8rem_1fr] gap-4 border-t border-hairline py-2">
            <dt className="font-mono">{key}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
      <div className="flex items-center gap-3">
        <Switch.Root
          id={id}
          checked={on}
          onCheckedChange={turn}
          className="h-7 w-12 rounded-full border-2 border-ink bg-surface data-[state=checked]:bg-beam"
        >
          <Switch.Thumb className="block size-5 translate-x-0.5 rounded-full bg-ink transition-transform data-[state=checked]:translate-x-[1.4rem] data-[state=checked]:bg-white" />
        </Switch.Root>
        <label htmlFor={id}>Letter keys are shortcuts</label>
      </div>
    </Dialog>
  );
}
