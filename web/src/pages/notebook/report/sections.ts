import { REPORT_SECTIONS, type Protocol, type ReportSection } from '@green-beam/core';

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

/** The parts that are written in the report of a laboratory: one that asks for a conclusion among its questions has it there. */
export function writtenSections({ questions }: Pick<Protocol, 'questions'>): ReportSection[] {
  return REPORT_SECTIONS.filter(
    (section) => section !== 'conclusion' || !questions.some(({ id }) => id === 'conclusion'),
  );
}
