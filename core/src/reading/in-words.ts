import { familyOf } from './families.ts';
import { expectedFrom } from './indication/written.ts';
import { indicationOf, type ReadingTask } from './reading-task.ts';
import { revealStep, withMinusSign, type RevealStep } from './picture/reveal-step.ts';

/** The question a task asks, in the words of a bench. */
export function questionFor(task: ReadingTask): string {
  const indication = indicationOf(task);
  return familyOf(indication.tool).question(indication);
}

/** Hints in the reading order; they name what to do and never a number of this picture. */
export function hintsFor(task: ReadingTask): string[] {
  const indication = indicationOf(task);
  return familyOf(indication.tool).hints(indication);
}

/** The usual cautions for what is handled on a picture, in the order of gravity; nothing where there is no danger. */
export function cautionsFor(task: ReadingTask): string[] {
  const indication = indicationOf(task);
  return familyOf(indication.tool).cautions(indication);
}

/** How the right answer is come by, in the reading order: division, certain digits, estimated digit, what is taken off, unit. */
export function revealOf(task: ReadingTask): RevealStep[] {
  const indication = indicationOf(task);
  const { text, unit } = expectedFrom(indication);
  const written = `${withMinusSign(text)} ${unit}`;
  return [...familyOf(indication.tool).steps(indication), revealStep('unit', `The unit: ${unit}`, written)];
}
