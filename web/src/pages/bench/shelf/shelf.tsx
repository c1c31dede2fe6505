import { completeRules, pictureOf, plainTask, toolFamilies, type Picture, type ToolFamily } from '@green-beam/core';
import { useMemo, type ReactNode } from 'react';
import { Link } from 'react-router';
import { PaperPicture } from '../../../instruments/paper-picture.tsx';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { Notice } from '../../../ui/notice.tsx';
import { capital } from '../../capital.ts';
import { MIX } from './tools-at.ts';

const FAMILIES = toolFamilies();
/** The same pictures every time: somebody looks for a tool by its place and shape. */
const SEED = 7;

/** What a shelf says beside a tool, a family or the mix, by its name in the address. */
export type BesideTool = (name: string, toolIds: readonly string[]) => ReactNode;

interface ShelfProps {
  /** Who takes a tool of the mix, in words. */
  readonly mix: string;
  /** A name in the address that no tool has. */
  readonly unknown: string | null;
  readonly standing: BesideTool;
  readonly children?: ReactNode;
  /** What a teacher ticks at each tool. */
  readonly tick?: (toolId: string, name: string) => ReactNode;
}

function pictureFor({ tools: [first] }: ToolFamily): Picture {
  return pictureOf(plainTask(first.id, SEED, null, completeRules()));
}

function Family({
  family,
  standing,
  tick,
}: { readonly family: ToolFamily } & Pick<ShelfProps, 'standing' | 'tick'>): ReactNode {
  const numerals = useNumerals();
  const picture = useMemo(() => pictureFor(family), [family]);
  const { id, name, tools } = family;
  const several = tools.length > 1;
  return (
    <section aria-labelledby={`family-${id}`} className="border-t border-ink pt-3 pb-8">
      <Link
        to={`/bench/${several ? id : tools[0].id}`}
        aria-hidden="true"
        tabIndex={-1}
        className="flex h-36 items-center overflow-hidden bg-surface p-2 [--picture-height:8rem] [&_svg]:mx-auto [&_svg]:h-full [&_svg]:max-w-full"
      >
        <PaperPicture picture={picture} label={name} />
      </Link>
      <h2 id={`family-${id}`} className="mt-3 flex flex-wrap items-baseline justify-between gap-x-3 text-lg font-bold">
        {several ? (
          <Link to={`/bench/${id}`} className="py-1 underline decoration-beam decoration-2 underline-offset-4">
            {name}
          </Link>
        ) : (
          name
        )}
        {several && (
          <span className="text-small font-normal text-muted">
            {standing(
              id,
              tools.map((tool) => tool.id),
            )}
          </span>
        )}
      </h2>
      <ul>
        {tools.map((tool) => (
          <li key={tool.id} className="flex min-h-11 items-center gap-x-3 border-b border-hairline">
            {tick?.(tool.id, numerals(tool.name))}
            <Link
              to={`/bench/${tool.id}`}
              className="py-2 underline decoration-hairline decoration-2 underline-offset-4"
            >
              {numerals(capital(tool.name))}
            </Link>
            <span className="ml-auto text-right text-small text-muted">{standing(tool.id, [tool.id])}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Every tool there is, by picture and name: any of them can be taken at any moment. */
export function Shelf({ mix, unknown, standing, tick, children }: ShelfProps): ReactNode {
  return (
    <main className="mx-auto w-full max-w-7xl px-4 py-8 wide:px-7">
      {unknown !== null && (
        <div className="mb-6" role="status">
          <Notice tone="doubt" title={`There is no tool called “${unknown}”`}>
            <p>The link may be mistyped. Take a tool from the shelf.</p>
          </Notice>
        </div>
      )}
      <h1 className="text-2xl font-bold">Take a tool</h1>
      <p className="mt-2 max-w-prose">
        Each tool has ten readings. You can change tools at any time: your readings stay, and you go on where you
        stopped.
      </p>
      <p className="mt-2 flex flex-wrap items-center gap-x-4">
        <Link
          to={`/bench/${MIX}`}
          className="inline-flex min-h-11 items-center font-semibold underline decoration-beam decoration-2 underline-offset-4"
        >
          {mix}
        </Link>
        <span className="text-small text-muted">{standing(MIX, [])}</span>
      </p>
      {children}
      <div className="mt-6 grid gap-x-8 sm:grid-cols-2 wide:grid-cols-3">
        {FAMILIES.map((family) => (
          <Family key={family.id} family={family} standing={standing} {...(tick && { tick })} />
        ))}
      </div>
    </main>
  );
}
