/** Where a thermometer’s bulb is: over the vessel, in the liquid, or on the floor. */
export type Bulb = 'air' | 'liquid' | 'bottom';
