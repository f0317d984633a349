/** Anything said at a moment, with an id of its own. */
export interface Statement {
  id: string;
  /** ISO 8601, the clock of whoever said it. */
  saidAt: string;
}

/** Orders two statements about the same thing: the later one counts; of two at the same instant the greater id, so that all agree. */
export const saidLater = (a: Statement, b: Statement): boolean => {
  const [first, second] = [Date.parse(a.saidAt), Date.parse(b.saidAt)];
  return first === second ? a.id > b.id : first > second;
};

/** The statement that counts for each key. Nothing is lost by it: the others stay in the log. */
export function latestBy<T extends Statement>(log: Iterable<T>, key: (entry: T) => string): Map<string, T> {
  const latest = new Map<string, T>();
  for (const entry of log) {
    const held = latest.get(key(entry));
    if (!held || saidLater(entry, held)) latest.set(key(entry), entry);
  }
  return latest;
}
