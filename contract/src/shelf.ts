import { boolean, object, string, type InferType } from './yup.ts';

/** Whether a class has met a tool. */
export const metTool = object({
  toolId: string().trim().max(60).required('Name the tool.'),
  met: boolean().default(true),
});
export type MetTool = InferType<typeof metTool>;

/** How somebody has read one tool. */
export interface ToolStanding {
  readonly toolId: string;
  readonly readings: number;
  readonly rightAtFirst: number;
}

/** A round of one’s own practice that was put aside. */
export interface RoundAside {
  readonly subjectIds: readonly string[];
  readonly done: number;
  readonly of: number;
}

/** The shelf of tools as somebody finds it. */
export interface ShelfShown {
  /** Tools the class has met; none while nobody has shown, set or ticked one. */
  readonly met: readonly string[];
  readonly aside: readonly RoundAside[];
  readonly standing: readonly ToolStanding[];
}
