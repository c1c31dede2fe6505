import { useState, useSyncExternalStore, type ReactNode } from 'react';
import { Button } from '../../ui/button.tsx';
import { prefersStill } from '../../ui/prefers-still.ts';
import { NotePad } from '../note-pad.tsx';
import type { Sight } from '../sight/sight.ts';
import { useMotion } from '../sight/use-motion.ts';
import type { ControlsProps } from '../view.ts';
import { contactAt, reachOf, touchAt, type Faces as FacesOf, type HeldState } from './held-state.ts';

interface TouchProps {
  readonly faces: FacesOf;
  readonly state: HeldState;
  readonly sight: Sight;
  readonly name: string;
  readonly thing: string;
  /** The ratchet has brought them together. */
  readonly clicked: boolean;
}

/** How the faces stand to what they meet, in words. */
function Touching({ faces, state, sight, name, thing, clicked }: TouchProps): ReactNode {
  // Only a change of how they stand is a change of the page.
  const touch = useSyncExternalStore(sight.subscribe, () => touchAt(faces, state, sight.seen().markAt));
  const what = state.between ? `the ${thing}` : 'each other';
  const said = {
    apart: '',
    touching: `The ${name} touch ${what}.${clicked ? ' Click, click, click: the ratchet slips and presses no harder.' : ''}`,
    pressed:
      state.between && faces.soft > 0 ? `The ${name} press the ${thing} together.` : `Too tight: you are forcing it.`,
  }[touch];
  return (
    <p role="status" className={`min-h-6 ${touch === 'pressed' ? 'text-slip' : 'text-muted'}`}>
      {said}
    </p>
  );
}

/** How long a ratchet takes to bring the faces together, in ms. */
const RATCHET = 900;

interface FacesProps<S extends HeldState> extends Omit<ControlsProps<unknown, S>, 'picture'> {
  readonly faces: FacesOf;
  /** What is measured, and what measures it. */
  readonly thing: string;
  readonly name: 'jaws' | 'faces';
  /** How they are brought together, in a sentence. */
  readonly howTo: string;
  readonly hasRatchet?: boolean;
  /** Further keys of the tool. */
  readonly children?: ReactNode;
}

/** Jaws or faces: what is between them, how it lies, whether they are clean, and how they are brought together. */
export default function Faces<S extends HeldState>({
  faces,
  thing,
  name,
  howTo,
  hasRatchet = false,
  children,
  sight,
  state: held,
  change,
  note,
  closed,
}: FacesProps<S>): ReactNode {
  const motion = useMotion(sight, closed);
  const [clicked, setClicked] = useState(false);
  const set = (part: Partial<HeldState>): void => {
    setClicked(false);
    change((now) => ({ ...now, ...part }));
  };
  /** What is laid between the faces, or turned, or taken away needs room. */
  const openFor = (next: HeldState): void => {
    const away =
      faces.use === 'outside' || !next.between
        ? Math.max(sight.seen().markAt, contactAt(faces, next) + 2)
        : Math.min(sight.seen().markAt, contactAt(faces, next) - 2);
    motion.stop();
    sight.moveMark(Math.min(faces.most, Math.max(faces.closedX, away)));
    note('slide', Number(sight.seen().markAt.toFixed(4)));
  };
  const lay = (part: Partial<HeldState>): void => {
    const next = { ...held, ...part, meetings: held.meetings + 1 };
    set({ ...part, meetings: next.meetings });
    openFor(next);
  };
  const put = (between: boolean): void => {
    if (between === held.between) return;
    note(between ? 'put-thing' : 'take-thing');
    lay({ between });
  };
  const turn = (): void => {
    note('turn', held.turned ? 0 : 1);
    lay({ turned: !held.turned });
  };
  const wipe = (): void => {
    note('wipe-faces');
    set({ wiped: true });
    if (touchAt(faces, held, sight.seen().markAt) !== 'apart') openFor({ ...held, wiped: true });
  };
  const ratchet = (): void => {
    const contact = reachOf(faces, held, true).least;
    const arrived = (): void => {
      note('click');
      setClicked(true);
      note('slide', Number(contact.toFixed(4)));
    };
    if (prefersStill()) {
      sight.moveMark(contact);
      arrived();
      return;
    }
    const from = sight.seen().markAt;
    motion.run(
      (elapsed) => ({ at: from + (contact - from) * Math.min(1, elapsed / RATCHET), last: elapsed >= RATCHET }),
      arrived,
    );
  };
  return (
    <>
      <p className="text-small text-muted">{howTo}</p>
      <fieldset className="mt-1 flex flex-wrap gap-x-5">
        <legend className="sr-only">What is between the {name}</legend>
        {[true, false].map((between) => (
          <label key={String(between)} className="flex min-h-11 items-center gap-2">
            <input
              type="radio"
              name="between"
              className="size-5 accent-beam"
              checked={held.between === between}
              onChange={() => put(between)}
            />
            {between
              ? faces.use === 'outside'
                ? `the ${thing} between them`
                : `in the ${thing}`
              : 'nothing between them'}
          </label>
        ))}
      </fieldset>
      <div className="flex flex-wrap gap-2">
        {faces.turnedX !== null && (
          <Button look="plain" onClick={turn} disabled={!held.between}>
            Turn it by a right angle
          </Button>
        )}
        {hasRatchet && (
          <Button look="plain" onClick={ratchet} disabled={held.locked}>
            Turn by the ratchet
          </Button>
        )}
        {children}
      </div>
      <div className="-ml-2 flex flex-wrap">
        <Button look="quiet" onClick={wipe}>
          Wipe the {name}
        </Button>
        <Button look="quiet" aria-pressed={held.locked} onClick={() => set({ locked: !held.locked })}>
          {held.locked ? 'Loosen the lock' : 'Lock it'}
        </Button>
      </div>
      <Touching faces={faces} state={held} sight={sight} name={name} thing={thing} clicked={clicked} />
      {faces.grit > 0 && !held.wiped && <p className="text-small text-muted">There are dark specks on the {name}.</p>}
      <NotePad asked="Zero error, or a first reading" />
    </>
  );
}
