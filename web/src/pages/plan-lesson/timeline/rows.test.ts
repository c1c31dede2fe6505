import { lessonOf, planLesson, problemOf, protocol, seededRandom, type PlannedStep } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { rowsByGroup, rowsByTool } from './rows.ts';

const BALANCES = ['B-01', 'B-02'].map((code) => ({ code, instrumentId: 'digital-balance-hundredth' }));
const found = lessonOf([protocol('solid-by-displacement'), protocol('thermometer-check')], BALANCES, 4);
const lesson = {
  ...found,
  tools: found.tools.map((tool) => (tool.kind === 'hot plate' ? { ...tool, count: 1 } : tool)),
};
const first = planLesson(problemOf(lesson), seededRandom(3)).next();
const plan: readonly PlannedStep[] = first.done ? [] : first.value.plan.steps;

describe('the lines of a timeline', () => {
  it('have every step of every group once, by how it is done', () => {
    const rows = rowsByGroup(lesson, plan);
    expect(rows.map(({ name }) => name)).toEqual(['Group 1', 'Group 2', 'Group 3', 'Group 4']);
    expect(rows.flatMap(({ blocks }) => blocks).map(({ planned }) => planned)).toHaveLength(plan.length);
    const look = (step: string): string[] => [
      ...new Set(
        rows.flatMap(({ blocks }) => blocks.filter(({ planned }) => planned.step === step)).map((one) => one.look),
      ),
    ];
    expect(look('solid-by-displacement/mass')).toEqual(['shared']);
    expect(look('solid-by-displacement/before')).toEqual(['hands']);
    expect(look('thermometer-check/heat')).toEqual(['waiting']);
    expect(look('thermometer-check/boiling')).toEqual(['shared']);
  });

  it('name the shared tool of a step, and no tool that every bench has', () => {
    const labels = rowsByGroup(lesson, plan).flatMap(({ blocks }) => blocks.map(({ label }) => label));
    expect(labels).toContain('Dry mass · B-01');
    expect(labels).toContain('Boiling point · hot plate 1');
    expect(labels).toContain('Water before');
  });

  it('of the tools have nobody over anybody else', () => {
    const rows = rowsByTool(lesson, plan);
    expect(rows.map(({ name }) => name)).toEqual(['B-01', 'B-02', 'hot plate 1']);
    for (const { blocks } of rows) {
      const inTime = blocks.map(({ planned }) => planned).sort((a, b) => a.start - b.start);
      inTime.slice(1).forEach(({ start }, i) => expect(start).toBeGreaterThanOrEqual(inTime[i]!.end));
    }
    expect(rows.flatMap(({ blocks }) => blocks)).toHaveLength(4 + 2 * 4);
  });
});
