import {
  neededSize,
  rankedPlans,
  toolFrom,
  toolsForJob,
  type HouseRules,
  type Job,
  type NeededSize,
  type Protocol,
  type ToolPlan,
} from '@green-beam/core';
import type { News } from '../../ui/use-worker.ts';

/** What tools are looked for. */
export interface WhichToolOrder {
  readonly protocol: Protocol;
  readonly sample: number;
  readonly result: number;
  /** Tools as a log names them. */
  readonly tools: readonly string[];
  readonly rules: HouseRules;
  /** In the unit of the result. */
  readonly wanted: number;
  /** Whether it was asked for as a part of the result: then a larger piece helps. */
  readonly isRelative: boolean;
}

/** Plans, the best first, and what would help where none will do. */
export interface WhichToolFound {
  readonly plans: readonly ToolPlan[];
  /** The smallest uncertainty of all. */
  readonly best: number;
  readonly needed: NeededSize | null;
}

/** So many are shown. */
const SHOWN = 12;

function tell(news: News<WhichToolFound>): void {
  self.postMessage(news);
}

function find({ tools, wanted, isRelative, ...asked }: WhichToolOrder): void {
  const job: Job = { ...asked, cabinet: tools.flatMap((text) => toolFrom(text) ?? []) };
  const search = toolsForJob(job);
  if (!search) {
    tell({ kind: 'failed', message: 'Nothing of this result depends on which tool is taken.' });
    return;
  }
  const plans: ToolPlan[] = [];
  for (const plan of search.plans()) {
    plans.push(plan);
    tell({ kind: 'progress', done: plans.length / search.count });
  }
  const ranked = rankedPlans(plans, wanted);
  const best = Math.min(...plans.map(({ uncertainty }) => uncertainty));
  const bestPlan = plans.find(({ uncertainty }) => uncertainty === best);
  tell({
    kind: 'done',
    outcome: {
      plans: ranked.slice(0, SHOWN),
      best,
      needed: isRelative && bestPlan && best > wanted ? neededSize(job, bestPlan, wanted) : null,
    },
  });
}

self.addEventListener('message', ({ data }: MessageEvent<WhichToolOrder>) => {
  try {
    find(data);
  } catch {
    tell({ kind: 'failed', message: 'The tools could not be compared. Load the page again.' });
  }
});
