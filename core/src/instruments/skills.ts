import type { SkillId } from './instrument.ts';

/** What the class board and the choice of the next item count by. */
export interface Skill {
  readonly id: SkillId;
  readonly name: string;
  /** Completes “reads …”. */
  readonly object: string;
}

export const SKILLS: readonly Skill[] = [
  { id: 'rulers', name: 'Rulers', object: 'rulers' },
  { id: 'graduated-cylinders', name: 'Cylinders', object: 'graduated cylinders' },
  { id: 'beakers-and-flasks', name: 'Beakers and flasks', object: 'beakers and conical flasks' },
  { id: 'burettes', name: 'Burettes', object: 'burettes' },
  { id: 'graduated-pipettes', name: 'Graduated pipettes', object: 'graduated pipettes' },
  { id: 'volumetric-glassware', name: 'Volumetric glassware', object: 'volumetric pipettes and flasks' },
  { id: 'thermometers', name: 'Thermometers', object: 'thermometers' },
  { id: 'hydrometers', name: 'Hydrometers', object: 'hydrometers' },
  { id: 'calipers', name: 'Calipers', object: 'vernier calipers' },
  { id: 'micrometers', name: 'Micrometers', object: 'micrometers' },
  { id: 'beam-balances', name: 'Beam balances', object: 'beam balances' },
  { id: 'digital-balances', name: 'Digital balances', object: 'digital balances' },
  { id: 'significant-figures', name: 'Figures', object: 'significant figures' },
  { id: 'calculations', name: 'Calculations', object: 'calculations' },
  { id: 'conversions', name: 'Conversions', object: 'conversions' },
  { id: 'judging', name: 'Judging results', object: 'results and statements' },
];
