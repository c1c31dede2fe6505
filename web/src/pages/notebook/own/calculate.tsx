import { cellInWords, placesOf, type OwnCell } from '@green-beam/core';
import { lazy, useEffect, useId, useRef, useState, type ReactNode } from 'react';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { MeasuredNumber } from '../../../numbers/measured-number.tsx';
import { unitText } from '../../../numbers/unit-text.ts';
import { Button } from '../../../ui/button.tsx';
import { FetchedPart } from '../../../ui/fetched-part.tsx';
import { Notice } from '../../../ui/notice.tsx';
import { useNarrow } from '../../../ui/use-narrow.ts';
import type { CellPlace, OnPage } from '../on-page.ts';
import { WorkingShown } from '../working-shown.tsx';
import { Digits } from './digits.tsx';
import { chipsOf, type Chip } from './names.ts';

// Whoever has a calculator at hand needs none.
const NumbersBeside = lazy(() => import('./numbers-beside.tsx'));

interface CalculateProps extends OnPage {
  readonly place: CellPlace;
  /** What has been typed here and not been checked; null where nothing has. */
  readonly draft: string | null;
  readonly onDraft: (text: string | null) => void;
}

/** The next cell that is the student’s turn, in the order in which one follows from the other. */
function nextTurn(
  { run, ownWork }: Pick<OnPage, 'run' | 'ownWork'>,
  { quantity, members }: CellPlace,
): CellPlace | null {
  const here = JSON.stringify([quantity, members]);
  for (const id of run.setting.layout.order) {
    const found = run.setting.layout.quantities.get(id);
    if (found?.kind !== 'computed') continue;
    for (const at of placesOf(run.setting, found.over, found.only)) {
      const own = run.counts(at) ? ownWork.at(id, at) : null;
      if (own?.state === 'turn' && !own.isEarly && JSON.stringify([id, at]) !== here)
        return { quantity: id, members: at };
    }
  }
  return null;
}

/** A number to calculate with: a tap writes its name. */
function IngredientChip({ chip, onTake }: { readonly chip: Chip; readonly onTake: (() => void) | null }): ReactNode {
  const numerals = useNumerals();
  const inside = (
    <>
      <span className="text-small">{chip.label}</span>
      <MeasuredNumber text={chip.text} unit={unitText(chip.unit)} />
      {chip.read !== null && <span className="text-small text-muted">(read {numerals(chip.read)})</span>}
      {chip.missed && <span className="text-small font-semibold text-slip">left out</span>}
    </>
  );
  const look = `inline-flex min-h-11 items-center gap-2 rounded-full border px-4 ${chip.missed ? 'border-slip' : 'border-hairline'} bg-paper`;
  return onTake ? (
    <button type="button" title={chip.name} className={`${look} hover:border-beam`} onClick={onTake}>
      {inside}
    </button>
  ) : (
    <span title={chip.name} className={look}>
      {inside}
    </span>
  );
}

/** What is to be said of the entry that stands. */
function Said({
  own,
  onNext,
  next,
}: {
  readonly own: OwnCell;
  readonly next: string | null;
  readonly onNext: () => void;
}): ReactNode {
  const numerals = useNumerals();
  const [first, second] = own.slips;
  if (own.state === 'sound')
    return (
      <Notice tone="sound" title="Correct">
        {next !== null && (
          <Button look="quiet" className="-ml-2" onClick={onNext}>
            Next: {next}
          </Button>
        )}
      </Notice>
    );
  if (own.state === 'unreadable') return <Notice tone="slip">{own.message && <p>{numerals(own.message)}</p>}</Notice>;
  if (own.state === 'turn' || own.state === 'waiting') return null;
  return (
    <Notice
      tone={own.state === 'record' ? 'doubt' : 'slip'}
      title={
        first
          ? second
            ? `${first.name}, and: ${second.name.toLowerCase()}`
            : first.name
          : 'This does not follow from your numbers'
      }
    >
      {first ? (
        own.slips.map(({ id, why, lookAt }) => (
          <p key={id}>
            {numerals(why)} <span className="text-muted">Look at {numerals(lookAt)}.</span>
          </p>
        ))
      ) : (
        <p>No known slip explains it. Check each number that you used, and calculate once more.</p>
      )}
      {own.alsoPossible.length > 0 && (
        <p className="text-small text-muted">Or it was: {own.alsoPossible.slice(0, 2).join('; ').toLowerCase()}.</p>
      )}
      {own.message !== null && <p className="mt-1">{numerals(own.message)}</p>}
    </Notice>
  );
}

/** What the digits of the result go by: at once where only they are wrong, and with the number where it is right. */
function DigitsBeside({
  run,
  own,
  place,
}: Pick<CalculateProps, 'run' | 'place'> & { readonly own: OwnCell }): ReactNode {
  if (own.state !== 'record' && own.state !== 'sound') return null;
  const steps = run.workingOf(place.quantity, place.members)?.steps ?? [];
  if (steps.length === 0) return null;
  return (
    <div className="wide:border-l wide:border-hairline wide:pl-6">
      <p className="mb-2 text-small text-muted">What the digits say</p>
      <Digits steps={steps} asked={own.state === 'record' && !own.mayBeShown} />
    </div>
  );
}

/** Where a student works out one cell: the numbers at hand, the own result, what it says of the way to it, and the working on request. */
export function Calculate(props: CalculateProps): ReactNode {
  const { page, run, ownWork, author, place, onWrite, onOpen } = props;
  const { quantity, members } = place;
  const numerals = useNumerals();
  const id = useId();
  const field = useRef<HTMLInputElement>(null);
  const cell = run.cellAt(quantity, members);
  const standing = cell?.kind === 'own' || cell?.kind === 'unusable' ? cell.event.text : '';
  const [text, setTyped] = useState(props.draft ?? standing);
  const setText = (typed: string): void => {
    setTyped(typed);
    props.onDraft(typed.trim() === standing ? null : typed);
  };
  const [desk, setDesk] = useState(false);
  const strip = useRef<HTMLElement>(null);
  const narrow = useNarrow();
  // The strip opens where the person has just chosen a cell; focus belongs there, and the table stays in sight.
  useEffect(() => {
    field.current?.focus({ preventScroll: true });
    strip.current?.scrollIntoView({ block: narrow ? 'start' : 'nearest' });
  }, [narrow]);
  const own = ownWork.at(quantity, members);
  if (!own) return null;
  const chips = chipsOf(own.ingredients);
  const next = nextTurn(props, place);
  const name = cellInWords(run.setting, quantity, members);
  const isStanding = standing !== '' && text.trim() === standing;
  const check = (): void => {
    const typed = text.trim();
    if (isStanding && own.state === 'sound' && next) onOpen(next);
    else if (typed !== '') {
      onWrite({ kind: 'cell', quantity, members, author }, typed);
      props.onDraft(null);
    }
  };
  const insert = (label: string): void => {
    const at = field.current?.selectionStart ?? text.length;
    const before = text.slice(0, at);
    const gap = before === '' || /[\s(]$/.test(before) ? '' : ' ';
    setText(`${before}${gap}${label} ${text.slice(at).trimStart()}`);
    field.current?.focus();
  };
  return (
    <section
      ref={strip}
      aria-label={`Calculate: ${name}`}
      className="mt-3 border-t-[3px] border-beam bg-surface px-5 py-4"
    >
      <div className="flex items-baseline justify-between gap-4">
        <h2 className="text-lg font-bold">{name}</h2>
        <Button look="quiet" className="text-small" onClick={() => onOpen(null)}>
          Close
        </Button>
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-4 wide:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
        <div>
          <div className="flex flex-wrap items-center gap-2" role="group" aria-label="Your numbers">
            {chips.map((chip) => (
              <IngredientChip key={chip.label} chip={chip} onTake={page.mayWrite ? () => insert(chip.label) : null} />
            ))}
            {page.mayWrite && <span className="text-small text-muted">tap them, or type</span>}
          </div>
          {page.mayWrite ? (
            <form
              className="mt-3"
              onSubmit={(event) => {
                event.preventDefault();
                check();
              }}
            >
              <label htmlFor={id} className="text-small font-semibold">
                Your result, with its unit
              </label>
              <input
                ref={field}
                id={id}
                value={text}
                onChange={(event) => setText(event.target.value)}
                onKeyDown={(event) => {
                  if (event.key === 'Escape') onOpen(null);
                }}
                maxLength={200}
                autoComplete="off"
                autoCapitalize="off"
                spellCheck={false}
                enterKeyHint="done"
                placeholder={chips[1] ? numerals(`${chips[0]?.label ?? ''} … ${chips[1].label} = `) : ''}
                className="min-h-12 w-full border-b-2 border-ink bg-paper px-3 font-mono text-xl placeholder:text-base placeholder:text-muted"
              />
              <div aria-live="polite" className="mt-3">
                {isStanding && (
                  <Said
                    own={own}
                    next={next && cellInWords(run.setting, next.quantity, next.members)}
                    onNext={() => onOpen(next)}
                  />
                )}
              </div>
              <div className="mt-3 flex flex-wrap gap-3">
                <Button type="submit" disabled={text.trim() === ''}>
                  {own.tries > 0 && own.state !== 'sound' ? 'Check again' : 'Check'}
                </Button>
                {!own.mayBeShown && (
                  <Button look="plain" onClick={() => onWrite({ kind: 'shown', quantity, members, author }, 'shown')}>
                    Show me
                  </Button>
                )}
                <Button look="quiet" aria-expanded={desk} onClick={() => setDesk(!desk)}>
                  {desk ? 'Put the calculator away' : 'Use the calculator'}
                </Button>
              </div>
            </form>
          ) : (
            <div className="mt-3">
              {standing === '' ? (
                <p className="text-muted">nothing yet</p>
              ) : (
                <p className="font-mono text-xl">{numerals(standing)}</p>
              )}
              <div className="mt-3">
                <Said own={own} next={null} onNext={() => undefined} />
              </div>
            </div>
          )}
        </div>
        <DigitsBeside run={run} own={own} place={place} />
      </div>
      {desk && (
        <FetchedPart fallback={<p className="text-muted">Fetching the calculator …</p>}>
          <NumbersBeside
            chips={chips}
            rules={page.rules}
            onTake={(result) => {
              setText(result);
              field.current?.focus();
            }}
          />
        </FetchedPart>
      )}
      {(own.mayBeShown || props.book !== null) && own.right && (
        <div className="mt-4 border-t border-hairline pt-3">
          <p className="text-small font-semibold">
            {own.state === 'sound' ? 'How it is worked out' : 'Step by step, from these numbers'}
          </p>
          <WorkingShown run={run} place={place} text={own.right.text} />
        </div>
      )}
    </section>
  );
}
