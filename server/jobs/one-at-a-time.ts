/** Something that is done bit by bit in this process, never two bits at once. */
export interface OneAtATime {
  /** Takes up what is to be done; what is under way already is not begun twice. */
  start: () => void;
}

/** @param next does one thing, and tells whether there was one @param trouble told what ended the work, to begin again with the next start */
export function oneAtATime(next: () => Promise<boolean>, trouble: (error: unknown) => void): OneAtATime {
  let running = false;
  let asked = false;
  async function whileAsked(): Promise<void> {
    while (asked) {
      // Somebody may ask while the last look finds nothing.
      asked = false;
      while (await next());
    }
  }
  return {
    start() {
      asked = true;
      if (running) return;
      running = true;
      void whileAsked()
        .catch(trouble)
        .finally(() => (running = false));
    },
  };
}
