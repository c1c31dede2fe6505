import type { Instrument } from '../instruments/instrument.ts';
import { waterDensityFormula } from '../materials/water-density.ts';
import type { HouseRules } from '../rules/house-rules.ts';

/** The very tool a look-up is about. */
export interface LookedAtTool {
  readonly instrument: Instrument;
  /** The maker’s tolerance of its class, in its unit. */
  readonly tolerance: number;
}

/** A formula of the looked-up number, in the names and units of its arguments. */
export interface LookedUpBy {
  readonly formula: string;
  /** What is not known of the number itself, whatever it is taken of. */
  readonly halfWidth?: number;
  /** Taken to be exactly that. */
  readonly exact?: true;
}

/** A number that is known rather than measured, as a function of other quantities or of a tool. */
export interface LookUp {
  readonly unit: string;
  /** Names and units of what it is taken of, in order. */
  readonly of: readonly { readonly name: string; readonly unit: string }[];
  /** Whether it is about a tool as well. */
  readonly ofTool: boolean;
  /** The finest place at which the law itself is known. */
  readonly place: number;
  /** @throws RangeError where nothing is known. */
  by(values: Readonly<Record<string, number>>, tool: LookedAtTool | null, rules: HouseRules): LookedUpBy;
}

/** A tool has no such property. */
function ofTool(tool: LookedAtTool | null): LookedAtTool {
  if (!tool) throw new RangeError('The tool is not known yet.');
  return tool;
}

/** Cubic expansion per degree (ISO 4787): borosilicate glass, and polypropylene where a tool is made of it. */
const EXPANSION = 9.9e-6;

/** The volume that a tool was made for: its ring’s, or its whole scale. */
function nominal({ instrument }: LookedAtTool): number {
  return instrument.family === 'rings' ? instrument.volume : instrument.range[1];
}

/** Weather moves the pressure at one place by about so much, in °C of the boiling point. */
const WEATHER = 0.8;

export const LOOK_UPS: Readonly<Record<string, LookUp>> = {
  'water-density': {
    unit: 'g/mL',
    of: [{ name: 't', unit: '°C' }],
    ofTool: false,
    place: -6,
    by: ({ t = NaN }, _, rules) =>
      rules.waterDensity === 'one' ? { formula: '1', exact: true } : { formula: waterDensityFormula(t) },
  },
  // ISO 4787: mass → volume at 20 °C, weighed in air of 0.0012 g/mL against weights of 8.0 g/mL.
  'volume-per-mass-iso-4787': {
    unit: 'mL/g',
    of: [{ name: 't', unit: '°C' }],
    ofTool: true,
    place: -6,
    by: ({ t = NaN }) => ({
      formula: `(1 - 0.0012 / 8.0) / ((${waterDensityFormula(t)}) - 0.0012) * (1 - ${EXPANSION} * (t - 20))`,
    }),
  },
  // Standard atmosphere (ISO 2533) for the pressure, Antoine’s equation for the boiling point.
  'boiling-point-at-altitude': {
    unit: '°C',
    of: [{ name: 'h', unit: 'm' }],
    ofTool: false,
    place: -2,
    by: () => ({
      formula: '1730.63 / (8.07131 - log10(760 * (1 - 2.25577e-5 * h)^5.25588)) - 233.426',
      halfWidth: WEATHER,
    }),
  },
  'boiling-point-at-pressure': {
    unit: '°C',
    of: [{ name: 'p', unit: 'hPa' }],
    ofTool: false,
    place: -2,
    by: () => ({ formula: '1730.63 / (8.07131 - log10(p * 760 / 1013.25)) - 233.426' }),
  },
  nominal: {
    unit: 'mL',
    of: [],
    ofTool: true,
    place: -Infinity,
    by: (_, tool) => ({ formula: String(nominal(ofTool(tool))) }),
  },
  tolerance: {
    unit: 'mL',
    of: [],
    ofTool: true,
    place: -Infinity,
    by: (_, tool) => ({ formula: String(ofTool(tool).tolerance) }),
  },
  expansion: {
    unit: '1/°C',
    of: [],
    ofTool: true,
    place: -Infinity,
    by: () => ({ formula: String(EXPANSION) }),
  },
};
