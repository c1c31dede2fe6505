import { ACTION_KINDS, type Action } from '@green-beam/core';
import type { BenchAction } from './bench.ts';

/** What of a student’s actions was done with the tool, as core judges it. By itself, so that a visitor’s page needs no schema. */
export function doneIn(actions: readonly BenchAction[]): Action[] {
  return actions.filter((action): action is Action => (ACTION_KINDS as readonly string[]).includes(action.kind));
}
