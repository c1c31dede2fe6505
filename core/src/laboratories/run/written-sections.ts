import type { Protocol } from '../protocol/protocol.ts';
import { REPORT_SECTIONS, type ReportSection } from './address.ts';

/** The parts that are written in the report of a laboratory: one that asks for a conclusion among its questions has it there. */
export function writtenSections({ questions }: Pick<Protocol, 'questions'>): ReportSection[] {
  return REPORT_SECTIONS.filter(
    (section) => section !== 'conclusion' || !questions.some(({ id }) => id === 'conclusion'),
  );
}
