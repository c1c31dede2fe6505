import { protocol, sampleRun, seededRandom, type Protocol } from '@green-beam/core';
import type { Line, SampleRun } from './sample-run.ts';

const LAB = protocol('glassware-delivery');
export const GLASSWARE_SPECIMEN = '25 mL of water';
const SEED = 25;
const GROUPS = 12;
const DELIVERIES = 4;

/** What each piece really delivers on the mark of 25 mL, and how its deliveries scatter, in mL. */
const GLASSWARE = {
  beaker: { mean: 25.2, scatter: 0.62, nominal: '25' },
  // It holds 25 mL, and a film stays in it.
  cylinder: { mean: 24.72, scatter: 0.09, nominal: '25.0' },
  burette: { mean: 25.01, scatter: 0.03, nominal: '25.00' },
  volumetricPipette: { mean: 25.02, scatter: 0.009, nominal: '25.00' },
} as const;

/** The hand of a group scatters too, as a part of the scatter of its deliveries. */
const OF_THE_HAND = 0.5;
/** At 21 °C, in g/mL. */
const WATER = 0.997992;
/** This balance shows one hundredth too little of whatever it weighs. */
const FAULTY = { code: 'B-04', shows: 0.99 };
const OTHERS = ['B-01', 'B-05'] as const;
/** The groups that took the faulty one. */
const ON_FAULTY: readonly number[] = [2, 6, 9];

function sampleOf(random: ReturnType<typeof seededRandom>, shows: number): Protocol['samples'][number] {
  const vessel = 61.2 + random.uniform() * 0.1;
  const pieces = Object.entries(GLASSWARE).map(([piece, { mean, scatter, nominal }]) => {
    const own = mean + OF_THE_HAND * scatter * random.normal();
    const weighed = Array.from({ length: DELIVERIES }, () => {
      const before = vessel + 0.01 * random.normal();
      const volume = own + scatter * random.normal();
      return [before * shows, (before + volume * WATER) * shows].map((mass) => mass.toFixed(2));
    });
    return { piece, nominal, before: weighed.map(([m = '']) => m), after: weighed.map(([, m = '']) => m) };
  });
  const each = <Value>(of: (one: (typeof pieces)[number]) => Value): Record<string, Value> =>
    Object.fromEntries(pieces.map((one) => [one.piece, of(one)]));
  return {
    members: { tool: Object.keys(GLASSWARE) },
    entries: {
      temperature: '21.0',
      nominal: each(({ nominal }) => nominal),
      before: each(({ before }) => before),
      after: each(({ after }) => after),
    },
  };
}

/** Twelve groups that delivered 25 mL four times from four pieces; three of them weighed on a balance that shows too little. */
export function glasswareRuns(openingId: string): SampleRun[] {
  const random = seededRandom(SEED);
  return Array.from({ length: GROUPS }, (_, i) => {
    const isFaulty = ON_FAULTY.includes(i);
    const balance = isFaulty ? FAULTY.code : (OTHERS[i % OTHERS.length] ?? '');
    const { events } = sampleRun(LAB, sampleOf(random, isFaulty ? FAULTY.shows : 1));
    return {
      protocolId: LAB.id,
      specimen: GLASSWARE_SPECIMEN,
      group: [2 * i, 2 * i + 1],
      daysAgo: 9,
      handedIn: true,
      openingId,
      lines: [
        [0, { kind: 'tool', quantity: 'before', members: {} }, `digital-balance-hundredth; ${balance}`],
        ...events.map(({ address, text }, k): Line => [Math.floor(k / 8) % 2, address, text]),
      ],
    };
  });
}
