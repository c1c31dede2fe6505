import type { NewRunEvent } from '@green-beam/contract';
import { namedToolFrom, namedToolText } from '@green-beam/core';
import { toolsShown } from '../cabinet/tools-shown.ts';
import { Refusal } from '../refusal.ts';

/** The entries with each named tool as the cabinet knows it: its zero error is the cabinet’s, whatever the browser says. */
export async function withToolsOfCabinet(classId: string, events: readonly NewRunEvent[]): Promise<NewRunEvent[]> {
  const named = events.filter(({ slot, text }) => slot.startsWith('tool.') && text !== '');
  if (named.length === 0) return [...events];
  const tools = await toolsShown(classId);
  return events.map((event) => {
    if (!named.includes(event)) return event;
    const written = namedToolFrom(event.text);
    const tool = tools.find(
      ({ code, instrumentId }) => code === written?.code && instrumentId === written.instrumentId,
    );
    if (!tool) throw new Refusal(400, 'This class has no such tool.', 'text');
    const { instrumentId, code, zeroError } = tool;
    return { ...event, text: namedToolText({ instrumentId, code, zeroError: zeroError ?? 0 }) };
  });
}
