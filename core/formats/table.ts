import Papa from 'papaparse';

/** A value of a table; nothing where it is not known. */
export type Cell = string | number | null | undefined;

/** By this a spreadsheet knows that the text is UTF-8. */
const byteOrderMark = '\uFEFF';

/** Rows of a table, as `csvOf` writes them: for one that is too long to be written at once. */
export const csvRows = (rows: readonly (readonly Cell[])[]): string =>
  rows.length === 0
    ? ''
    : `${Papa.unparse(
        rows.map((row) => row.map((cell) => cell ?? '')),
        { newline: '\r\n', escapeFormulae: true, quotes: false },
      )}\r\n`;

/**
 * A table as comma-separated values (RFC 4180: CRLF, quotes doubled), as spreadsheets open it without asking. What a spreadsheet would
 * take for a formula is told to be text by an apostrophe; numbers stay numbers.
 */
export const csvOf = (columns: readonly string[], rows: readonly (readonly Cell[])[]): string =>
  byteOrderMark + csvRows([columns, ...rows]);
