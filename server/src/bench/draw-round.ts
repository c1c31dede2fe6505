import { randomInt, randomUUID } from 'node:crypto';
import { CORE_VERSION, drawTask, instrumentById, instrumentIds, pictureOf, seededRandom, slipById, type HouseRules } from '@green-beam/core';
import type { CreationAttributes } from 'sequelize';
import { Round, Task } from '../models/bench.ts';

export const ROUND_LENGTH = 10;

/** What a round should be able to tell apart, in turn; null leaves an item to chance. */
const AIMS = ['eye-high', 'meniscus-edge', null, 'label-above', 'rounded-up', 'eye-low', 'trailing-zero-dropped', null, 'marks-counted', 'other-scale'];

/** Tools that the bench can draw. */
export const BENCH_INSTRUMENTS = instrumentIds().filter((id) => instrumentById(id).reads === 'liquid-column');

function aimFor(instrumentId: string, wanted: string | null | undefined): string[] {
  const instrument = instrumentById(instrumentId);
  if (!wanted || (slipById(wanted).id === 'other-scale' && !(instrument.reads === 'liquid-column' && instrument.mayHaveSecondScale))) return [];
  return [wanted];
}

interface RoundFor {
  readonly classId: string;
  readonly schoolId: string;
  readonly personId: string;
  /** Null mixes all tools. */
  readonly instrumentId: string | null;
  readonly rules: HouseRules;
  readonly rulesVersion: number;
}

/** The rows of one round, drawn but not stored. */
export function drawRound(round: RoundFor, seed: number, roundId: string): CreationAttributes<Task>[] {
  const random = seededRandom(seed);
  const start = random.below(AIMS.length);
  return Array.from({ length: ROUND_LENGTH }, (_, position) => {
    const instrumentId = round.instrumentId ?? BENCH_INSTRUMENTS[random.below(BENCH_INSTRUMENTS.length)] ?? 'cylinder-50';
    const taskSeed = random.below(2 ** 48);
    const task = drawTask(instrumentId, { seed: taskSeed, aim: aimFor(instrumentId, AIMS[(start + position * 3) % AIMS.length]), rules: round.rules });
    return {
      classId: round.classId,
      schoolId: round.schoolId,
      personId: round.personId,
      roundId,
      id: randomUUID(),
      position,
      instrumentId,
      seed: taskSeed,
      situation: task.situation,
      picture: pictureOf(task),
      rulesVersion: round.rulesVersion,
      coreVersion: CORE_VERSION,
    };
  });
}

/** Draws and stores a round of ten readings. */
export async function createRound(round: RoundFor): Promise<Round> {
  const { classId, schoolId, personId, instrumentId } = round;
  const id = randomUUID();
  const stored = await Round.create({ classId, schoolId, personId, instrumentId, id });
  await Task.bulkCreate(drawRound(round, randomInt(2 ** 47), id));
  return stored;
}
