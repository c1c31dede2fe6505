import type { HouseRules, TapeLine } from '@green-beam/core';
import { useEffect, useState } from 'react';
import type { TapeAnswer, TapeRequest } from './tape.worker.ts';

/** The worker that calculates, started by the first tape: however long a line is, typing goes on. */
class Calculator {
  private readonly worker = new Worker(new URL('./tape.worker.ts', import.meta.url), { type: 'module' });
  private readonly waiting = new Map<number, (lines: readonly TapeLine[]) => void>();
  private asked = 0;

  constructor() {
    this.worker.addEventListener('message', ({ data }: MessageEvent<TapeAnswer>) => {
      this.waiting.get(data.id)?.(data.lines);
      this.waiting.delete(data.id);
    });
  }

  /** @returns what takes the question back. */
  ask(lines: readonly string[], rules: HouseRules, answered: (lines: readonly TapeLine[]) => void): () => void {
    this.asked += 1;
    const request: TapeRequest = { id: this.asked, lines, rules };
    this.waiting.set(request.id, answered);
    this.worker.postMessage(request);
    return () => this.waiting.delete(request.id);
  }
}

let calculator: Calculator | null = null;

export interface Tape {
  /** The texts the results belong to: while the newest are worked out, those before them. */
  readonly lines: readonly string[];
  readonly results: readonly TapeLine[];
}

const NOTHING: Tape = { lines: [], results: [] };

/** The lines of a tape with their results, by the rules of a class. */
export function useTape(lines: readonly string[], rules: HouseRules): Tape {
  const [tape, setTape] = useState(NOTHING);
  const text = lines.join('\n');
  useEffect(() => {
    calculator ??= new Calculator();
    const asked = text.split('\n');
    return calculator.ask(asked, rules, (results) => setTape({ lines: asked, results }));
  }, [text, rules]);
  return tape;
}
