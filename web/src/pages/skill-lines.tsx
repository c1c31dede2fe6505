import type { SkillSummary } from '@green-beam/contract';
import { SKILLS, slipById } from '@green-beam/core';
import type { ReactNode } from 'react';

/** How somebody reads a family of tools, in words. */
export function skillInWords({ skill, readings, sound, slips }: SkillSummary): string {
  const object = SKILLS.find((one) => one.id === skill)?.object ?? skill;
  const part = sound / Math.max(1, readings);
  const how = part >= 0.9 ? `Reads ${object} soundly` : part >= 0.6 ? `Mostly reads ${object} right` : `Is learning to read ${object}`;
  const worst = slips[0];
  return worst && worst.count > 1 ? `${how}; watch: ${slipById(worst.id).name.toLowerCase()}.` : `${how}.`;
}

/** A person's skills, a line each, with the slips behind wrong readings. */
export function SkillLines({ skills }: { readonly skills: readonly SkillSummary[] }): ReactNode {
  return (
    <ul className="mt-4">
      {skills.map((skill) => (
        <li key={skill.skill} className="border-t border-hairline py-4">
          <p className="text-lg font-semibold">{skillInWords(skill)}</p>
          <p className="text-muted">
            {skill.sound} of {skill.readings} right at the first try.
            {skill.slips.length > 0 && ` Slips so far: ${skill.slips.map((slip) => `${slipById(slip.id).name.toLowerCase()} ${slip.count}`).join(', ')}.`}
          </p>
        </li>
      ))}
    </ul>
  );
}
