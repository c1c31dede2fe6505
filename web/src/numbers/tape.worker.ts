import { calculateTape, type HouseRules, type TapeLine } from '@green-beam/core';

export interface TapeRequest {
  readonly id: number;
  readonly lines: readonly string[];
  readonly rules: HouseRules;
}

export interface TapeAnswer {
  readonly id: number;
  readonly lines: readonly TapeLine[];
}

self.addEventListener('message', ({ data }: MessageEvent<TapeRequest>) => {
  const answer: TapeAnswer = { id: data.id, lines: calculateTape(data.lines, data.rules) };
  self.postMessage(answer);
});
