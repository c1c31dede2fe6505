import type { SkillId } from '../skills/skills.ts';
import type { HouseRules } from '../rules/house-rules.ts';

/** Read from a tool, or worked out on paper. */
export type Domain = 'reading' | 'calculating';

/** What a round holds items of: a tool to be read, or a kind of exercise. */
export interface Subject {
  readonly id: string;
  readonly name: string;
  readonly skill: SkillId;
  /** Subjects of one family take turns as one: twelve cylinders come up no more often than one ruler. */
  readonly family: string;
  readonly domain: Domain;
  /** Slips that can be told apart in it, and so be aimed at. */
  slips(rules: HouseRules): readonly string[];
  /** Those of them that an item is worth building around; the others show on any item. */
  aims(rules: HouseRules): readonly string[];
}
