import type { RoundAside, ShelfShown } from '@green-beam/contract';
import { ENOUGH_ITEMS } from '../../skill-lines.tsx';

function isOf({ subjectIds }: RoundAside, toolIds: readonly string[]): boolean {
  return subjectIds.length === toolIds.length && toolIds.every((id) => subjectIds.includes(id));
}

/** How far the round on these tools has come that was put aside, and how one reads them, in words; empty when they were never read. */
export function standingInWords({ aside, standing }: ShelfShown, toolIds: readonly string[]): string {
  const waiting = aside.find((round) => isOf(round, toolIds));
  const known = standing.filter(({ toolId }) => toolIds.includes(toolId));
  const readings = known.reduce((sum, one) => sum + one.readings, 0);
  const right = known.reduce((sum, one) => sum + one.rightAtFirst, 0);
  return [
    waiting && `${waiting.done} of ${waiting.of} done`,
    readings > 0 && (readings < ENOUGH_ITEMS ? 'too early to say' : `${Math.round((100 * right) / readings)} % right`),
  ]
    .filter(Boolean)
    .join(' · ');
}
