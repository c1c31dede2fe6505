import { toolsNamed } from '@green-beam/core';

/** The name, in an address, of a mix of the tools a class has met. */
export const MIX = 'mix';

/** The tools that stand at an address, none of them for a mix; null where no tool has that name. */
export function toolsAt(name: string): string[] | null {
  if (name === MIX) return [];
  const tools = toolsNamed(name);
  return tools.length > 0 ? tools : null;
}
