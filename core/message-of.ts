/** What is said of something that was thrown, whatever it was. */
export const messageOf = (thrown: unknown): string => (thrown instanceof Error ? thrown.message : String(thrown));
