import { type ReactNode } from 'react';
import { useParams } from 'react-router';
import { inTheWay } from '../../api/in-the-way.ts';
import { Waiting } from '../../ui/waiting.tsx';
import { useLaboratories } from '../notebook/use-laboratories.ts';
import { Planner } from './planner.tsx';
import { usePlanToChange } from './use-plans.ts';
import { useUsableTools } from './usable-tools.ts';

function ForClass({ classId, planId }: { readonly classId: string; readonly planId: string }): ReactNode {
  const { data: page, error } = usePlanToChange(classId, planId);
  const { data: laboratories, error: noLaboratories } = useLaboratories(classId);
  const { usable, error: noTools } = useUsableTools(classId);
  const failed =
    inTheWay(error, page) ?? inTheWay(noLaboratories, laboratories) ?? inTheWay(noTools, usable ?? undefined);
  if (failed || !page || !laboratories || !usable) return <Waiting what="the plan" error={failed} />;
  return <Planner classId={classId} page={page} laboratories={laboratories} cabinet={usable} />;
}

/** The plan of one lesson. */
export default function PlanLesson({ classId }: { readonly classId: string | null }): ReactNode {
  const { planId = '' } = useParams();
  if (classId === null) return <Waiting what="the class" error={null} />;
  return <ForClass key={planId} classId={classId} planId={planId} />;
}
