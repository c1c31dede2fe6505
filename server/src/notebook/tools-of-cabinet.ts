import type { NewRunEvent, ToolShown } from '@green-beam/contract';
import { chosenMembersFrom, toolFrom } from '@green-beam/core';
import { toolsShown } from '../cabinet/tools-shown.ts';
import { Refusal } from '../refusal.ts';

/** A tool of the cabinet as a run’s log keeps it: its kind, its code, its zero error, its tolerance and its version. */
export function inLog({ instrumentId, code, zeroError, tolerance, version }: ToolShown): string {
  return [instrumentId, code, zeroError ?? '', tolerance ?? '', version].join('; ');
}

/**
 * A tool as a run’s log keeps it: of a kind, or one of the cabinet as the cabinet knows it now. Its zero error, its tolerance and its
 * version are the cabinet’s, whatever the browser says.
 */
function asKept(text: string, cabinet: readonly ToolShown[]): string {
  const written = toolFrom(text);
  if (!written) throw new Refusal(400, 'There is no such tool.', 'text');
  if (written.code === null) return written.instrument.id;
  const tool = cabinet.find(
    ({ code, instrumentId }) => code === written.code && instrumentId === written.instrument.id,
  );
  if (!tool) throw new Refusal(400, 'This class has no such tool.', 'text');
  return inLog(tool);
}

function membersAsKept(text: string, cabinet: readonly ToolShown[]): string {
  const chosen = chosenMembersFrom(text);
  if (!chosen) return text;
  // A member is called after its tool; no other name is kept.
  return JSON.stringify(
    chosen.map(({ id, tool }) => (tool === undefined ? { id } : { id, tool: asKept(tool, cabinet) })),
  );
}

/** The entries with each named tool as the cabinet knows it. */
export async function withToolsOfCabinet(classId: string, events: readonly NewRunEvent[]): Promise<NewRunEvent[]> {
  const named = ({ address, text }: NewRunEvent): boolean =>
    (address.kind === 'tool' || address.kind === 'members') && text !== '';
  if (!events.some(named)) return [...events];
  const cabinet = await toolsShown(classId);
  return events.map((event) => {
    if (!named(event)) return event;
    const { address, text } = event;
    return { ...event, text: address.kind === 'tool' ? asKept(text, cabinet) : membersAsKept(text, cabinet) };
  });
}
