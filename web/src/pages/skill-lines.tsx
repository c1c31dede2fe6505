import type { SkillSummary } from '@green-beam/contract';
import { practiceSlipById, SKILLS } from '@green-beam/core';
import type { ReactNode } from 'react';
import { capital } from './capital.ts';

/** With fewer items of a skill nothing is said of it. */
export const ENOUGH_ITEMS = 5;

/** How somebody reads a family of tools, or does something on paper, in words. */
export function skillInWords({ skill, readings, sound, slips }: SkillSummary): string {
  const known = SKILLS.find((one) => one.id === skill);
  const [third, infinitive, object] = known ? [...known.verb, known.object] : ['works on', 'work on', skill];
  if (readings < ENOUGH_ITEMS) return `${capital(object)}: too early to say.`;
  const part = sound / readings;
  const how =
    part >= 0.9
      ? `${capital(third)} ${object} well`
      : part >= 0.6
        ? `Mostly ${third} ${object} right`
        : `Is learning to ${infinitive} ${object}`;
  const worst = slips[0];
  return worst && worst.count > 1 ? `${how}; watch: ${practiceSlipById(worst.id).name.toLowerCase()}.` : `${how}.`;
}

/** Skills in the order in which to work on them: the weakest first, and those of which nothing can be said yet last. */
export function toWorkOn(skills: readonly SkillSummary[]): SkillSummary[] {
  const need = ({ readings, sound }: SkillSummary): number => (readings < ENOUGH_ITEMS ? 2 : sound / readings);
  return [...skills].sort((a, b) => need(a) - need(b) || b.readings - a.readings);
}

/** A person's skills, a line each, what to work on first; with the slips behind wrong answers. */
export function SkillLines({ skills }: { readonly skills: readonly SkillSummary[] }): ReactNode {
  return (
    <ul className="mt-4">
      {toWorkOn(skills).map((skill) => (
        <li key={skill.skill} className="border-t border-hairline py-4">
          <p className="text-lg font-semibold">{skillInWords(skill)}</p>
          <p className="text-muted">
            {skill.sound} of {skill.readings} right at the first try.
            {skill.slips.length > 0 &&
              ` Slips so far: ${skill.slips.map((slip) => `${practiceSlipById(slip.id).name.toLowerCase()} ${slip.count}`).join(', ')}.`}
          </p>
        </li>
      ))}
    </ul>
  );
}
