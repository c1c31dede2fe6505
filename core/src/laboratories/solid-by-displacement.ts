import type { Protocol } from './protocol.ts';

export const SOLID_BY_DISPLACEMENT: Protocol = {
  id: 'solid-by-displacement',
  version: 1,
  title: 'Density by displacement',
  purpose: 'Find the density of a solid from its mass and the water it pushes aside, say how well it is known, and compare it with the accepted value.',
  materials: ['the piece to be measured, dry', '50 mL cylinder', '0.01 g balance', 'water at room temperature', 'thread for lowering the piece', 'paper towel'],
  cautions: [
    'Wear eye protection: glass and liquids are in use.',
    'Slide a heavy piece down the tilted cylinder, or lower it on a thread; dropped, it breaks the glass.',
    'Broken glass is swept up, never picked up by hand, and goes to its own bin.',
    'Wipe spilled water at once, from the floor and from the balance.',
    'Lead pieces: no bare hands, and wash afterwards.',
    'Follow your school’s and local rules, and ask the responsible adult.',
  ],
  steps: [
    { id: 'mass', title: 'Dry mass', text: 'Tare the empty balance to zero. Weigh the dry piece and write every digit shown. Use the same balance for all trials.', minutes: 4, attention: 'hands' },
    { id: 'before', title: 'Water before', text: 'Fill the cylinder about half, enough to cover the piece later. Level the eye, read the lowest point.', minutes: 3, attention: 'hands' },
    { id: 'after', title: 'Water after', text: 'Lower the piece in. No bubbles, no splash, all of it under water; push a floating one just under. Read again.', minutes: 4, attention: 'hands' },
    { id: 'repeat', title: 'Repeat', text: 'Dry the piece, start from another water level, and do it at least three times.', minutes: 12, attention: 'hands' },
  ],
  trials: { least: 3, most: 8 },
  quantities: [
    { kind: 'read', id: 'mass', name: 'Dry mass', symbol: 'm', unit: 'g', instruments: ['digital-balance-hundredth'] },
    { kind: 'read', id: 'before', name: 'Water before', symbol: 'V_1', unit: 'mL', instruments: ['cylinder-50', 'cylinder-100', 'cylinder-10'] },
    { kind: 'read', id: 'after', name: 'Water after', symbol: 'V_2', unit: 'mL', instruments: ['cylinder-50', 'cylinder-100', 'cylinder-10'] },
    { kind: 'computed', id: 'volume', name: 'Volume', symbol: 'V', unit: 'mL', formula: 'after - before' },
    { kind: 'computed', id: 'density', name: 'Density', symbol: '\\rho', unit: 'g/mL', formula: 'mass / volume' },
    { kind: 'looked-up', id: 'waterDensity', name: 'Density of water', symbol: '\\rho_{w}', unit: 'g/mL', source: 'water-density' },
    { kind: 'looked-up', id: 'accepted', name: 'Accepted density', symbol: '\\rho_{a}', unit: 'g/mL', source: 'accepted-density' },
    { kind: 'observed', id: 'behaviour', name: 'In water the piece', choices: [{ id: 'sank', name: 'sank' }, { id: 'floated', name: 'floated and was pushed under' }] },
  ],
  result: 'density',
  checks: [
    { kind: 'order', earlier: 'before', later: 'after', message: 'With the piece in it the water cannot stand lower than before.' },
    { kind: 'resolvable', quantity: 'volume', worstPercent: 10, piecesTogether: 3 },
    { kind: 'sink-or-float', observed: 'behaviour', sinks: 'sank', liquid: 'waterDensity' },
  ],
  questions: [
    { id: 'tool', text: 'Which tool limits your result, and how do the bars show it?' },
    { id: 'repeats', text: 'Do your repeats agree within the uncertainty of one reading? What would make all of them wrong together?' },
    { id: 'conclusion', text: 'What could the piece be made of, and what could it not be?' },
  ],
};
