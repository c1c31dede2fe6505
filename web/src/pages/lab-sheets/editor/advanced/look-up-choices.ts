/** What can be looked up, by its name in a protocol. */
export const LOOK_UP_CHOICES = [
  { id: 'water-density', name: 'density of water, at a temperature' },
  { id: 'volume-per-mass-iso-4787', name: 'volume of one gram of weighed water at 20 °C (ISO 4787)' },
  { id: 'boiling-point-at-altitude', name: 'boiling point of water, at an altitude' },
  { id: 'boiling-point-at-pressure', name: 'boiling point of water, at a pressure' },
  { id: 'nominal', name: 'nominal volume of a tool' },
  { id: 'tolerance', name: 'tolerance of a tool' },
  { id: 'expansion', name: 'expansion of a glass tool' },
] as const;
