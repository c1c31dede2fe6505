import { instrumentById, instrumentIds } from '../instruments/catalogue.ts';
import type { Instrument } from '../instruments/instrument.ts';
import { SKILLS, type Skill } from '../skills/skills.ts';

/** A skill of reading, and the tools on which it is practised. */
export interface ToolFamily extends Skill {
  readonly tools: readonly [Instrument, ...Instrument[]];
}

/** What a class begins with that has met no tool yet: nothing that has to be handled before it is read. */
export const FIRST_TOOLS: readonly string[] = ['ruler-millimetre', 'cylinder-50', 'cylinder-100'];

/** Every tool of the bench under its skill, in the order in which they are learned. */
export function toolFamilies(): ToolFamily[] {
  const all = instrumentIds().map(instrumentById);
  return SKILLS.flatMap((skill) => {
    const [first, ...others] = all.filter((tool) => tool.skill === skill.id);
    return first ? [{ ...skill, tools: [first, ...others] as const }] : [];
  });
}

/** Ids of the tools that an id stands for: a tool’s own, or all tools of a skill. None when it is neither. */
export function toolsNamed(id: string): string[] {
  const named = toolFamilies().flatMap((family) =>
    family.id === id ? family.tools : family.tools.filter((tool) => tool.id === id),
  );
  return named.map((tool) => tool.id);
}
