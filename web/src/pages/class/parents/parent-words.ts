import type { BoardCell } from '@green-beam/contract';
import { practiceSlipById, SKILLS } from '@green-beam/core';
import { capital } from '../../capital.ts';
import { ENOUGH_ITEMS } from '../../skill-lines.tsx';

/** Right at the first try so often, and it can be done. */
const CAN = 0.9;
/** So many things to work on are enough for one evening. */
const MOST = 3;

/** What a student can do, and what they are working on, the weakest first; in words for parents. */
export function skillsForParents(skills: readonly BoardCell[]): { can: string[]; workingOn: string[] } {
  const told = skills.filter(({ readings }) => readings >= ENOUGH_ITEMS);
  const share = ({ sound, readings }: BoardCell): number => sound / readings;
  const named = ({ skill }: BoardCell): string => {
    const known = SKILLS.find(({ id }) => id === skill);
    return known ? `${known.verb[1]} ${known.object}` : skill;
  };
  return {
    can: told.filter((skill) => share(skill) >= CAN).map((skill) => capital(named(skill))),
    workingOn: told
      .filter((skill) => share(skill) < CAN)
      .sort((a, b) => share(a) - share(b))
      .slice(0, MOST)
      .map((skill) => {
        const [worst] = skill.slips;
        const often = worst && worst.count > 1 ? `; most often: ${practiceSlipById(worst.id).name.toLowerCase()}` : '';
        return `${capital(named(skill))}: ${skill.sound} of ${skill.readings} right at the first try${often}`;
      }),
  };
}
