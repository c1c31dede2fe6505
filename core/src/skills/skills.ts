/** Skills stand for one instrument family or one numbers topic. */
export type SkillId =
  | 'rulers'
  | 'graduated-cylinders'
  | 'beakers-and-flasks'
  | 'burettes'
  | 'graduated-pipettes'
  | 'volumetric-glassware'
  | 'thermometers'
  | 'hydrometers'
  | 'calipers'
  | 'micrometers'
  | 'beam-balances'
  | 'digital-balances'
  | 'clocks'
  | 'significant-figures'
  | 'calculations'
  | 'conversions'
  | 'judging';

/** What the class board and the choice of the next item count by. */
export interface Skill {
  readonly id: SkillId;
  readonly name: string;
  /** What is done, of somebody and to be done, and to what: “reads burettes”, “learning to read burettes”. */
  readonly verb: readonly [third: string, infinitive: string];
  readonly object: string;
}

const READ = ['reads', 'read'] as const;

export const SKILLS: readonly Skill[] = [
  { id: 'rulers', name: 'Rulers', verb: READ, object: 'rulers' },
  { id: 'graduated-cylinders', name: 'Cylinders', verb: READ, object: 'graduated cylinders' },
  { id: 'beakers-and-flasks', name: 'Beakers and flasks', verb: READ, object: 'beakers and conical flasks' },
  { id: 'burettes', name: 'Burettes', verb: READ, object: 'burettes' },
  { id: 'graduated-pipettes', name: 'Graduated pipettes', verb: READ, object: 'graduated pipettes' },
  { id: 'volumetric-glassware', name: 'Volumetric glassware', verb: READ, object: 'volumetric pipettes and flasks' },
  { id: 'thermometers', name: 'Thermometers', verb: READ, object: 'thermometers' },
  { id: 'hydrometers', name: 'Hydrometers', verb: READ, object: 'hydrometers' },
  { id: 'calipers', name: 'Calipers', verb: READ, object: 'vernier calipers' },
  { id: 'micrometers', name: 'Micrometers', verb: READ, object: 'micrometers' },
  { id: 'beam-balances', name: 'Beam balances', verb: READ, object: 'beam balances' },
  { id: 'digital-balances', name: 'Digital balances', verb: READ, object: 'digital balances' },
  { id: 'clocks', name: 'Clocks', verb: READ, object: 'clocks' },
  {
    id: 'significant-figures',
    name: 'Figures',
    verb: ['counts and writes', 'count and write'],
    object: 'significant figures',
  },
  { id: 'calculations', name: 'Calculations', verb: ['does', 'do'], object: 'calculations' },
  { id: 'conversions', name: 'Conversions', verb: ['converts', 'convert'], object: 'units' },
  { id: 'judging', name: 'Judging results', verb: ['judges', 'judge'], object: 'results and statements' },
];
