import type { Subject } from './subject.ts';
import { slipsIn } from '../exercises/draw-exercise.ts';
import { exerciseKindById } from '../exercises/kinds.ts';

/** Slips of the pen and of the unit can be made on any exercise. */
const ANYWHERE: readonly string[] = [
  'transposed',
  'power-of-ten',
  'too-many-figures',
  'too-few-figures',
  'unit-missing',
  'unit-wrong',
  'sound-cell-marked',
  'fault-misnamed',
];

/** A kind of exercise as the subject of a round. @throws UnknownExerciseError naming the id. */
export function exerciseSubject(kind: string): Subject {
  const { id, name, skill } = exerciseKindById(kind);
  const slips: Subject['slips'] = (rules) => slipsIn(id, rules);
  return {
    id,
    name,
    skill,
    family: id,
    domain: 'calculating',
    slips,
    aims: (rules) => slips(rules).filter((slip) => !ANYWHERE.includes(slip)),
  };
}
