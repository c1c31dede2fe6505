import { DEFAULT_RULES, PRESETS, RULE_CHOICES, type HouseRules } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { RULE_GROUPS, RULE_WORDS, type ChoiceRule } from './rule-words.ts';

const RULES = Object.keys(RULE_CHOICES) as ChoiceRule[];

describe('rules in the words of a class', () => {
  it.each(RULES)('%s: every choice has words, no two the same', (rule) => {
    const { label, choices } = RULE_WORDS[rule];
    const words = RULE_CHOICES[rule].map((choice) => (choices as Record<string, string>)[String(choice)]);
    expect(label).toMatch(/^[A-Z]/);
    for (const word of words) expect(word).toMatch(/\w/);
    expect(new Set(words).size).toBe(words.length);
  });

  it('stand on the page once each', () => {
    const shown = RULE_GROUPS.flatMap(({ rules }) => rules);
    expect([...shown].sort()).toEqual([...RULES].sort());
  });

  it('know what every preset chooses', () => {
    for (const { rules } of PRESETS) {
      const complete: HouseRules = { ...DEFAULT_RULES, ...rules };
      for (const rule of RULES)
        expect((RULE_WORDS[rule].choices as Record<string, string>)[String(complete[rule])]).toBeDefined();
    }
  });
});
