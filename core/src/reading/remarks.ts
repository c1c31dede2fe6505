import type { BeamBalance, DisplayTool, RingTool } from '../instruments/instrument.ts';
import { litCharacters } from './balance-reading.ts';
import { spoiledBy } from './draw-weighing.ts';
import { holdingOf, wiped, type SlidingTool } from './operate-sliding.ts';
import { isWeighed, PUTS_RIGHT } from './operate-weighing.ts';
import type { Done } from './operation.ts';
import { instrumentOf, type ReadingTask } from './reading-task.ts';
import type { Spoilt } from './situation.ts';

/** Something to say about how a tool was handled. It changes no verdict on the number, and is kept beside it. */
export interface Remark {
  readonly id:
    | 'funnel-left'
    | 'bubble-left'
    | 'bulb-on-bottom'
    | 'not-wiped'
    | 'ring-missed'
    | 'not-drained'
    | 'last-drop-blown'
    | 'heavy-first'
    | 'not-weighed'
    | 'tared-away'
    | 'left-wrong'
    | 'squeezed'
    | 'not-touching'
    | 'forced'
    | 'no-ratchet'
    | 'grit-left'
    | 'one-way-only'
    | 'zero-not-looked-at';
  readonly text: string;
}

function did(done: readonly Done[], kind: Done['kind']): boolean {
  return done.some((one) => one.kind === kind);
}

function onBurette({ situation }: ReadingTask, done: readonly Done[]): Remark[] {
  if (situation.left === 'funnel' && !did(done, 'clear-top')) {
    return [
      {
        id: 'funnel-left',
        text: 'The funnel was still in the burette. Drops from it go on running in, and the surface stands higher than what has run out would leave it: take it out before the start is read.',
      },
    ];
  }
  if (situation.left === 'bubble' && !did(done, 'free-tip')) {
    return [
      {
        id: 'bubble-left',
        text: 'There was a bubble of air in the tip. When it is driven out, liquid takes its place and counts as delivered: run the tip free before the start is read.',
      },
    ];
  }
  return [];
}

/** Nearer than this to the ring, in mm, a surface counts as set on it. */
const ON_THE_RING = 0.5;

function ringMissed({ bore }: RingTool, above: number): Remark[] {
  if (Math.abs(above) <= ON_THE_RING) return [];
  const millilitres = (Math.abs(above) * Math.PI * (bore / 2) ** 2) / 1000;
  return [
    {
      id: 'ring-missed',
      text: `When it was delivered the surface stood ${Math.abs(above).toFixed(1)} mm ${above > 0 ? 'above' : 'below'} the ring: about ${millilitres.toFixed(2)} mL too ${above > 0 ? 'much' : 'little'}.`,
    },
  ];
}

function onPipette(tool: RingTool, done: readonly Done[]): Remark[] {
  // Only the last filling counts.
  const since = done.slice(
    Math.max(
      0,
      done.findLastIndex(({ kind }) => kind === 'fill'),
    ),
  );
  if (!did(since, 'fill') || !did(since, 'deliver')) return [];
  const above = since.findLast(({ kind }) => kind === 'let-down' || kind === 'fill')?.to ?? null;
  return [
    ...(did(since, 'wipe')
      ? []
      : [
          {
            id: 'not-wiped',
            text: 'The outside was not wiped: what hangs there runs down and is delivered as well.',
          } as const,
        ]),
    ...(above === null ? [] : ringMissed(tool, above)),
    ...(did(since, 'blow')
      ? [
          {
            id: 'last-drop-blown',
            text: 'The last drop was blown out. This pipette is made to deliver: the drop that stays in the tip is allowed for.',
          } as const,
        ]
      : []),
    ...(did(since, 'take-away') && !did(since, 'drained')
      ? [
          {
            id: 'not-drained',
            text: 'It was taken away at once. Let it drain against the wall and wait: a film still runs down inside.',
          } as const,
        ]
      : []),
  ];
}

function onHydrometers(done: readonly Done[]): Remark[] {
  const first = done.find(({ kind }) => kind === 'try')?.to ?? 0;
  return first === 0
    ? []
    : [
        {
          id: 'heavy-first',
          text: 'The first one tried was not of the lightest range. In a lighter liquid a heavy one drops to the bottom and may break: begin with the lightest, and go up.',
        },
      ];
}

function onThermometer(done: readonly Done[]): Remark[] {
  const last = done.findLast(({ kind }) => kind === 'lower' || kind === 'ground' || kind === 'raise');
  return last?.kind === 'ground'
    ? [
        {
          id: 'bulb-on-bottom',
          text: 'The bulb stood on the bottom, where a vessel that is heated or cooled is not as warm as the liquid: keep it off the bottom, and still in the liquid while you read.',
        },
      ]
    : [];
}

/** Pressed or kept apart by more than this many divisions, it shows. */
const SHOWS = 0.6;

function onFaces(tool: SlidingTool, { situation }: ReadingTask, done: readonly Done[]): Remark[] {
  const { loose = false, thing = 'thing', oval, grit = 0, soft = 0, zeroError = 0 } = situation;
  if (!loose) return [];
  const faces = tool.reads === 'thimble' ? 'faces' : 'jaws';
  const holding = holdingOf(tool, situation, done);
  if (!holding?.touching)
    return [
      {
        id: 'not-touching',
        text: `The ${faces} were not brought to the ${thing}: the answer is judged as if they had been.`,
      },
    ];
  const pressed = -holding.beyond;
  const closed = done.some(({ kind }) => kind === 'take-thing');
  return [
    ...(pressed > SHOWS * tool.division ? [pressedTooFar(tool, pressed, soft > 0, thing)] : []),
    ...(tool.reads === 'thimble' && pressed <= SHOWS * tool.division && !done.some(({ kind }) => kind === 'click')
      ? [
          {
            id: 'no-ratchet',
            text: 'The ratchet was not used for the last bit: it clicks when the faces hold with the same light force each time.',
          } as const,
        ]
      : []),
    ...(grit > 0 && !wiped(done)
      ? [
          {
            id: 'grit-left',
            text: `There was grit between the ${faces}: they meet differently each time, and never quite. Wipe them before the zero is looked at.`,
          } as const,
        ]
      : []),
    ...(oval !== undefined && !done.some(({ kind }) => kind === 'turn')
      ? [
          {
            id: 'one-way-only',
            text: `It was measured one way only. A ${thing} is seldom round: turn it by a right angle, measure again, and take the mean.`,
          } as const,
        ]
      : []),
    ...(zeroError !== 0 && !closed
      ? [
          {
            id: 'zero-not-looked-at',
            text: `The ${faces} were not closed on nothing: that is where this one shows how far it is off.`,
          } as const,
        ]
      : []),
  ];
}

function pressedTooFar(tool: SlidingTool, pressed: number, soft: boolean, thing: string): Remark {
  const size = `${pressed.toFixed(tool.reads === 'thimble' ? 3 : 2)} mm`;
  if (soft)
    return {
      id: 'squeezed',
      text: `The ${thing} gives way: it was pressed together by ${size}. Let the jaws just touch it.`,
    };
  return {
    id: 'forced',
    text: `It was forced by ${size} beyond where it touched: the frame springs, and the screw suffers. Turn by the ratchet until it clicks.`,
  };
}

/** What each disturbance does, once it has been missed. */
const MISSED: Readonly<Record<Spoilt, string>> = {
  draught:
    'The draught shield was open: moving air presses on the pan, and the digits do not come to rest on the mass. Close it before reading.',
  'off-centre': 'It lay near the rim of the pan: a balance is right for what lies in its middle.',
  wet: 'It was wet when it was weighed: what clung to it was weighed too. Dry it first.',
  touching: 'It touched the side of the beaker, which bore a part of it: hang it free before it is weighed.',
  fingerprints:
    'It had been taken up by hand: the grease of fingerprints shows on a balance as fine as this. Use tweezers, and wipe it.',
};

function onDisplay(tool: DisplayTool, { situation }: ReadingTask, done: readonly Done[]): Remark[] {
  const { loose = false, spoilt, container = 0 } = situation;
  if (!loose) return [];
  if (!isWeighed(situation, done))
    return [{ id: 'not-weighed', text: 'Nothing was put on the balance: the answer is judged as if it had been.' }];
  const put = done.findLastIndex(({ kind }) => kind === 'put-thing');
  const taredAway = done.findIndex(({ kind }, i) => i > put && kind === 'tare') >= 0;
  const off =
    spoilt === undefined || done.some(({ kind }) => kind === PUTS_RIGHT[spoilt]) ? 0 : spoiledBy(tool, spoilt);
  return [
    ...(taredAway
      ? [
          {
            id: 'tared-away',
            text: `It was tared with the ${situation.thing ?? 'thing'} on the pan: that takes away what was to be weighed.${container > 0 ? ` Tare with the ${situation.vessel ?? 'vessel'} alone.` : ''}`,
          } as const,
        ]
      : []),
    ...(spoilt === undefined || off === 0
      ? []
      : [
          {
            id: 'left-wrong',
            text: `${MISSED[spoilt]} Here it made ${litCharacters(tool, off)} ${tool.unit}.`,
          } as const,
        ]),
  ];
}

function onBeams(tool: BeamBalance, { situation }: ReadingTask, done: readonly Done[]): Remark[] {
  const { spoilt } = situation;
  if (isWeighed(situation, done))
    return spoilt === undefined || done.some(({ kind }) => kind === PUTS_RIGHT[spoilt])
      ? []
      : [
          {
            id: 'left-wrong',
            text: `${MISSED[spoilt]} Here it made ${litCharacters(tool, Math.abs(spoiledBy(tool, spoilt)))} ${tool.unit}.`,
          },
        ];
  return [{ id: 'not-weighed', text: 'Nothing was put on the pan: the answer is judged as if it had been.' }];
}

/**
 * What is to be said about how a tool was handled up to Enter; nothing where nothing was to be noticed.
 * @param task as it was set, before anything was done.
 */
export function remarksOn(task: ReadingTask, done: readonly Done[]): Remark[] {
  const instrument = instrumentOf(task);
  if (instrument.reads === 'ring') return instrument.made === 'to-deliver' ? onPipette(instrument, done) : [];
  if (instrument.reads === 'vernier' || instrument.reads === 'thimble') return onFaces(instrument, task, done);
  if (instrument.reads === 'display')
    return instrument.measures === 'length' ? onFaces(instrument, task, done) : onDisplay(instrument, task, done);
  if (instrument.reads === 'beams') return onBeams(instrument, task, done);
  switch (instrument.body.kind) {
    case 'tube':
      return onBurette(task, done);
    case 'float':
      return onHydrometers(done);
    case 'thread':
      return onThermometer(done);
    case 'beaker':
    case 'cone':
    case 'rule':
      return [];
  }
}
