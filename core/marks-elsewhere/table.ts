import Papa from 'papaparse';
import { timeNamed, verdictNamed, type ReadElsewhere, type SaidElsewhere } from './said-elsewhere.ts';

/** A table as it was read: what its columns are called, and its rows, each with its number in the file from 1. */
export interface ReadTable {
  columns: string[];
  rows: { place: number; cells: string[] }[];
  delimiter: string;
}

/** A text file in UTF-8, or in Latin-1 as spreadsheets of old write it. */
export function textOfBytes(bytes: Uint8Array): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** Reads a table with commas, semicolons or tabs. What a spreadsheet was told to be text loses the apostrophe that says so. */
export function readTable(text: string): ReadTable {
  const { data, meta } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false });
  const cellsOf = (row: readonly string[]): string[] => row.map((cell) => cell.trim().replace(/^'(?=[=+\-@\t\r])/, ''));
  const [columns = [], ...rows] = data.map(cellsOf);
  return {
    columns,
    rows: rows.map((cells, at) => ({ place: at + 2, cells })).filter(({ cells }) => cells.some((cell) => cell !== '')),
    delimiter: meta.delimiter,
  };
}

/** What a column of a table may tell. */
export const tableFields = ['contact', 'technique', 'launch', 'home', 'checkpoint', 'verdict', 'note'] as const;
export type TableField = (typeof tableFields)[number];
export const tableFieldNames: Readonly<Record<TableField, string>> = {
  contact: 'Contact (when it lands)',
  technique: 'Technique',
  launch: 'Launch',
  home: 'Home',
  checkpoint: 'Checkpoint',
  verdict: 'Verdict',
  note: 'Note',
};
/** Without these nothing can be read. */
export const neededFields: readonly TableField[] = ['contact', 'technique'];

/** Which column tells what, and in what times are told. */
export interface Mapping {
  columns: Partial<Record<TableField, number>>;
  unit: 'seconds' | 'milliseconds';
}

const usualNames: Readonly<Record<TableField, RegExp>> = {
  contact: /contact|impact|time|start|zeit/i,
  technique: /technique|strike|punch|type|label/i,
  launch: /launch|begin/i,
  home: /home|return|end/i,
  checkpoint: /checkpoint|criterion|item/i,
  verdict: /verdict|result|rating|judg/i,
  note: /note|comment|remark/i,
};
/** Which column likely tells what, by its name; each column tells one thing. */
export function likelyMapping({ columns, rows }: ReadTable): Mapping {
  const taken = new Set<number>();
  const found = tableFields.flatMap((field) => {
    const best = [
      columns.findIndex((name, at) => !taken.has(at) && name.toLowerCase().startsWith(field)),
      columns.findIndex((name, at) => !taken.has(at) && usualNames[field].test(name)),
    ].find((at) => at >= 0);
    if (best === undefined) return [];
    taken.add(best);
    return [[field, best] as const];
  });
  const mapped = Object.fromEntries(found) as Mapping['columns'];
  const contact = mapped.contact;
  const named = contact === undefined ? '' : columns[contact]!;
  const largest = contact === undefined ? 0 : Math.max(0, ...rows.map(({ cells }) => Number(cells[contact]) || 0));
  // Nobody films for three hours; whole numbers as large are thousandths.
  const milliseconds = /\bms\b|milli/i.test(named) || largest > 10_000;
  return { columns: mapped, unit: milliseconds ? 'milliseconds' : 'seconds' };
}

/** What a table says by a mapping. */
export function saidInTable({ rows }: ReadTable, { columns, unit }: Mapping): ReadElsewhere {
  const read: ReadElsewhere = { said: [], problems: [] };
  for (const { place, cells } of rows) {
    const told = (field: TableField): string => (columns[field] === undefined ? '' : (cells[columns[field]] ?? ''));
    const wrong = (says: string): void => void read.problems.push({ place, says });
    const time = (field: TableField): number | undefined => timeNamed(told(field), unit);
    const contact = time('contact');
    if (contact === undefined) {
      wrong(told('contact') === '' ? 'It does not tell when it lands.' : `“${told('contact')}” is no time.`);
      continue;
    }
    if (told('technique') === '') {
      wrong('It does not tell what was thrown.');
      continue;
    }
    const verdict = told('verdict') === '' ? undefined : verdictNamed(told('verdict'));
    if (told('verdict') !== '' && verdict === undefined) {
      wrong(`“${told('verdict')}” is no verdict: clean, watch, fault or can’t see.`);
      continue;
    }
    const late = (['launch', 'home'] as const).find((field) => told(field) !== '' && time(field) === undefined);
    if (late) {
      wrong(`“${told(late)}” is no time.`);
      continue;
    }
    const said: SaidElsewhere = {
      ...{ place, technique: told('technique'), contact, launch: time('launch'), home: time('home'), verdict },
      checkpoint: told('checkpoint') || undefined,
      note: told('note') || undefined,
    };
    read.said.push(said);
  }
  return read;
}
