import type { LabSheetDraft, LabSheetFault, LabSheetPage } from '@green-beam/contract';
import { useMemo, useState, type ReactNode } from 'react';
import { FormProvider, useForm, useWatch, type FieldValues } from 'react-hook-form';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { Button } from '../../../ui/button.tsx';
import { SECTIONS, sectionOf, type SectionId } from '../fault-in-words.ts';
import { SavingShown } from '../../../saving/saving-shown.tsx';
import { useSaving, useUnsaved } from '../../../saving/use-saving.ts';
import { ChangedElsewhere } from '../changed-elsewhere.tsx';
import { showable, tidied } from '../tidied.ts';
import { sheetKey, writtenSheet } from '../use-lab-sheets.ts';
import { About } from './about.tsx';
import { Advanced } from './advanced/advanced.tsx';
import { FaultsHere, faultsByPath } from './faults-here.ts';
import { QuestionsPart } from './questions.tsx';
import { ResultsPart } from './results.tsx';
import { StatementsPart } from './statements.tsx';
import { StepsPart } from './steps.tsx';
import { ToolsAndRepeats } from './tools-and-repeats.tsx';
import { useFaults } from './use-faults.ts';
import { UseIt } from './use-it.tsx';

const titleOf = ({ title }: LabSheetDraft): string => (typeof title === 'string' ? title : '');

interface NavProps {
  readonly current: SectionId;
  readonly faults: readonly LabSheetFault[];
  readonly onChoose: (section: SectionId) => void;
}

/** The parts of a lab sheet, each with how much in it is wrong. */
function Sections({ current, faults, onChoose }: NavProps): ReactNode {
  return (
    <nav aria-label="Parts of the lab sheet" className="mt-4">
      <ol className="max-wide:flex max-wide:flex-wrap max-wide:gap-x-4">
        {SECTIONS.map(({ id, name }) => {
          const wrong = faults.filter((fault) => sectionOf(fault) === id).length;
          return (
            <li key={id}>
              <button
                type="button"
                aria-current={id === current ? 'step' : undefined}
                onClick={() => onChoose(id)}
                className={`flex min-h-9 items-center gap-2 py-1 text-left hover:underline max-wide:min-h-11 ${id === current ? 'font-bold' : ''}`}
              >
                <span aria-hidden="true" className="flex size-4 shrink-0 items-center justify-center">
                  {id === current && <span className="size-2 rounded-full bg-beam" />}
                </span>
                {name}
                {wrong > 0 && (
                  <span className="text-small font-semibold text-slip">
                    {wrong} <span className="sr-only">{wrong === 1 ? 'fault' : 'faults'}</span>
                  </span>
                )}
              </button>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}

/** Leads to the page on which it is tried. */
function ToTry({ onTry }: { readonly onTry: () => void }): ReactNode {
  return (
    <div className="max-w-prose">
      <p>
        See it as a group does, with the numbers of the example. Change them, and the results follow. What you write in
        its tables is kept as the example.
      </p>
      <Button className="mt-3" onClick={onTry}>
        Try it
      </Button>
    </div>
  );
}

interface EditorProps {
  readonly sheet: LabSheetPage;
  readonly onChanged: (sheet: LabSheetPage) => void;
  /** What was written here is given up for what the server has. */
  readonly onDiscard: () => void;
}

/** Everything of a lab sheet, part by part; it is saved by itself. */
export function Editor({ sheet, onChanged, onDiscard }: EditorProps): ReactNode {
  const goTo = useNavigate();
  const [unsaved, keepUnsaved] = useUnsaved<LabSheetDraft>(sheetKey(sheet.id));
  const [begunWith] = useState(() => showable(unsaved?.draft ?? sheet.draft) as FieldValues);
  const form = useForm({ defaultValues: begunWith });
  const values = useWatch({ control: form.control });
  const draft = useMemo(() => tidied(values), [values]);
  const saved = useMemo(() => ({ ...sheet, draft: tidied(showable(sheet.draft)) }), [sheet]);
  const { saving, flush } = useSaving(writtenSheet(saved), draft, keepUnsaved);
  const faults = useFaults(draft);
  const byPath = useMemo(() => faultsByPath(faults ?? []), [faults]);
  const [search, setSearch] = useSearchParams();
  const current = SECTIONS.find(({ id }) => id === search.get('part'))?.id ?? 'about';
  const choose = (section: SectionId): void => {
    setSearch({ part: section }, { replace: true });
    window.scrollTo(0, 0);
  };
  const isSound =
    faults !== null &&
    !faults.some(({ path }) => /^(options|dimensions|quantities)(\[\d+\]\.(?!formula)|$)/.test(path));
  return (
    <div className="flex flex-col wide:grid wide:min-h-[calc(100vh-3.5rem)] wide:grid-cols-[15rem_minmax(0,1fr)]">
      <div className="px-4 pt-6 wide:border-r wide:border-hairline wide:px-7">
        <p className="text-small font-semibold text-muted">
          <Link to="/lab-sheets" className="underline underline-offset-4">
            All lab sheets
          </Link>
        </p>
        <Sections current={current} faults={faults ?? []} onChoose={choose} />
        <div className="mt-4">
          <SavingShown saving={saving} />
        </div>
      </div>
      <main className="min-w-0 px-4 py-6 wide:px-9">
        <h1 className="text-2xl font-bold">{titleOf(draft) || 'A lab sheet without a title'}</h1>
        {saving.kind === 'elsewhere' && (
          <ChangedElsewhere
            draft={draft}
            onDiscard={() => {
              keepUnsaved(null);
              onDiscard();
            }}
          />
        )}
        <h2 className="mt-4 mb-3 text-xl font-bold">{SECTIONS.find(({ id }) => id === current)?.name}</h2>
        <FormProvider {...form}>
          <FaultsHere value={byPath}>
            <form className="max-w-3xl" onSubmit={(event) => event.preventDefault()}>
              {current === 'about' && <About />}
              {current === 'tools' && <ToolsAndRepeats />}
              {current === 'results' && <ResultsPart />}
              {current === 'steps' && <StepsPart />}
              {current === 'statements' && <StatementsPart />}
              {current === 'questions' && <QuestionsPart />}
              {current === 'advanced' && <Advanced isSound={isSound} />}
              {current === 'try' && (
                <ToTry onTry={() => void flush().then(() => goTo(`/lab-sheets/${sheet.id}/try`))} />
              )}
            </form>
            {current === 'use' && (
              <UseIt
                sheet={{ ...sheet, draft, hasChanges: sheet.hasChanges || saving.kind !== 'saved' }}
                faults={faults}
                onSection={choose}
                flush={flush}
                onChanged={onChanged}
              />
            )}
          </FaultsHere>
        </FormProvider>
      </main>
    </div>
  );
}
