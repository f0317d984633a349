import Papa from 'papaparse';

/** A value of a table; nothing where it is not known. */
export type Cell = string | number | null | undefined;

/** By this a spreadsheet knows that the text is UTF-8. */
const byteOrderMark = '\uFEFF';

/**
 * A table as comma-separated values (RFC 4180: CRLF, quotes doubled), as spreadsheets open it without asking. What a spreadsheet would
 * take for a formula is told to be text by an apostrophe; numbers stay numbers.
 */
export function csvOf(columns: readonly string[], rows: readonly (readonly Cell[])[]): string {
  const data = rows.map((row) => row.map((cell) => cell ?? ''));
  return (
    byteOrderMark +
    Papa.unparse({ fields: [...columns], data }, { newline: '\r\n', escapeFormulae: true, quotes: false }) +
    '\r\n'
  );
}
