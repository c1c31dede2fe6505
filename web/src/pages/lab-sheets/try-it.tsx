import type { LabSheetDraft, LabSheetPage, RulesShown } from '@green-beam/contract';
import { workOut, type Protocol, type RunEvent } from '@green-beam/core';
import { useMemo, useState, type ReactNode } from 'react';
import { useNavigate, useParams } from 'react-router';
import { inTheWay } from '../../api/in-the-way.ts';
import { useHouseRules } from '../../rules/house-rules.ts';
import { Button } from '../../ui/button.tsx';
import { Waiting } from '../../ui/waiting.tsx';
import { partsOf, PURPOSE, SECTIONS } from '../notebook/parts.ts';
import { RunBody } from '../notebook/run-body.tsx';
import { StepList } from '../notebook/step-list.tsx';
import { useFaults } from './editor/use-faults.ts';
import { useSaving, useUnsaved } from '../../saving/use-saving.ts';
import { placeInWords } from './fault-in-words.ts';
import { SavingShown } from '../../saving/saving-shown.tsx';
import { ChangedElsewhere } from './changed-elsewhere.tsx';
import { showable } from './tidied.ts';
import { eventsOfSample, TRIER, triedPage, withEntry, withSample } from './try-run.ts';
import { sheetKey, useLabSheet, writtenSheet } from './use-lab-sheets.ts';

interface TryProps {
  readonly sheet: LabSheetPage;
  readonly rules: RulesShown;
  readonly classId: string;
}

/** Nothing can be tried while a formula or a name is wrong. */
function NotYet({ sheet, paths }: { readonly sheet: LabSheetPage; readonly paths: readonly string[] }): ReactNode {
  return (
    <main className="max-w-prose px-4 py-8 wide:px-7">
      <h1 className="text-2xl font-bold">Not to be tried yet</h1>
      <p className="mt-2">
        Something in it is wrong: {paths.map((path) => placeInWords(sheet.draft, path)).join('; ')}.
      </p>
      <BackTo id={sheet.id} flush={() => Promise.resolve(null)} />
    </main>
  );
}

function BackTo({ id, flush }: { readonly id: string; readonly flush: () => Promise<unknown> }): ReactNode {
  const goTo = useNavigate();
  return (
    <Button look="quiet" className="-ml-2" onClick={() => void flush().then(() => goTo(`/lab-sheets/${id}`))}>
      Back to the lab sheet
    </Button>
  );
}

function Trial({ sheet, rules, classId }: TryProps): ReactNode {
  const protocol = useMemo(
    () => ({ ...sheet.draft, id: sheet.id, version: (sheet.version ?? 0) + 1 }) as unknown as Protocol,
    [sheet],
  );
  const [, keepUnsaved] = useUnsaved<LabSheetDraft>(sheetKey(sheet.id));
  const [index, setIndex] = useState(0);
  const [events, setEvents] = useState<readonly RunEvent[]>(() => eventsOfSample(protocol, 0));
  const [draft, setDraft] = useState<LabSheetDraft>(sheet.draft);
  const { saving, flush } = useSaving(writtenSheet(sheet), draft, keepUnsaved);
  const page = useMemo(() => triedPage(protocol, events, rules), [protocol, events, rules]);
  const worked = useMemo(() => workOut(protocol, { events }, rules.rules), [protocol, events, rules]);
  const parts = useMemo(
    () => partsOf(worked, TRIER, page.arrangement).filter(({ id }) => id !== 'report'),
    [worked, page],
  );
  const [part, setPart] = useState<string | null>(null);
  const current = part ?? PURPOSE;
  const goToPart = (id: string): void => {
    setPart(id);
    const section = SECTIONS.includes(id) ? document.getElementById(id) : null;
    section?.scrollIntoView({ block: 'start' });
    section?.focus({ preventScroll: true });
  };
  const choose = (next: number): void => {
    setIndex(next);
    const kept = { ...protocol, samples: draft['samples'] } as Protocol;
    setEvents(eventsOfSample(kept, next));
  };
  const count = protocol.samples.length;
  return (
    <div className="flex flex-col wide:grid wide:min-h-[calc(100vh-3.5rem)] wide:grid-cols-[15rem_minmax(0,1fr)] wide:grid-rows-[auto_1fr]">
      <div className="px-4 pt-6 wide:border-r wide:border-hairline wide:px-7">
        <BackTo id={sheet.id} flush={flush} />
        <p className="text-small text-muted">
          You try it as a group sees it. What you write in the tables is kept as the example: given readings are drawn
          about it.
        </p>
        {count > 1 && (
          <label className="mt-2 flex flex-col gap-1 text-small font-semibold">
            Example
            <select
              value={index}
              onChange={(event) => choose(Number(event.target.value))}
              className="min-h-11 border-b-2 border-ink bg-surface px-2 text-base font-normal"
            >
              {Array.from({ length: count }, (_, i) => (
                <option key={i} value={i}>
                  {i + 1} of {count}
                </option>
              ))}
            </select>
          </label>
        )}
        <SavingShown saving={saving} />
        {saving.kind === 'elsewhere' && (
          <ChangedElsewhere
            draft={draft}
            onDiscard={() => {
              keepUnsaved(null);
              location.reload();
            }}
          />
        )}
        <StepList parts={parts} current={current} onChoose={goToPart} />
      </div>
      <div className="hidden wide:row-start-2 wide:block wide:border-r wide:border-hairline" />
      <RunBody
        page={page}
        worked={worked}
        book={null}
        author={TRIER}
        as="student"
        onAuthor={() => undefined}
        classId={classId}
        current={current}
        parts={parts}
        onPart={goToPart}
        hasReport={false}
        onWrite={(address, text, reason = null) => {
          const next = withEntry(events, address, text, reason);
          setEvents(next);
          setDraft(withSample(draft, index, protocol, next));
        }}
      />
    </div>
  );
}

function Checked({ sheet, rules, classId }: TryProps): ReactNode {
  const faults = useFaults(sheet.draft);
  if (!faults) return <Waiting what="the lab sheet" error={null} />;
  const paths = faults.map(({ path }) => path).filter((path) => !path.startsWith('samples['));
  if (paths.length > 0) return <NotYet sheet={sheet} paths={paths} />;
  return <Trial sheet={{ ...sheet, draft: showable(sheet.draft) }} rules={rules} classId={classId} />;
}

/** A lab sheet tried out before it is used: the page that a group would see, with the example’s numbers. */
export default function TryIt({ classId }: { readonly classId: string | null }): ReactNode {
  const { sheetId = '' } = useParams();
  const { data: sheet, error } = useLabSheet(sheetId);
  const { rules, error: noRules } = useHouseRules(classId);
  const failed = inTheWay(error, sheet) ?? inTheWay(noRules, rules);
  if (failed || !sheet || !rules) return <Waiting what="the lab sheet" error={failed} />;
  return <Checked key={sheetId} sheet={sheet} rules={rules} classId={classId ?? ''} />;
}
