import './told-briefly.ts';
import { array, object, string, type ISchema } from 'yup';

/** Rows of a long list, a part at a time. */
export interface Page<Row> {
  rows: Row[];
  /** What to ask for to get the rows that follow; null when these are the last. */
  next: string | null;
}

/** Which part of a list is asked for: the first, or what follows on a page that told its `next`. */
export const pageQuery = object({ after: string().max(500).optional() });

/** The shape of a page of such rows. */
export const pageOf = <Row>(row: ISchema<Row>) => object({ rows: array(row).required(), next: string().nullable().defined() });

/** All rows of a list, page by page: for lists that are needed whole. */
export async function everyRow<Row>(ask: (query: { after?: string }) => Promise<Page<Row>>): Promise<Row[]> {
  const all: Row[] = [];
  for (let after: string | undefined; ;) {
    const { rows, next } = await ask(after === undefined ? {} : { after });
    all.push(...rows);
    if (next === null) return all;
    after = next;
  }
}
