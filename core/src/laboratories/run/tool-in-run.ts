import { instrumentById, instrumentIds } from '../../instruments/catalogue.ts';
import type { Instrument } from '../../instruments/instrument.ts';
import type { Tools } from '../protocol/protocol.ts';
import type { Members } from './address.ts';

/** A tool that something is read on: a kind of tool, or one of the cabinet. */
export interface ToolInRun {
  readonly instrument: Instrument;
  /** The code of one of the cabinet; null for any of its kind. */
  readonly code: string | null;
  /** What it shows at true zero, in its unit; null where nobody has looked. */
  readonly zeroError: number | null;
  /** The maker’s tolerance of its class, in its unit. */
  readonly tolerance: number;
}

/** Words that stand for several families, the usual tool first. */
const KINDS: Readonly<
  Record<string, { readonly name: string; readonly usual: string; readonly families: readonly string[] }>
> = {
  balances: {
    name: 'Any balance',
    usual: 'digital-balance-hundredth',
    families: ['digital-balances', 'beam-balances'],
  },
  calipers: { name: 'Any caliper', usual: 'caliper-fiftieth', families: ['calipers', 'digital-calipers'] },
  micrometers: { name: 'Any micrometer', usual: 'micrometer-hundredth', families: ['micrometers'] },
  rulers: { name: 'Any ruler', usual: 'ruler-millimetre', families: ['rulers'] },
  thermometers: { name: 'Any thermometer', usual: 'thermometer-degree', families: ['thermometers'] },
  hydrometers: { name: 'Any hydrometer', usual: 'hydrometer-1000', families: ['hydrometers'] },
  'graduated-glass': { name: 'Any cylinder or beaker', usual: 'cylinder-50', families: ['graduated-glass'] },
  burettes: { name: 'Any burette', usual: 'burette-50', families: ['burettes'] },
  rings: { name: 'Any volumetric pipette or flask', usual: 'volumetric-pipette-25', families: ['rings'] },
};

/** The words that name a kind of tool, or one tool of the catalogue. */
export function toolKinds(): string[] {
  return [...Object.keys(KINDS), ...instrumentIds()];
}

/** What such a word is called. @throws UnknownInstrumentError for one that names nothing. */
export function toolKindName(word: string): string {
  return KINDS[word]?.name ?? instrumentById(word).name;
}

/** The instruments that words such as `balances` or `caliper-fiftieth` stand for, each once, the usual one first. */
export function instrumentsOfKinds(words: readonly string[]): string[] {
  const ids = words.flatMap((word) => {
    const kind = KINDS[word];
    if (!kind) return [word];
    return [kind.usual, ...instrumentIds().filter((id) => kind.families.includes(instrumentById(id).family))];
  });
  return [...new Set(ids)];
}

/** The members that a quantity’s tools differ by. */
export function toolMembers(tools: Tools, members: Members): Members {
  const dimension = 'by' in tools ? tools.by : 'member' in tools ? tools.member : null;
  const member = dimension === null ? undefined : members[dimension];
  return dimension === null || member === undefined ? {} : { [dimension]: member };
}

/** A tool of a kind, as nobody knows more of it. */
export function anyTool(instrumentId: string): ToolInRun {
  const instrument = instrumentById(instrumentId);
  return { instrument, code: null, zeroError: null, tolerance: instrument.tolerance.b };
}

/**
 * The tool that a log’s entry names: its kind, and of one of the cabinet `; ` its code, its zero error and its tolerance as they were then,
 * in its unit: `caliper-fiftieth; C-01; 0.04; 0.02`. Null for what is no such entry.
 */
export function toolFrom(text: string): ToolInRun | null {
  const [id = '', code, zero = '', tolerance = ''] = text.split(';').map((part) => part.trim());
  if (!instrumentIds().includes(id)) return null;
  const any = anyTool(id);
  if (code === undefined || code === '') return any;
  const [zeroError, stated] = [Number(zero), Number(tolerance)];
  if (!Number.isFinite(zeroError) || !Number.isFinite(stated)) return null;
  return {
    ...any,
    code,
    zeroError: zero === '' ? null : zeroError,
    tolerance: tolerance === '' ? any.tolerance : stated,
  };
}
