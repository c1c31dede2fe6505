import { instrumentById, type Instrument, type Picture } from '@green-beam/core';
import { BEAM_BALANCE_VIEW } from './beam-balances/beam-balance-view.tsx';
import { BURETTE_VIEW } from './burettes/burette-view.tsx';
import { CALIPER_VIEW } from './calipers/caliper-view.tsx';
import { CLOCK_VIEW } from './clocks/clock-view.tsx';
import { DIGITAL_BALANCE_VIEW } from './digital-balances/digital-balance-view.tsx';
import { DIGITAL_CALIPER_VIEW } from './digital-calipers/digital-caliper-view.tsx';
import { GLASS_VIEW } from './graduated-glass/glass-view.tsx';
import { HYDROMETER_VIEW } from './hydrometers/hydrometer-view.tsx';
import { MICROMETER_VIEW } from './micrometers/micrometer-view.tsx';
import { RING_VIEW } from './rings/ring-view.tsx';
import { RULER_VIEW } from './rulers/ruler-view.tsx';
import { THERMOMETER_VIEW } from './thermometers/thermometer-view.tsx';
import type { ToolView } from './view.ts';

/** How each family is seen, one line each. */
const VIEWS: Readonly<Record<Instrument['family'], ToolView>> = {
  'graduated-glass': GLASS_VIEW,
  burettes: BURETTE_VIEW,
  rings: RING_VIEW,
  thermometers: THERMOMETER_VIEW,
  hydrometers: HYDROMETER_VIEW,
  rulers: RULER_VIEW,
  calipers: CALIPER_VIEW,
  micrometers: MICROMETER_VIEW,
  'beam-balances': BEAM_BALANCE_VIEW,
  'digital-balances': DIGITAL_BALANCE_VIEW,
  'digital-calipers': DIGITAL_CALIPER_VIEW,
  clocks: CLOCK_VIEW,
};

/** How a picture’s tool is seen: the tool says which family it is of. */
export function viewOf({ instrumentId }: Picture): ToolView {
  return VIEWS[instrumentById(instrumentId).family];
}
