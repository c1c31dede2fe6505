import type { Instrument, ScaleTool } from '../instruments/instrument.ts';
import { askedFor } from './correction.ts';
import { instrumentOf, type ReadingTask } from './reading-task.ts';
import type { Situation } from './situation.ts';
import { isThickness, spokenThing } from './things.ts';

/** What a student would call the tool in a question. */
function called({ body, skill }: ScaleTool): string {
  if (body.kind === 'beaker') return 'beaker';
  if (body.kind === 'cone') return 'flask';
  return skill === 'burettes' ? 'burette' : skill === 'graduated-pipettes' ? 'pipette' : 'cylinder';
}

function onScale(tool: ScaleTool, task: ReadingTask): string {
  const { liquid = 'liquid', thing = 'thing' } = task.situation;
  switch (tool.body.kind) {
    case 'rule':
      return `How long is the ${thing}?`;
    case 'thread':
      return askedFor(task) === 'observed' ? 'What does the thermometer show?' : `How warm is the ${liquid}?`;
    case 'float':
      return `How dense is the ${liquid}?`;
    case 'tube':
    case 'beaker':
    case 'cone':
      if (askedFor(task) === 'delivered') return `How much ${liquid} has run out of the ${called(tool)}?`;
      return tool.scale.direction === 'down'
        ? `What does the ${called(tool)} read?`
        : `How much ${liquid} is in the ${called(tool)}?`;
  }
}

/** What is asked of a thing that is held. */
function sizeOf({ value, use = 'outside', oval }: Situation, thing: string): string {
  if (use === 'depth') return `How deep is the ${thing}?`;
  if (use === 'inside') return `How wide is the ${thing} inside?`;
  if (oval !== undefined) return `How thick is the ${thing}, taking the mean of two ways at right angles?`;
  return `How ${isThickness(value) ? 'thick' : 'long'} is the ${thing}?`;
}

/** The question a task asks, in the words of a bench. */
export function questionFor(task: ReadingTask): string {
  const instrument: Instrument = instrumentOf(task);
  const { liquid = 'liquid', thing = 'thing' } = task.situation;
  if (instrument.unit === 'mm' && instrument.reads !== 'scale')
    return askedFor(task) === 'observed'
      ? `What does the ${instrument.reads === 'thimble' ? 'micrometer' : 'caliper'} show?`
      : sizeOf(task.situation, thing);
  if (instrument.reads === 'ring')
    return instrument.made === 'to-deliver'
      ? `How much ${liquid} does this pipette deliver from its ring?`
      : `How much ${liquid} does this flask hold up to its ring?`;
  if (instrument.reads === 'scale') return onScale(instrument, task);
  if (askedFor(task) === 'observed') return 'What does the balance show?';
  const { count, under } = task.situation;
  if (under !== undefined) return `How heavy does the ${thing} seem under ${under}?`;
  return count === undefined
    ? `How heavy is the ${thing}?`
    : `How heavy are the ${spokenThing(task.situation)} together?`;
}
