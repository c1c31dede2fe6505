import type { DeliveringTube } from './instrument.ts';

interface DeliverySize {
  readonly id: string;
  readonly name: string;
  readonly skill: 'burettes' | 'graduated-pipettes';
  readonly capacity: number;
  readonly bore: number;
  readonly tolerance: { readonly a: number; readonly b: number };
}

/** All of these are divided by 0.1 mL, with a number at each mL, growing downward. */
function delivering({ id, name, skill, capacity, bore, tolerance }: DeliverySize): DeliveringTube {
  return {
    id,
    name,
    skill,
    family: 'burettes',
    unit: 'mL',
    range: [0, capacity],
    division: 0.1,
    tolerance,
    scale: { from: 0, to: capacity, division: 0.1, labelEvery: 1, mediumEvery: 0.5, direction: 'down' },
    body: { kind: skill === 'burettes' ? 'burette' : 'graduated-pipette', bore, wall: 1.5 },
  };
}

/** Burettes (ISO 385) and a graduated pipette (ISO 835), with tolerances of classes A and B. */
export const BURETTES: readonly DeliveringTube[] = [
  delivering({
    id: 'burette-25',
    name: '25 mL burette',
    skill: 'burettes',
    capacity: 25,
    bore: 8,
    tolerance: { a: 0.05, b: 0.1 },
  }),
  delivering({
    id: 'burette-50',
    name: '50 mL burette',
    skill: 'burettes',
    capacity: 50,
    bore: 11.3,
    tolerance: { a: 0.05, b: 0.1 },
  }),
  delivering({
    id: 'graduated-pipette-10',
    name: '10 mL graduated pipette',
    skill: 'graduated-pipettes',
    capacity: 10,
    bore: 7.4,
    tolerance: { a: 0.05, b: 0.1 },
  }),
];
