/**
 * What this browser remembers under a name. Anything may lie there: an earlier version's, another program's, half of something.
 * @returns undefined where there is nothing, or nothing that is fit to be used
 */
export function remembered<T>(name: string, isFit: (kept: unknown) => kept is T): T | undefined {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(name) ?? 'null');
    return isFit(kept) ? kept : undefined;
  } catch {
    return undefined;
  }
}

/** Remembers something in this browser; undefined forgets it. A browser that keeps nothing is no reason to stop. */
export function remember(name: string, value: unknown): void {
  try {
    if (value === undefined) localStorage.removeItem(name);
    else localStorage.setItem(name, JSON.stringify(value));
  } catch {
    // Private windows and full disks.
  }
}

export const isListOfText = (kept: unknown): kept is string[] =>
  Array.isArray(kept) && kept.every((one) => typeof one === 'string');
