/** A table that another page hands over with the address: its cells parted by tabs. */
export interface HandedTable {
  readonly table: string;
}

/** The table that came with an address; nothing where none did. */
export function handedTable(state: unknown): string {
  return typeof state === 'object' && state !== null && 'table' in state && typeof state.table === 'string'
    ? state.table
    : '';
}
