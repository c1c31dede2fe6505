import type { WorkedRun } from '../engine/evaluate.ts';
import { holds } from '../protocol/layout.ts';
import type { Finding } from './finding.ts';
import { PROTOCOL_CHECKS } from './protocol-checks.ts';
import { sharedFindings } from './shared-checks.ts';

/** Goes through a run as a careful teacher would. */
export function findingsIn(run: WorkedRun): Finding[] {
  const { protocol, chosen } = run.setting.layout;
  const own = protocol.checks
    .filter(({ when }) => holds(when, chosen))
    .flatMap(({ check, of, message = '' }) => PROTOCOL_CHECKS[check]?.find(run, of, message) ?? []);
  return [...sharedFindings(run), ...own];
}
