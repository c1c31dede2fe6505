import { randomUUID } from 'node:crypto';
import { evaluateRun, protocol, protocolIds, sampleRun } from '../../core/src/index.ts';
import { ask, post, teacherOf } from './students.ts';

const BASE = process.env['BASE_URL'] ?? '';
const RUNS = 30;
const TIMES = 15;

interface RunShown {
  readonly id: string;
  readonly protocol: Parameters<typeof evaluateRun>[0];
  readonly events: Parameters<typeof evaluateRun>[1]['events'];
}

function median(times: readonly number[]): string {
  return `${([...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? NaN).toFixed(0)} ms`;
}

/** Fills a class up to so many laboratories, and measures how long its list takes, and all of them opened and worked out. */
async function measure(): Promise<void> {
  const teacher = await teacherOf(BASE);
  const path = `/classes/${teacher.classId}/runs`;
  const present = await ask<RunShown[]>(BASE, teacher, path);
  for (let i = present.length; i < RUNS; i += 1) {
    const protocolId = protocolIds()[i % protocolIds().length] ?? '';
    const { id } = await post<RunShown>(BASE, teacher, path, { id: randomUUID(), protocolId, specimen: `Piece ${i}` });
    const events = sampleRun(protocol(protocolId)).events.map(({ address, text }) => ({
      id: randomUUID(),
      address,
      text,
      person: teacher.personId,
      deviceTime: new Date().toISOString(),
    }));
    await post(BASE, teacher, `${path}/${id}/events`, { events });
  }
  const [list, opened, evaluated]: [number[], number[], number[]] = [[], [], []];
  for (let i = 0; i < TIMES; i += 1) {
    const start = performance.now();
    const runs = await ask<RunShown[]>(BASE, teacher, path);
    list.push(performance.now() - start);
    const pages = await Promise.all(runs.slice(0, RUNS).map(({ id }) => ask<RunShown>(BASE, teacher, `${path}/${id}`)));
    opened.push(performance.now() - start);
    for (const page of pages) evaluateRun(page.protocol, { events: page.events });
    evaluated.push(performance.now() - start);
  }
  process.stdout.write(
    `a class of ${RUNS} laboratories: its list ${median(list)} (aim: under 500); every page fetched ${median(opened)}; all worked out ${median(evaluated)}\n`,
  );
}

await measure();
