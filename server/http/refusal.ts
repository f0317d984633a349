import type { RefusalAnswer } from '@wax-fist/contract/refusal';

/** A request that cannot be met, told in words for the person who made it. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly fields?: RefusalAnswer['fields'],
  ) {
    super(message);
  }
}

export const notFound = (what: string): Refusal => new Refusal(404, `This ${what} is not here. It may have been removed.`);

/** The first row, or a 404 that names what was looked for. */
export function found<T>(rows: readonly T[], what: string): T {
  const [row] = rows;
  if (row === undefined) throw notFound(what);
  return row;
}
