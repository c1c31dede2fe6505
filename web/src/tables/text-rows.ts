import Papa from 'papaparse';

export const LARGEST_TABLE = 2_000_000;
const MOST_COLUMNS = 200;
const MOST_ROWS = 5000;

/** What can part cells, those first that hardly stand in a cell: a comma can be a decimal mark. */
const PARTED = { '\t': 'tabs', ';': 'semicolons', '|': 'bars', ',': 'commas' } as const;
type Delimiter = keyof typeof PARTED;
export type Parted = (typeof PARTED)[Delimiter];

/** So many rows are looked at to find out what parts them. */
const LOOKED_AT = 20;

const isEmpty = (row: readonly string[]): boolean => row.every((cell) => cell.trim() === '');

function delimiterOf(text: string): Delimiter {
  const parts = (delimiter: string): boolean => {
    const { data } = Papa.parse<string[]>(text, { delimiter, preview: LOOKED_AT, skipEmptyLines: 'greedy' });
    return data.length > 0 && data.every((row) => row.length > 1);
  };
  return (Object.keys(PARTED) as Delimiter[]).find(parts) ?? ',';
}

/** The cells of a text, from the first row that is not empty; or why it is no table. */
export type TextRows =
  | {
      readonly rows: readonly (readonly string[])[];
      /** How many empty rows stand before them. */
      readonly skipped: number;
      readonly parted: Parted;
    }
  | { readonly refused: string };

/** Reads the cells of a table from text: pasted, or from a file. What parts them is found out. */
export function rowsOfText(text: string): TextRows {
  if (text.length > LARGEST_TABLE)
    return { refused: `That is ${(text.length / 1e6).toFixed(1)} million characters. A table has at most 2 million.` };
  const plain = text.replace(/^\uFEFF/, '');
  const delimiter = delimiterOf(plain);
  const { data, errors } = Papa.parse<string[]>(plain, { delimiter, skipEmptyLines: false });
  const wide = data.findIndex((row) => row.length > MOST_COLUMNS);
  if (wide >= 0)
    return {
      refused: `Row ${wide + 1} has ${data[wide]?.length ?? 0} columns. A table of readings has at most ${MOST_COLUMNS}.`,
    };
  if (data.length > MOST_ROWS)
    return { refused: `That is ${data.length} rows. A table of readings has at most ${MOST_ROWS}.` };
  const quotes = errors.find(({ type }) => type === 'Quotes');
  if (quotes) return { refused: `A quotation mark is not closed in row ${(quotes.row ?? 0) + 1}.` };
  const skipped = data.findIndex((row) => !isEmpty(row));
  if (skipped < 0) return { refused: 'There is nothing in it.' };
  return { rows: data.slice(skipped), skipped, parted: PARTED[delimiter] };
}
