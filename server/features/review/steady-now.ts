let latest = 0;

/**
 * The time, in milliseconds since 1970, which never goes back while the server runs: where the clock of the machine is put back, what
 * is said now would otherwise be earlier than what it answers, and count for nothing.
 */
export const steadyNow = (): number => (latest = Math.max(latest, Date.now()));
