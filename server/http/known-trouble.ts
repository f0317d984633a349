/** Trouble that is nobody’s mistake and passes, in words, with the status that says so. */
export interface Trouble {
  status: number;
  message: string;
}

const away: Trouble = {
  status: 503,
  message: 'The database is away for a moment. Nothing you marked is lost; it is tried again.',
};
const full: Trouble = {
  status: 507,
  message: 'The disk of the server is full, or cannot be written. Nothing was kept of this; make room, then try again.',
};

const among = (codes: readonly string[], trouble: Trouble): Record<string, Trouble> =>
  Object.fromEntries(codes.map((code) => [code, trouble]));
/** By the code that the system or PostgreSQL gives. */
const troubles: Readonly<Record<string, Trouble>> = {
  ...among(['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', '57P01', '57P02', '57P03', '53300'], away),
  ...among(['08000', '08001', '08003', '08006', '08P01'], away),
  ...among(['ENOSPC', 'EROFS', 'EDQUOT', 'EACCES', '53100'], full),
};

const saidOf = (error: unknown): { code?: unknown; message: string; cause?: unknown } =>
  typeof error === 'object' && error !== null ? (error as { code?: unknown; message: string; cause?: unknown }) : { message: '' };

/** What kind of passing trouble an error is, or one that caused it; undefined for what nobody expected. */
export function knownTrouble(error: unknown): Trouble | undefined {
  for (let one: unknown = error, depth = 0; one && depth < 5; one = saidOf(one).cause, depth++) {
    const { code, message } = saidOf(one);
    const known = typeof code === 'string' ? troubles[code] : undefined;
    if (known) return known;
    if (/Connection terminated|timeout exceeded when trying to connect|Client has encountered a connection error/i.test(message))
      return away;
  }
  return undefined;
}

/** Whether the database is away: what was under way is done again when it is back. */
export const isAway = (error: unknown): boolean => knownTrouble(error) === away;
