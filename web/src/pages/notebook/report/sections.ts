import type { ReportSection } from '@green-beam/core';

/** What the parts of a report are called. */
export const SECTION_NAMES: Readonly<Record<ReportSection, string>> = {
  purpose: 'Purpose',
  causes: 'Causes of error',
  conclusion: 'Conclusion',
};

/** What to write there. */
export const SECTION_HINTS: Readonly<Record<ReportSection, string>> = {
  purpose: 'In your own words: what did you want to find out, and how?',
  causes: 'What made your values scatter, or all of them too large or too small? How do your data show it?',
  conclusion: 'Your result with its uncertainty, what it agrees with, and what it does not.',
};
