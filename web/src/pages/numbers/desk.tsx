import type { SignedIn } from '@green-beam/contract';
import { lazy, useState, type ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { Steps } from '../../numbers/steps.tsx';
import { CalculatedNumber } from '../../numbers/calculated-number.tsx';
import { useHouseRules, VISITORS } from '../../rules/house-rules.ts';
import { Button } from '../../ui/button.tsx';
import { Failed, Loading } from '../../ui/notice.tsx';
import { CopyLine } from './copy-line.tsx';
import { Chain, isConversion } from '../../numbers/chain.tsx';
import { InAnotherUnit } from './in-another-unit.tsx';
import { EXAMPLE, newTape, type KeptTape } from './kept-tape.ts';
import { Schools } from './schools.tsx';
import { Tape } from './tape.tsx';
import { useOwnTape } from './use-own-tape.ts';
import { useTape } from '../../numbers/use-tape.ts';
import { WrittenResult } from '../../numbers/written-result.tsx';
import { FetchedPart } from '../../ui/fetched-part.tsx';

// A visitor has none.
const EarlierTapes = lazy(() => import('./earlier-tapes.tsx'));

interface DeskProps {
  readonly signedIn: SignedIn | null;
  readonly classId: string | null;
}

/** The Numbers desk: a tape that computes as the class computes, and shows why each digit stays. */
export default function Desk({ signedIn, classId }: DeskProps): ReactNode {
  const personId = signedIn?.person.id ?? null;
  const own = useOwnTape(personId);
  const {
    tape: { lines },
    write: setLines,
  } = own;
  const [selected, setSelected] = useState(lines.length - 1);
  const [goTo, setGoTo] = useState<{ readonly line: number } | null>(null);
  const [cleared, setCleared] = useState<KeptTape | null>(null);
  const { rules: shown, error } = useHouseRules(classId);
  const { rules, name: ruleName } = shown ?? VISITORS;
  const numerals = useNumerals();
  const tape = useTape(lines, rules);
  const at = Math.min(selected, lines.length - 1);
  const worked = tape.lines[at] === lines[at] ? tape.results[at] : undefined;
  const calculation = worked?.calculation ?? null;
  const add = (line: string): void => {
    setLines([...lines.slice(0, at + 1), line, ...lines.slice(at + 1)]);
    setGoTo({ line: at + 1 });
  };
  const open = (tape: KeptTape): void => {
    own.open(tape);
    setGoTo({ line: tape.lines.length - 1 });
  };
  const clear = (): void => {
    setCleared(own.tape);
    own.anew();
    setGoTo({ line: 0 });
  };
  const fill = (): void => {
    open(cleared ?? newTape(EXAMPLE));
    setCleared(null);
  };
  if (error && !shown)
    return (
      <div className="px-7">
        <Failed error={error} />
      </div>
    );
  if (!shown)
    return (
      <div className="px-7">
        <Loading what="the class rules" />
      </div>
    );
  return (
    <>
      <main className="grid grid-cols-1 gap-x-12 gap-y-8 px-4 py-6 wide:grid-cols-[minmax(0,7fr)_minmax(0,5fr)] wide:px-7">
        <section aria-labelledby="tape">
          <h1 id="tape" className="text-2xl font-bold">
            Numbers
          </h1>
          <p className="mt-1 text-muted">
            Write what you measured, with its units. Give a line a name, and use it in later lines with all its digits.
          </p>
          <Tape
            lines={lines}
            workedLines={tape.lines}
            results={tape.results}
            selected={at}
            goTo={goTo}
            onGoTo={(line) => setGoTo({ line })}
            onWrite={setLines}
            onSelect={setSelected}
          />
          <div className="mt-4 flex flex-wrap gap-4">
            <Button look="plain" onClick={() => add('')}>
              New line
            </Button>
            {lines.length > 1 || lines[0] !== '' ? (
              <Button look="quiet" onClick={clear}>
                Clear all lines
              </Button>
            ) : (
              <Button look="quiet" onClick={fill}>
                {cleared ? 'Bring the lines back' : 'Show an example'}
              </Button>
            )}
          </div>
          {own.unsaved !== null && (
            <p role="status" className="mt-3 text-small text-doubt">
              {own.unsaved}
            </p>
          )}
          {own.earlier.length > 0 && (
            <FetchedPart>
              <EarlierTapes tapes={own.earlier} onOpen={open} onRemove={own.remove} />
            </FetchedPart>
          )}
        </section>
        <section aria-labelledby="working" aria-live="polite">
          <h2 id="working" className="text-lg font-bold">
            {worked?.name ? `How ${worked.name} is worked out` : `How line ${at + 1} is worked out`}
          </h2>
          {!calculation && (
            <p className="mt-2 text-muted">
              {worked?.mistake
                ? 'This line cannot be worked out yet. The note under it says why.'
                : 'Write a line, and its working appears here.'}
            </p>
          )}
          {calculation && (
            <>
              <div className="mt-2 border-t border-hairline">
                {calculation.steps.length === 0 && !isConversion(calculation) && (
                  <p className="py-3 text-muted">
                    There is no calculation on this line. The number stays as you wrote it.
                  </p>
                )}
                <Steps steps={calculation.steps} />
              </div>
              <Chain calculation={calculation} />
              <WrittenResult>
                <CalculatedNumber calculation={calculation} />
              </WrittenResult>
              {calculation.notes.length > 0 && (
                <ul className="mt-3 space-y-1 text-small text-doubt">
                  {calculation.notes.map((note) => (
                    <li key={note}>{numerals(note)}</li>
                  ))}
                </ul>
              )}
              <InAnotherUnit
                key={`${at} ${calculation.unit}`}
                lines={lines.slice(0, at + 1)}
                unit={calculation.unit === '' && /:/.test(calculation.text) ? 'h:min:s' : calculation.unit}
                name={worked?.name ?? null}
                rules={rules}
                onAdd={add}
              />
              <Schools lines={lines} index={at} rules={rules} ruleName={ruleName} shown={calculation} />
              <CopyLine key={lines[at]} line={lines[at] ?? ''} name={worked?.name ?? null} calculation={calculation} />
            </>
          )}
        </section>
      </main>
    </>
  );
}
