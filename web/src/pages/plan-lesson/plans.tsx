import type { PlanSummary } from '@green-beam/contract';
import { format } from 'date-fns';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { inTheWay } from '../../api/in-the-way.ts';
import { Failed, Loading } from '../../ui/notice.tsx';
import { useLaboratories } from '../notebook/use-laboratories.ts';
import { NewPlan } from './new-plan.tsx';
import { usePlans } from './use-plans.ts';
import { useUsableTools } from './usable-tools.ts';

function PlanRow({ plan }: { readonly plan: PlanSummary }): ReactNode {
  return (
    <li className="border-t border-hairline">
      <Link to={`/plan-lesson/${plan.id}`} className="flex min-h-14 flex-wrap items-center gap-x-6 py-2 hover:bg-wash">
        <strong className="min-w-60 flex-1">{plan.title}</strong>
        <span className={plan.beganAt ? 'font-semibold text-beam' : 'text-muted'}>
          {plan.beganAt
            ? `began ${format(new Date(plan.beganAt), 'd MMM, HH:mm')}`
            : `at ${plan.begins}, ${plan.groups} ${plan.groups === 1 ? 'group' : 'groups'}`}
        </span>
        <span className="w-40 text-small text-muted sm:text-right">
          saved {format(new Date(plan.savedAt), 'd MMM, HH:mm')}
        </span>
      </Link>
    </li>
  );
}

function ForClass({ classId }: { readonly classId: string }): ReactNode {
  const { data: plans, error } = usePlans(classId);
  const { data: laboratories, error: noLaboratories } = useLaboratories(classId);
  const { usable, error: noTools } = useUsableTools(classId);
  const failed =
    inTheWay(error, plans) ?? inTheWay(noLaboratories, laboratories) ?? inTheWay(noTools, usable ?? undefined);
  if (failed) return <Failed error={failed} />;
  if (!plans || !laboratories || !usable) return <Loading what="the plans" />;
  return (
    <>
      {plans.length > 0 && (
        <ul className="mt-4 max-w-5xl border-b border-hairline">
          {plans.map((plan) => (
            <PlanRow key={plan.id} plan={plan} />
          ))}
        </ul>
      )}
      <h2 className="mt-8 text-lg font-bold">New plan</h2>
      <NewPlan classId={classId} laboratories={laboratories} cabinet={usable} />
    </>
  );
}

/** The plans of a class, and a new one. */
export default function Plans({ classId }: { readonly classId: string | null }): ReactNode {
  return (
    <main className="mx-auto w-full max-w-7xl px-4 py-6 wide:px-7">
      <h1 className="text-2xl font-bold">Plan a lesson</h1>
      <p className="mt-1 max-w-prose text-muted">
        Who is at which tool when, what stands on each bench, and what to begin before they come.
      </p>
      {classId === null ? (
        <p className="mt-6">You have no class yet. Make one under “Students”.</p>
      ) : (
        <ForClass classId={classId} />
      )}
    </main>
  );
}
