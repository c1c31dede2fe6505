import type { SkillSummary } from '@green-beam/contract';
import { practiceSlipById, SKILLS } from '@green-beam/core';
import type { ReactNode } from 'react';

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** How somebody reads a family of tools, or does something on paper, in words. */
export function skillInWords({ skill, readings, sound, slips }: SkillSummary): string {
  const known = SKILLS.find((one) => one.id === skill);
  const [third, infinitive, object] = known ? [...known.verb, known.object] : ['works on', 'work on', skill];
  const part = sound / Math.max(1, readings);
  const how =
    part >= 0.9
      ? `${capital(third)} ${object} soundly`
      : part >= 0.6
        ? `Mostly ${third} ${object} right`
        : `Is learning to ${infinitive} ${object}`;
  const worst = slips[0];
  return worst && worst.count > 1 ? `${how}; watch: ${practiceSlipById(worst.id).name.toLowerCase()}.` : `${how}.`;
}

/** A person's skills, a line each, with the slips behind wrong answers. */
export function SkillLines({ skills }: { readonly skills: readonly SkillSummary[] }): ReactNode {
  return (
    <ul className="mt-4">
      {skills.map((skill) => (
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
