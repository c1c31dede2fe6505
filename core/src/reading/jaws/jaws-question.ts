import { isThickness } from '../words/things.ts';
import type { JawsSituation } from './jaws-situation.ts';

/** What is asked of a thing that is held. */
export function sizeQuestion({ value, use = 'outside', oval, thing = 'thing' }: JawsSituation): string {
  if (use === 'depth') return `How deep is the ${thing}?`;
  if (use === 'inside') return `How wide is the ${thing} inside?`;
  if (oval !== undefined) return `How thick is the ${thing}, taking the mean of two ways at right angles?`;
  return `How ${isThickness(value) ? 'thick' : 'long'} is the ${thing}?`;
}
