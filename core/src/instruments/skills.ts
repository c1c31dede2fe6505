import type { SkillId } from './instrument.ts';

/** What the class board and the choice of the next item count by. */
export interface Skill {
  readonly id: SkillId;
  readonly name: string;
  /** Completes “reads …”. */
  readonly object: string;
}

export const SKILLS: readonly Skill[] = [
  { id: 'graduated-cylinders', name: 'Cylinders', object: 'graduated cylinders' },
  { id: 'digital-balances', name: 'Digital balances', object: 'digital balances' },
];
