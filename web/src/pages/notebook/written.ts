import { addressKey, type Address, type WorkedRun } from '@green-beam/core';

/** The text that stands at a place of a run; empty where nothing does. */
export function textAt(run: WorkedRun, address: Address): string {
  return run.setting.slots.get(addressKey(address))?.current.text ?? '';
}
