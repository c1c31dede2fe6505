import type { ToolState } from '@green-beam/contract';
import { instrumentById, seededRandom } from '@green-beam/core';
import { subDays } from 'date-fns';
import type { CreationAttributes } from 'sequelize';
import { Tool, ToolNoteRow } from '../models/cabinet.ts';
import { DEMO_CLASS, DEMO_CO_TEACHER, DEMO_SCHOOL, DEMO_TEACHER } from './people.ts';

interface SampleTool {
  readonly code: string;
  readonly instrumentId: string;
  readonly keeper: string;
  readonly state: ToolState;
  /** Zero errors as they were noted, every so many days up to now. */
  readonly zeros: readonly number[];
  /** The standard mass it is checked with, how far it is off in the end, and how often it was checked. */
  readonly checks?: { readonly nominal: number; readonly drift: number; readonly count: number };
}

const TOOLS: readonly SampleTool[] = [
  { code: 'C-01', instrumentId: 'caliper-twentieth', keeper: 'bench 1', state: 'fit', zeros: [0.05, 0.05, 0.1] },
  { code: 'C-02', instrumentId: 'caliper-twentieth', keeper: 'bench 2', state: 'fit', zeros: [0, -0.05, -0.05] },
  { code: 'C-03', instrumentId: 'caliper-fiftieth', keeper: 'bench 3', state: 'watch', zeros: [0.02, 0.06, 0.1] },
  { code: 'M-01', instrumentId: 'micrometer-hundredth', keeper: 'bench 1', state: 'fit', zeros: [-0.02, -0.02] },
  { code: 'M-02', instrumentId: 'micrometer-hundredth', keeper: 'bench 2', state: 'fit', zeros: [0.01, 0.013] },
  {
    code: 'M-03',
    instrumentId: 'micrometer-thousandth',
    keeper: 'cupboard',
    state: 'out-of-use',
    zeros: [0.004, 0.031],
  },
  {
    code: 'B-01',
    instrumentId: 'digital-balance-hundredth',
    keeper: 'window side',
    state: 'watch',
    zeros: [],
    checks: { nominal: 100, drift: 0.03, count: 16 },
  },
  {
    code: 'B-02',
    instrumentId: 'digital-balance-hundredth',
    keeper: 'door side',
    state: 'fit',
    zeros: [],
    checks: { nominal: 100, drift: 0, count: 12 },
  },
  {
    code: 'B-03',
    instrumentId: 'beam-balance-tenth',
    keeper: 'cupboard',
    state: 'fit',
    zeros: [0.2],
    checks: { nominal: 500, drift: 0.1, count: 5 },
  },
  { code: 'B-04', instrumentId: 'digital-balance-hundredth', keeper: 'bench 4', state: 'fit', zeros: [] },
  { code: 'B-05', instrumentId: 'digital-balance-hundredth', keeper: 'bench 5', state: 'fit', zeros: [0] },
  { code: 'T-04', instrumentId: 'thermometer-degree', keeper: 'bench 4', state: 'fit', zeros: [0.6, 0.7] },
  { code: 'Z-07', instrumentId: 'cylinder-50', keeper: 'glass shelf', state: 'fit', zeros: [] },
];

function toolId(index: number): string {
  return `5a17a4b0-0000-4000-8000-00000000f1${String(index).padStart(2, '0')}`;
}

function noteId(tool: number, note: number): string {
  return `5a17a4b0-0000-4000-8000-00000f2${String(tool).padStart(2, '0')}${String(note).padStart(3, '0')}`;
}

type Note = CreationAttributes<ToolNoteRow>;

function notesOn({ instrumentId, zeros, checks }: SampleTool, index: number, now: Date): Note[] {
  const random = seededRandom(400 + index);
  const { division } = instrumentById(instrumentId);
  const base = { classId: DEMO_CLASS, schoolId: DEMO_SCHOOL, toolId: toolId(index), remark: '' };
  const by = (i: number): string => (i % 3 === 0 ? DEMO_CO_TEACHER : DEMO_TEACHER);
  const zeroNotes = zeros.map((reading, i): Note => ({
    ...base,
    id: noteId(index, i),
    kind: 'zero',
    reading,
    nominal: null,
    personId: by(i),
    createdAt: subDays(now, 7 * (zeros.length - i)),
  }));
  if (!checks) return zeroNotes;
  const { nominal, drift, count } = checks;
  const checkNotes = Array.from({ length: count }, (_, i): Note => {
    const off = (drift * i) / count + 0.6 * division * random.normal();
    return {
      ...base,
      id: noteId(index, 100 + i),
      kind: 'check',
      reading: Number((nominal + Math.round(off / division) * division).toFixed(6)),
      nominal,
      personId: by(i),
      createdAt: subDays(now, 3 * (count - i)),
    };
  });
  return [...zeroNotes, ...checkNotes];
}

/** The cabinet of Heron 9: what stands on the benches and in the cupboard, with weeks of notes. */
export async function seedCabinet(now: Date): Promise<void> {
  await Tool.bulkCreate(
    TOOLS.map(({ code, instrumentId, keeper, state }, i) => ({
      classId: DEMO_CLASS,
      schoolId: DEMO_SCHOOL,
      id: toolId(i),
      code,
      instrumentId,
      kind: 'real' as const,
      keeper,
      tolerance: null,
      state,
      changedBy: DEMO_TEACHER,
      changedAt: subDays(now, 2),
    })),
  );
  await ToolNoteRow.bulkCreate(TOOLS.flatMap((tool, i) => notesOn(tool, i, now)));
}
